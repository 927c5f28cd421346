import { expect, test, type Page } from './test'
import { drawCase, type PracticeCase } from '../../core/practice/case'
import { DRILLS, drillOf } from '../../core/practice/drills'
import { bestMove, LONGEST_LINE } from '../../core/practice/search'
import { tables } from '../../data/tables'
import { expectUsable, goElsewhere, open, PHONE, tabTo } from './steps'

/* Practice: a case is looked at for minutes, committed to, and reckoned up; drills; how often right. */

const SEED = 33
/** The case that every test of this file has in hand. */
const known: PracticeCase = drawCase(SEED, 'easy', tables)
async function withCase(page: Page): Promise<void> {
  await page.addInitScript((seed) => {
    if (!localStorage.getItem('vindex-practice-case'))
      localStorage.setItem('vindex-practice-case', JSON.stringify({ seed, level: 'easy', leaning: [], seen: [] }))
  }, SEED)
}
const check = (page: Page, i: number) =>
  page.getByRole('button', {
    name: new RegExp(`^${known.position.model.checks[i]!.row.check.replace(/[.?]/g, '\\$&')}`),
  })
async function choose(page: Page, label: string, name: string): Promise<void> {
  await page.getByRole('combobox', { name: label }).press('ArrowDown')
  const list = page.getByRole('listbox', { name: label })
  await expect(list.getByRole('option').first()).toBeVisible()
  const option = list.getByRole('option', { name, exact: true })
  // Of a long list only what is in sight is there.
  await expect(async () => {
    if ((await option.count()) === 0) await list.evaluate((each) => each.scrollBy(0, 200))
    await expect(option).toBeVisible({ timeout: 200 })
  }).toPass()
  await option.click()
  await expect(page.getByRole('combobox', { name: label })).toHaveValue(name)
}
/** The best line as this case shows it, and what it ends with. */
function bestLine(): { checks: number[]; method: string } {
  const found = new Map()
  const checks: number[] = []
  for (;;) {
    const seen = checks.map((each) => [each, known.shows[each]!] as const)
    const move = bestMove(known.position, seen, LONGEST_LINE - checks.length, found)
    if (move.check === undefined) return { checks, method: move.way.method }
    checks.push(move.check)
  }
}
const truthName = () =>
  known.truth === 'nothing-wrong' ? 'Nothing wrong' : tables.causes.causes.find(({ key }) => key === known.truth)!.name
const methodName = (method: string) =>
  method === 'leave' ? 'Leave it as it is' : tables.parts.methods.find(({ key }) => key === method)!.name

test('the best line of a case scores all but everything, and is kept in the table', async ({ page }) => {
  await withCase(page)
  await open(page, '/')
  await goElsewhere(page, 'Practice')
  await expect(page.getByText(/^45 of 45 minutes left/)).toBeVisible()
  await expect(page.getByText(new RegExp(`Somebody complains of ${known.post}`))).toBeVisible()
  const { checks, method } = bestLine()
  let left = 45
  for (const each of checks) {
    const { row, minutes, showings } = known.position.model.checks[each]!
    await check(page, each).click()
    left -= minutes
    await expect(page.getByText(new RegExp(`^${left} of 45 minutes left`))).toBeVisible()
    // What it showed stands there as in a job.
    const { value } = showings[known.shows[each]!]!
    await expect(page.getByRole('list', { name: 'Looked at', exact: true })).toContainText(
      row.bands || row.logistic ? row.words[value]! : /./,
    )
    await expect(check(page, each)).toHaveCount(0)
  }
  // What was looked at stays through a reload.
  await page.reload()
  await expect(page.getByText(new RegExp(`^${left} of 45 minutes left`))).toBeVisible()

  await page.getByRole('button', { name: 'Commit' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Say what it is' })).toBeVisible()
  await choose(page, 'What is it?', truthName())
  await choose(page, 'What is done?', methodName(method))
  if (await page.getByRole('textbox', { name: 'How deep?' }).isVisible()) {
    await page.getByRole('textbox', { name: 'How deep?' }).fill('1.2')
    await page.getByRole('textbox', { name: 'How deep?' }).press('Enter')
    await page.getByRole('textbox', { name: 'How wide?' }).fill('0.3')
    await page.getByRole('textbox', { name: 'How wide?' }).press('Enter')
    const bags = page.getByRole('textbox', { name: 'How many bags?' })
    if (await bags.isVisible()) await bags.fill('6')
  }
  await page.getByRole('button', { name: 'Commit' }).click()
  await expect(page.getByRole('heading', { name: truthName() })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('The repair answers it: no visit is wasted.')).toBeVisible()
  const score = Number(await page.locator('.score strong').textContent())
  expect(score).toBeGreaterThan(50)
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: /deciban/ })
      .first(),
  ).toBeVisible()
  await expectUsable(page, 'the reckoning')

  await page.getByRole('tab', { name: 'How often right' }).click()
  await expect(page.getByRole('row', { name: new RegExp(`^${truthName()} 1 1`) })).toBeVisible()
  await page.reload()
  await page.getByRole('tab', { name: 'How often right' }).click()
  await expect(page.getByRole('row', { name: new RegExp(`^${truthName()} 1 1`) })).toBeVisible()
})

test('whoever stops before looking is told so, and gets another case', async ({ page }) => {
  await withCase(page)
  await open(page, '/practice')
  await page.getByRole('button', { name: 'I know enough' }).click()
  await choose(page, 'What is it?', 'Nothing wrong')
  await choose(page, 'What is done?', 'Leave it as it is')
  await page.getByRole('button', { name: 'Commit' }).click()
  await expect(page.getByText(/^Stopped too early/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'The next case' }).click()
  await expect(page.getByText(/^45 of 45 minutes left/)).toBeVisible()
  await page.getByRole('button', { name: 'misleading' }).click()
  await expect(page.getByText(/^45 of 45 minutes left/)).toBeVisible()
  await expectUsable(page, 'a case')
})

test('drills ask by the clock and say how it is worked out, by keyboard alone', async ({ page }) => {
  await open(page, '/practice')
  await page.getByRole('tab', { name: 'Drills' }).click()
  for (const name of ['Gate openings', 'Hole readings', 'Water', 'Working time', 'Bags in the head']) {
    await page.getByRole('button', { name, exact: true }).click()
    await expect(page.getByRole('heading', { name })).toBeVisible()
    await expect(page.getByRole('timer')).toHaveText(/^\d+ s$/)
    await page.getByRole('textbox', { name: /Your answer/ }).fill('99')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').filter({ hasText: /^No: .+, in \d+ s\./ })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('textbox', { name: /Your answer/ })).toHaveValue('')
  }
  await page.getByRole('textbox', { name: /Your answer/ }).fill('many')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/answer is "many"; it must be a number/)).toBeVisible()
  await tabTo(page, 'That is it')
  await expectUsable(page, 'the drills')
})

test('a drill knows a right answer', async ({ page }) => {
  // The first that is asked after a fixed beginning.
  await page.addInitScript(() => {
    crypto.getRandomValues = ((array: Uint32Array) => array.fill(14)) as typeof crypto.getRandomValues
  })
  await open(page, '/practice')
  await page.getByRole('tab', { name: 'Drills' }).click()
  const drill = drillOf(DRILLS[0], 7, tables)
  await page.getByRole('textbox', { name: 'Your answer, bags' }).fill(String(drill.answer))
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByRole('status').filter({ hasText: /^Right: / })).toBeVisible()
  await expect(page.getByText('Right 1 times of 1.')).toBeVisible()
})

test('by phone, without a signal', { tag: '@installed' }, async ({ browser, baseURL }) => {
  const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
  const page = await context.newPage()
  await withCase(page)
  await open(page, '/practice')
  await page.evaluate(() => navigator.serviceWorker.ready)
  await context.setOffline(true)
  await check(page, 0).click()
  await expect(page.getByText(/^44 of 45 minutes left/)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  await context.close()
})
