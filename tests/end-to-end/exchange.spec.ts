import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { PICKED, SEEN_TOGETHER, type Observations } from '../../core/cause/observations'
import { expectSaved, importJob, open, pickFiles, trialJob } from './steps'

const csvFile = (name: string, rows: string[]) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) })
const storedJob = async (page: Page, id: string) => (await (await page.request.get(`/api/jobs/${id}`)).json()).job
const jobOfPage = (page: Page) => /jobs\/([^/]+)/.exec(page.url())![1]!

/** One value of every observation there is. */
const everything: Observations = {
  lean: [
    { offset: 0.0333, over: 1.2, direction: 0 },
    { offset: -0.01, over: 0.6, direction: 90 },
  ],
  probeAtGround: 0.0123456789,
  probeBelow: 0,
  probeAbove: 0.1,
  moisturePercent: 23.5,
  ...Object.fromEntries(Object.entries(PICKED).map(([key, values]) => [key, values.at(-1)])),
  groundAround: [SEEN_TOGETHER.groundAround[0], SEEN_TOGETHER.groundAround[3]],
}

test('every observation goes through database, CSV and back unchanged', async ({ page, request }) => {
  const job = trialJob('Every observation')
  job.lines[0]!.posts[2]!.observations = everything
  const id = await importJob(request, job)
  expect((await storedJob(page, id)).lines[0].posts[2].observations).toEqual(everything)

  await open(page, `/jobs/${id}/walk?post=T1`)
  await page.getByRole('tab', { name: 'Files' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Posts as CSV' }).click()
  const saved = await download
  expect(saved.suggestedFilename()).toBe('every-observation.csv')
  const text = readFileSync(await saved.path(), 'utf8')

  await page.goto('/')
  await pickFiles(page, 'Open a file', { name: 'back.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(page.getByText('5 posts · line T: 5, to 9.60 m')).toBeVisible()
  await page.getByRole('button', { name: 'Take them over' }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: T, 5 posts' })).toBeVisible()
  // The job was made on this device, and is sent from it.
  await expectSaved(page)
  const back = (await storedJob(page, jobOfPage(page))).lines[0].posts
  expect(back).toEqual(job.lines[0]!.posts.map((post) => JSON.parse(JSON.stringify(post))))
})

test('a table with its columns in any order is guessed, shown and corrected', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Table'))
  await open(page, `/jobs/${id}/walk?post=T1`)
  await page.getByRole('tab', { name: 'Files' }).click()
  await pickFiles(
    page,
    'Open a table or a line',
    csvFile('walk.csv', ['years;metres out;remark', '12;0;by the lane', '12;2,4;', '9;4,83;rotten']),
  )
  await expect(page.getByText('station is missing; it must be one of the columns')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take them over' })).toBeDisabled()
  // Selects of the screen are chosen by keyboard: type the first letters, then Enter.
  const column = page.getByLabel('metres out is')
  await column.focus()
  await page.keyboard.press('ArrowDown')
  await page.getByRole('option', { name: 'station', exact: true }).click()
  await expect(page.getByText('3 posts · line A: 3, to 4.83 m')).toBeVisible()
  await page.getByRole('button', { name: 'Take them over' }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 3 posts' })).toBeVisible()
  await expectSaved(page)
  const { lines } = await storedJob(page, id)
  expect(lines[1].posts).toEqual([
    { id: 'A1', station: 0, ageYears: 12 },
    { id: 'A2', station: 2.4, ageYears: 12 },
    { id: 'A3', station: 4.83, ageYears: 9 },
  ])
})

test('bad tables get a clear answer and change nothing', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Bad tables'))
  const before = await storedJob(page, id)
  await open(page, `/jobs/${id}/walk?post=T1`)
  await page.getByRole('tab', { name: 'Files' }).click()
  for (const [rows, words] of [
    [['post,tape', 'A1,0', 'A2,0'], 'A1 and A2 both stand there'],
    [['tape', '0', '8 ft', '4.8'], 'row 2, station is "0"; it must be with its unit'],
    [['tape', ...Array.from({ length: 5000 }, (_, i) => String(i * 2))], 'rows is 5000; it must be at most 2000 posts'],
  ] as const) {
    await pickFiles(page, 'Open a table or a line', csvFile('bad.csv', [...rows]))
    await expect(page.getByText(words)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Take them over' })).toBeDisabled()
    await page.getByRole('button', { name: 'Leave it' }).click()
  }
  await pickFiles(page, 'Open a table or a line', {
    name: 'point.geojson',
    mimeType: 'application/json',
    buffer: Buffer.from('{"type":"Point"}'),
  })
  await expect(
    page.getByText('point.geojson: type is "Point"; it must be GeoJSON with a LineString in it'),
  ).toBeVisible()
  expect(await storedJob(page, id)).toEqual(before)
})

test('a line on the earth comes in with stations and levels, and goes out again', async ({ page }) => {
  const course = [
    [2.05, 54.02, 3],
    [2.0504, 54.02, 2.6],
    [2.0504, 54.0202, 2.4],
  ]
  await open(page, '/')
  await pickFiles(page, 'Open a file', {
    name: 'meadow.geojson',
    mimeType: 'application/geo+json',
    buffer: Buffer.from(
      JSON.stringify({ type: 'Feature', properties: {}, geometry: { type: 'LineString', coordinates: course } }),
    ),
  })
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 3 posts' })).toBeVisible()
  await expectSaved(page)
  const { posts } = (await storedJob(page, jobOfPage(page))).lines[0]
  expect(posts[1]).toMatchObject({ duty: 'corner', groundLevel: -0.4 })
  expect(posts[1].station).toBeCloseTo(26.1, 0)
  await page.getByRole('tab', { name: 'Files' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Line as GeoJSON' }).click()
  const out = JSON.parse(readFileSync(await (await download).path(), 'utf8'))
  expect(out.features[0].geometry.coordinates).toEqual(course)
})
