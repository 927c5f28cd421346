import { expect, test, type Page } from './test'
import { answer, expectSaved, importJob, open, tabTo, trialJob, toWorkSheet } from './steps'

/** Look, cause, repair, hole, sheet: one bad post, once through. */
async function checkEnd(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: /Post T3: spur beside it/i })).toBeVisible()
  await expect(page.getByText('Proposed, not yet chosen.')).toBeHidden()
  await expect(page.getByText(/bags of 20 kg fast post mix/)).toBeVisible()
  await expect(
    page.getByText('Figures are planning estimates; local codes and licensed practice decide.'),
  ).toBeVisible()
  await expectSaved(page)
}

async function mainJobByPointer(page: Page, path: string): Promise<void> {
  await open(page, `${path}/look?post=T3`)
  await answer(page, 'at the ground line').click()
  await answer(page, 'easily').click()
  const probe = page.getByLabel('Soft wood at the ground line', { exact: true })
  await probe.fill('30 mm')
  await probe.press('Enter')
  await page.getByRole('button', { name: 'See the cause' }).click()
  await expect(page.getByText(/Rotted at the ground line.*9\d in 100/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Choose the repair' }).click()
  await page.getByRole('button', { name: /^Spur beside it/ }).click()
  await page.getByRole('button', { name: 'Take it, size the hole' }).click()
  await expect(page.getByText('m deep', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('bags, 20 kg fast post mix')).toBeVisible()
  await page.getByRole('button', { name: 'To the sheet' }).click()
  await checkEnd(page)
}

test('the main job with the mouse, and all of it there after a new start of the browser', async ({
  page,
  request,
  browser,
}) => {
  const id = await importJob(request, trialJob('Main job, mouse'))
  await mainJobByPointer(page, `/jobs/${id}`)

  const another = await (await browser.newContext()).newPage()
  await open(another, `/jobs/${id}/look?post=T3`)
  await expect(answer(another, 'at the ground line')).toHaveAttribute('aria-pressed', 'true')
  await expect(another.getByLabel('Soft wood at the ground line', { exact: true })).toHaveValue('0.03 m')
  await another.context().close()
})

test('the main job with a finger on a small screen', { tag: '@installed' }, async ({ browser, request, baseURL }) => {
  const id = await importJob(request, trialJob('Main job, phone'))
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    hasTouch: true,
    isMobile: true,
    baseURL,
  })
  const page = await context.newPage()
  await mainJobByPointer(page, `/jobs/${id}`)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  await context.close()
})

test('the main job with the keyboard alone', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Main job, keyboard'))
  await open(page, `/jobs/${id}/look?post=T1`)
  await expect(page.getByRole('heading', { name: 'T1: what do you see?' })).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()

  await page.keyboard.press('n')
  await expect(answer(page, 'at the ground line')).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('n')
  await expect(answer(page, 'easily')).toBeFocused()
  await page.keyboard.press('Space')
  // On through the answers to the first measure.
  await tabTo(page, 'Soft wood at the ground line')
  await page.keyboard.type('3cm')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Soft wood at the ground line: more')

  await page.keyboard.press('3')
  await expect(page.getByText(/Rotted at the ground line.*9\d in 100/).first()).toBeVisible()
  await page.keyboard.press('4')
  await tabTo(page, /^Spur beside it/)
  await page.keyboard.press('Enter')
  await tabTo(page, 'Take it, size the hole')
  await page.keyboard.press('Enter')
  await expect(page.getByText('bags, 20 kg fast post mix')).toBeVisible()
  await toWorkSheet(page)
  await checkEnd(page)
})
