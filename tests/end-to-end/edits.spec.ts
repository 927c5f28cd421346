import { expect, test, type Browser, type Page } from './test'
import { answer, expectSaved, importJob, open, saveSign, trialJob } from './steps'

const two = async (browser: Browser, path: string, baseURL?: string) => {
  const pages = await Promise.all([0, 1].map(async () => (await browser.newContext({ baseURL })).newPage()))
  for (const page of pages) await open(page, path)
  return pages as [Page, Page]
}

/** Without a signal while somebody else is at the job: nothing of it is heard until this is back. */
async function outOfReach(page: Page, meanwhile: () => Promise<void>): Promise<void> {
  await page.context().setOffline(true)
  await meanwhile()
  await page.context().setOffline(false)
}

test('what one device enters is seen on the other without a touch, by a stream or without', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, trialJob('Two that look on'))
  const [first, second] = await two(browser, `/jobs/${id}/look?post=T3`, baseURL)
  await answer(first, 'at the ground line').click()
  await expect(answer(second, 'at the ground line')).toHaveAttribute('aria-pressed', 'true')
  await answer(second, 'down in the soil').click()
  await expect(answer(first, 'down in the soil')).toHaveAttribute('aria-pressed', 'true')
  await expectSaved(second)

  // Where the stream does not come through, it is seen at the next breath.
  await second.route('**/api/jobs/*/events', (route) => route.abort())
  await open(second, `/jobs/${id}/look?post=T3`)
  await answer(first, 'with force').click()
  await expect(answer(second, 'with force')).toHaveAttribute('aria-pressed', 'true', { timeout: 30_000 })
})

test('two people read the same thing: both readings are in, the newest stands', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, trialJob('Two at one post'))
  const [first, second] = await two(browser, `/jobs/${id}/look?post=T3`, baseURL)
  await expect(answer(second, 'down in the soil')).toBeVisible()
  await outOfReach(second, async () => {
    await answer(first, 'at the ground line').click()
    await expectSaved(first)
    await answer(second, 'down in the soil').click()
  })
  await expectSaved(second)
  await expect(second.getByText('their edits and yours are both in')).toBeVisible()
  await expect(answer(second, 'down in the soil')).toHaveAttribute('aria-pressed', 'true')
  const { job } = await (await request.get(`/api/jobs/${id}`)).json()
  const { observations, readings } = job.lines[0].posts[2]
  expect(observations).toEqual({ pushPivot: 'in-the-soil' })
  expect(readings.map(({ value }: { value: string }) => value)).toEqual(['at-ground-line', 'in-the-soil'])
})

test('two people say otherwise of one fact: the second is shown both, and neither is lost', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, trialJob('Two at one fact'))
  const [first, second] = await two(browser, `/jobs/${id}/walk?post=T3`, baseURL)
  for (const page of [first, second]) await page.getByRole('tab', { name: 'Post' }).click()
  await outOfReach(second, async () => {
    await answer(first, 'gravel').click()
    await expectSaved(first)
    await answer(second, 'rock').click()
  })

  const conflict = second.getByRole('alert', { name: 'Both changed the same thing' })
  await expect(conflict.getByRole('button', { name: 'Keep yours: rock' })).toBeVisible()
  await expect(conflict.getByRole('button', { name: /^Take theirs, \d+ \w+ \d{4}, \d\d:\d\d: gravel$/ })).toBeVisible()
  await expect(answer(second, 'gravel')).toHaveAttribute('aria-pressed', 'true')

  // The choice outlives a reload.
  await second.reload()
  await second.getByRole('button', { name: /^Keep yours/ }).click()
  await expectSaved(second)
  const { job } = await (await request.get(`/api/jobs/${id}`)).json()
  expect(job.lines[0].posts[2].soil).toBe('rock')
})

test('edits of different readings meet without a word to choose', async ({ browser, request, baseURL }) => {
  const id = await importJob(request, trialJob('Two readings'))
  const [first, second] = await Promise.all([0, 1].map(async () => (await browser.newContext({ baseURL })).newPage()))
  for (const page of [first!, second!]) await open(page, `/jobs/${id}/look?post=T3`)
  await expect(answer(second!, 'with force')).toBeVisible()
  await outOfReach(second!, async () => {
    await answer(first!, 'at the ground line').click()
    await expectSaved(first!)
    await answer(second!, 'with force').click()
  })
  await expect(second!.getByText('their edits and yours are both in')).toBeVisible()
  await expectSaved(second!)
  const { job } = await (await request.get(`/api/jobs/${id}`)).json()
  expect(job.lines[0].posts[2].observations).toEqual({ pushPivot: 'at-ground-line', comesUpright: 'with-force' })
})

test('what somebody is typing stays when the answer to an earlier edit arrives', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Typing'))
  await open(page, `/jobs/${id}/look?post=T3`)
  let answerNow = () => {}
  const held = new Promise<void>((resolve) => (answerNow = resolve))
  await page.route('**/commands', async (route) => {
    await held
    await route.continue()
  })
  await answer(page, 'easily').click()
  const probe = page.getByLabel('Soft wood at the ground line', { exact: true })
  await probe.fill('30 mm')
  answerNow()
  await expectSaved(page)
  await expect(probe).toHaveValue('30 mm')
  await probe.press('Enter')
  await expect(probe).toHaveValue('0.03 m')
  await expectSaved(page)
})

test('every edit can be undone and redone, after a reload too', async ({ page, request }) => {
  const id = await importJob(request, trialJob('There and back'))
  await open(page, `/jobs/${id}/look?post=T3`)
  await answer(page, 'at the ground line').click()
  await answer(page, 'easily').click()
  await expectSaved(page)
  await page.reload()
  const easily = answer(page, 'easily')
  await expect(easily).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('z')
  await expect(easily).toHaveAttribute('aria-pressed', 'false')
  await page.keyboard.press('z')
  await expect(answer(page, 'at the ground line')).toHaveAttribute('aria-pressed', 'false')
  await page.keyboard.press('Shift+Z')
  await page.keyboard.press('Shift+Z')
  await expect(easily).toHaveAttribute('aria-pressed', 'true')
  await expectSaved(page)
})

test(
  'the application itself opens without a signal once it has been here',
  { tag: '@installed' },
  async ({ browser, request, baseURL }) => {
    const id = await importJob(request, trialJob('Out of reach'))
    const context = await browser.newContext({ baseURL })
    const page = await context.newPage()
    await open(page, `/jobs/${id}/look?post=T3`)
    await expectSaved(page)
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await context.setOffline(true)
    await page.reload()
    await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
    await answer(page, 'at the ground line').click()
    await page.keyboard.press('3')
    await expect(page.getByText(/Rotted at the ground line|Snapped sound wood/).first()).toBeVisible()
    await expect(saveSign(page)).toHaveText('1 waiting to send')
    await context.setOffline(false)
    await expectSaved(page)
    await context.close()
  },
)

test(
  'a job that could not be opened opens by itself when the signal is back',
  { tag: '@installed' },
  async ({ page, context, request }) => {
    const id = await importJob(request, trialJob('Late signal'))
    await page.route('**/api/**', (route) => route.abort())
    await open(page, `/jobs/${id}/look?post=T3`)
    await expect(page.getByRole('alert')).toContainText('No connection.')
    await page.unroute('**/api/**')
    await context.setOffline(true)
    await context.setOffline(false)
    await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  },
)

test('a job that could not be opened opens by itself when a weak signal gets through, which nobody tells', async ({
  page,
  request,
}) => {
  const id = await importJob(request, trialJob('Weak signal'))
  await page.route('**/api/**', (route) => route.abort())
  await open(page, `/jobs/${id}/look?post=T3`)
  await expect(page.getByRole('alert')).toContainText('No connection.')
  await page.unroute('**/api/**')
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
})

test(
  'without a signal edits wait on the device, survive a reload and go when the signal is back',
  { tag: '@installed' },
  async ({ page, context, request }) => {
    const id = await importJob(request, trialJob('No signal'))
    await open(page, `/jobs/${id}/look?post=T3`)
    // The signal goes when the job is open: one that was never here cannot open without it.
    await expectSaved(page)
    await page.route('**/api/**', (route) => route.abort())
    await answer(page, 'at the ground line').click()
    await answer(page, 'easily').click()
    await expect(saveSign(page)).toHaveText('2 waiting to send')
    await page.reload()
    await expect(answer(page, 'easily')).toHaveAttribute('aria-pressed', 'true')
    await expect(saveSign(page)).toHaveText('2 waiting to send')
    await page.unroute('**/api/**')
    await expectSaved(page)
    const { job } = await (await context.request.get(`/api/jobs/${id}`)).json()
    expect(job.lines[0].posts[2].observations).toEqual({ pushPivot: 'at-ground-line', comesUpright: 'easily' })
  },
)
