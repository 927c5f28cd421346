import { expect, test } from './test'
import { answer, expectSaved, importJob, open, PHONE, pickFiles, placeOfWork, saveSign, trialJob } from './steps'
import { largePhotograph, sidewaysPhotograph } from '../support/pictures'

test('a bad post by finger on a small screen, the level losing its connection midway', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, trialJob('Bad post, phone'))
  const context = await browser.newContext({ ...PHONE, baseURL })
  const page = await context.newPage()
  await open(page, `/jobs/${id}/look?post=T3`)
  await answer(page, 'at the ground line').tap()
  await answer(page, 'easily').tap()

  await page.getByRole('button', { name: 'digital level' }).tap()
  await page.getByRole('button', { name: 'lost', exact: true }).tap()
  await page.getByRole('button', { name: 'Connect the digital level' }).tap()
  await expect(page.getByText('It stands still.')).toBeVisible()
  await expect(page.getByText('Connection lost: nothing was taken.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled()
  // It comes back by itself, and only then is a reading taken.
  await expect(page.getByText('It stands still.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it' }).tap()
  await expect(page.getByText(/2\.6° off plumb/)).toBeVisible()
  await page.getByRole('button', { name: 'across it' }).tap()
  await page.getByRole('button', { name: 'bubble', exact: true }).tap()
  await page.getByRole('button', { name: '2 lines, leans on' }).tap()
  await expect(page.getByText(/off plumb, .* at the top, both ways together/)).toBeVisible()

  await answer(page, 'dull').tap()
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Soft wood at the ground line: more' }).tap()
  await answer(page, 'dish that holds water').tap()
  await answer(page, 'gap beside the post').tap()
  await answer(page, 'in a storm').tap()
  await expectSaved(page)

  const { job } = await (await request.get(`/api/jobs/${id}`)).json()
  const { observations, readings } = job.lines[0].posts[2]
  expect(observations).toMatchObject({
    pushPivot: 'at-ground-line',
    comesUpright: 'easily',
    tap: 'dull',
    probeAtGround: 0.015,
    groundAround: ['water-holding-top', 'gap-beside-post'],
    onset: 'after-storm',
  })
  expect(observations.lean.map(({ direction }: { direction: number }) => direction)).toEqual([0, 90])
  expect(readings.filter(({ observation }: { observation: string }) => observation === 'lean')[0].instrument).toBe(
    'digital-level',
  )
  // Four steps of one measure are one reading.
  expect(readings.filter(({ observation }: { observation: string }) => observation === 'probeAtGround')).toHaveLength(1)
  await page.getByRole('button', { name: 'Photo', exact: true }).tap()
  await expect(page.getByRole('button', { name: 'Add a photograph' })).toBeInViewport()
  // Only the panel scrolls: the drawing stays where it is.
  await expect(page.getByRole('img', { name: /^Post T3/ })).toBeInViewport({ ratio: 1 })
  const { scrollWidth, scrollHeight } = await page.evaluate(() => {
    const { scrollWidth, scrollHeight } = document.documentElement
    return { scrollWidth, scrollHeight }
  })
  expect([scrollWidth, scrollHeight]).toEqual([360, 740])
  await context.close()
})

test('a second reading stands, and the first is kept with its time and person', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Two readings of one thing'))
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Line' }).click()
  await page.getByLabel('Your name, on readings').fill('I. Aalder')
  await page.getByLabel('Your name, on readings').press('Tab')
  await placeOfWork(page, 'Look').click()
  const probe = page.getByLabel('Soft wood at the ground line', { exact: true })
  for (const length of ['20 mm', '30 mm']) {
    await probe.fill(length)
    await probe.press('Enter')
  }
  await page.getByText(/; 1 more/).click()
  await expect(page.getByText(/I\. Aalder: 0\.03 m soft/)).toBeVisible()
  await expect(page.getByText(/I\. Aalder: 0\.02 m soft/)).toBeVisible()
})

test('where it turned is found from two offsets, and recorded', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Pivot'))
  await open(page, `/jobs/${id}/look?post=T3`)
  await page.getByText('Find where it turned').click()
  for (const [label, length] of [
    ['Lower offset', '40 mm'],
    ['Upper offset', '100 mm'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(length)
    await page.getByLabel(label, { exact: true }).press('Enter')
  }
  await expect(page.getByText('It turned 0.50 m below the ground, in the soil')).toBeVisible()
  await page.getByRole('button', { name: 'Record that it turns there' }).click()
  await expect(answer(page, 'down in the soil')).toHaveAttribute('aria-pressed', 'true')
})

test('a noisy meter is not taken, a steady one is', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Meter'))
  await open(page, `/jobs/${id}/look?post=T3`)
  await page.getByText('Read it from a moisture meter').click()
  await page.getByRole('button', { name: 'noisy', exact: true }).click()
  await page.getByRole('button', { name: 'Connect the moisture meter' }).click()
  await expect(page.getByText('It still moves')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled()
  await page.getByRole('button', { name: 'steady', exact: true }).click()
  await expect(page.getByText('It stands still.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByLabel('Moisture of the wood, %')).toHaveValue(/^2[34]/)
})

test('photographs: upright, small, without their place; bad files are refused', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Photographs'))
  await open(page, `/jobs/${id}/look?post=T3`)
  await pickFiles(page, 'Add a photograph', [
    { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') },
    { name: 'foot.jpg', mimeType: 'image/jpeg', buffer: await sidewaysPhotograph() },
    { name: 'large.jpg', mimeType: 'image/jpeg', buffer: await largePhotograph(12e6) },
  ])
  await expect(page.getByText('notes.jpg is no picture that can be read here.')).toBeVisible()
  await expect(page.getByRole('img', { name: 'Photograph 2 of post T3' })).toBeVisible()
  await expectSaved(page)
  await page.getByLabel('Photograph 1, height on the post', { exact: true }).fill('0.4')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-drawing]')).toContainText('photo 1')
  await expectSaved(page)

  const { job } = await (await request.get(`/api/jobs/${id}`)).json()
  const [first, second] = job.lines[0].posts[2].photographs
  expect(first).toMatchObject({ pixelWidth: 300, pixelHeight: 400, height: 0.4 })
  expect(first.place).toBeUndefined()
  expect(second).toMatchObject({ pixelWidth: 1600, pixelHeight: 1200 })
  const stored = await request.get(`/api/jobs/${id}/photographs/${first.id}`)
  expect(stored.headers()['content-type']).toBe('image/jpeg')
  expect(stored.headers().etag).toMatch(/^"[0-9a-f]{64}"$/)
  expect((await stored.body()).includes('GPS')).toBe(false)
  const refused = await request.put(`/api/jobs/${id}/photographs/another-1`, {
    data: Buffer.from('no picture'),
    headers: { 'content-type': 'image/jpeg' },
  })
  expect(refused.status()).toBe(422)
})

test(
  'photographs taken without a signal wait, survive a reload and go when it is back',
  { tag: '@installed' },
  async ({ page, request }) => {
    const id = await importJob(request, trialJob('Photograph, no signal'))
    await open(page, `/jobs/${id}/look?post=T3`)
    await expectSaved(page)
    await page.route('**/api/**', (route) => route.abort())
    await pickFiles(page, 'Add a photograph', {
      name: 'foot.jpg',
      mimeType: 'image/jpeg',
      buffer: await sidewaysPhotograph(),
    })
    await expect(saveSign(page)).toHaveText('1 waiting to send')
    await page.reload()
    const picture = page.getByRole('img', { name: 'Photograph 1 of post T3' })
    await expect(picture).toHaveAttribute('src', /^blob:/)
    await page.unroute('**/api/**')
    await expectSaved(page)
    const { job } = await (await request.get(`/api/jobs/${id}`)).json()
    const [{ id: photograph }] = job.lines[0].posts[2].photographs
    await expect(async () =>
      expect((await request.get(`/api/jobs/${id}/photographs/${photograph}`)).status()).toBe(200),
    ).toPass()
  },
)
