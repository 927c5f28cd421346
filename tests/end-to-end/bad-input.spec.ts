import { writeFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import type { ListPage } from '../../shared/contract'
import { importJob, open, pickFiles, trialJob } from './steps'

async function openFile(page: Page, name: string, content: string): Promise<void> {
  const path = test.info().outputPath(name)
  writeFileSync(path, content)
  await pickFiles(page, 'Open a file', path)
}

const jobsCalled = async (page: Page, name: string) =>
  ((await (await page.request.get(`/api/jobs?search=${encodeURIComponent(name)}`)).json()) as ListPage).jobs.length

test.describe('a file that is no job is answered at the place and changes nothing', () => {
  test.describe.configure({ mode: 'serial' })
  const good = () => trialJob('A file of my own')
  const withHeight = (height: unknown) => JSON.stringify({ ...good(), lines: [{ ...good().lines[0], height }] })
  const cases: [name: string, content: string, message: RegExp][] = [
    ['broken.json', '{"format": "vindex-job", ', /broken\.json was not opened: This is no JSON/],
    ['negative.json', withHeight(-1.8), /lines\[0\]\.height is -1\.8; it must be a number from 0\.3 to 4 m/],
    ['text.json', withHeight('tall'), /lines\[0\]\.height is "tall"; it must be a number from 0\.3 to 4 m/],
    [
      'newer.json',
      JSON.stringify({ ...good(), version: 7 }),
      /version is 7; it must be 1: this file comes from a newer Vindex/,
    ],
    ['other.json', '[]', /was not opened/],
    ['huge.json', `{"x":"${'y'.repeat(20e6)}"}`, /huge\.json has 20 MB; a job file has 5 MB at most/],
  ]
  for (const [name, content, message] of cases) {
    test(name, async ({ page }) => {
      await open(page, '/')
      await openFile(page, name, content)
      await expect(page.getByText(message)).toBeVisible()
      expect(page.url()).toMatch(/\/$/)
    })
  }
})

test('a job file of one’s own opens, and a script in its name stays a name', async ({ page }) => {
  const name = '<img src=x onerror="document.title=1"><script>document.title=1</script>'
  await open(page, '/')
  await openFile(page, 'mine.json', JSON.stringify(trialJob(name)))
  await expect(page.getByRole('heading', { name })).toBeVisible()
  // Opened on the device first, and sent.
  await expect.poll(() => jobsCalled(page, name)).toBe(1)
  expect(await page.title()).toBe('Vindex')
})

test('the server refuses 20 MB, broken JSON and form data with problem documents', async ({ request }) => {
  const send = (data: string, type = 'application/json') =>
    request.post('/api/jobs/import', { data: Buffer.from(data), headers: { 'content-type': type } })
  const large = await send(`{"x":"${'y'.repeat(20e6)}"}`)
  expect(large.status()).toBe(413)
  expect(await large.json()).toMatchObject({ title: 'Too large', status: 413 })
  expect((await send('{')).status()).toBe(400)
  expect((await send('{}', 'text/plain')).status()).toBe(400)
  const wrong = await send(JSON.stringify({ ...trialJob('x'), lines: [] }))
  expect(wrong.status()).toBe(422)
  expect(wrong.headers()['content-type']).toContain('application/problem+json')
  expect(await wrong.json()).toMatchObject({ key: 'lines', range: 'at least one line' })
})

test('a measure that cannot be is refused at its field, and what was typed stays', async ({ page, request }) => {
  const job = trialJob('Bad measures')
  job.lines[0]!.posts[2]!.repair = { method: 'new-post-concrete' }
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/hole?post=T3`)
  const depth = page.getByLabel('Depth', { exact: true })
  await depth.fill('-3')
  await depth.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('Depth must be a number from 0.2 to 4 m')
  await expect(depth).toHaveValue('-3')
  await depth.fill('deep')
  await depth.press('Enter')
  await expect(page.getByRole('alert')).toContainText('it must be a length such as 1.72')
  await depth.fill(`3' 3"`)
  await depth.press('Enter')
  await expect(depth).toHaveValue('0.991 m')
  await expect(page.getByText('You set this depth')).toBeVisible()
})

test('a job that is not there says so', async ({ page }) => {
  await open(page, '/jobs/none/look')
  await expect(page.getByRole('alert')).toContainText('There is no job "none".')
})
