import { expect, test, type Page } from './test'
import { answer, expectSaved, importJob, open, searchJobs, trialJob } from './steps'

/* Several jobs in one sitting: each shows itself, and what was entered in it arrives in it. */

const DEMO = ['Bank side after the March storm', 'Lane side, small footings', 'Compost yard']

/** Of many jobs one is looked for. */
async function openByClick(page: Page, name: string): Promise<void> {
  await searchJobs(page, name)
  await page
    .getByRole('main')
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .last()
    .click()
}
const toJobs = (page: Page) => page.getByRole('link', { name: 'Vindex: all jobs' }).click()

/** The job's own name over the job's own first post. */
async function expectShown(page: Page, name: string, first: string): Promise<void> {
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await expect(page.getByRole('heading', { name: `${first}: what do you see?` })).toBeVisible()
}
/** Where work stands in each of them. */
const FIRST = ['B4', 'L3', 'C3']

test('three jobs opened one after the other, there and back', async ({ page }) => {
  await open(page, '/')
  for (const i of [0, 1, 2, 1, 0, 2]) {
    await openByClick(page, DEMO[i]!)
    await expectShown(page, DEMO[i]!, FIRST[i]!)
    await toJobs(page)
  }
})

test('one opened before the other has come: the slow answer changes nothing', async ({ page }) => {
  const held: (() => Promise<void>)[] = []
  await open(page, '/')
  await page.route(/\/api\/jobs\/[^/]+$/, (route) => void held.push(() => route.continue()))
  for (const name of DEMO) {
    await openByClick(page, name)
    await expect(page.getByText('Opening the job')).toBeVisible()
    if (name !== DEMO[2]) await page.goBack()
  }
  await expect.poll(() => held.length).toBe(3)
  // The last one asked for comes first, those before it after it.
  for (const [i, go] of [...held].reverse().entries()) {
    const answered = page.waitForResponse(/\/api\/jobs\/[^/]+$/)
    await go()
    await answered
    if (i === 0) await expectShown(page, DEMO[2]!, FIRST[2]!)
  }
  await page.unroute(/\/api\/jobs\/[^/]+$/)
  await expectShown(page, DEMO[2]!, FIRST[2]!)
  // What the device has kept is each job's own.
  for (const i of [0, 1, 2]) {
    await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
    await openByClick(page, DEMO[i]!)
    await expectShown(page, DEMO[i]!, FIRST[i]!)
  }
})

test(
  'two jobs edited without a signal, one left open: both arrive',
  { tag: '@installed' },
  async ({ page, request }) => {
    const names = ['First in the rain', 'Second in the rain']
    const ids = await Promise.all(names.map((name) => importJob(request, trialJob(name))))
    await open(page, '/')
    for (const name of names) {
      await openByClick(page, name)
      await expectSaved(page)
      await toJobs(page)
    }
    await page.route('**/api/jobs/**', (route) => route.abort())
    await openByClick(page, names[0]!)
    await answer(page, 'at the ground line').click()
    await expect(page.getByText('1 waiting to send')).toBeVisible()
    await toJobs(page)
    await openByClick(page, names[1]!)
    await answer(page, 'easily').click()
    await expect(page.getByText('1 waiting to send')).toBeVisible()
    await page.unroute('**/api/jobs/**')
    await expectSaved(page)
    const seen = async (id: string) =>
      (await (await request.get(`/api/jobs/${id}`)).json()).job.lines[0].posts[2].observations
    await expect.poll(() => seen(ids[0]!)).toMatchObject({ pushPivot: 'at-ground-line' })
    await expect.poll(() => seen(ids[1]!)).toMatchObject({ comesUpright: 'easily' })
  },
)
