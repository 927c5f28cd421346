import { expect, test } from './test'
import { fence } from '../../data/demo/days'
import { expectSaved, expectUsable, importJob, open, PHONE } from './steps'

const tenPosts = (name: string) => ({ ...fence({ posts: 10, gate: true }), name })

test('what is loaded is ticked shelf by shelf, and stays so; what it costs is said line by line', async ({
  page,
  request,
}) => {
  const id = await importJob(request, tenPosts('Ten posts to load'))
  await open(page, `/jobs/${id}/day?post=B1`)
  await page.keyboard.press('9')
  await expect(page).toHaveURL(/\/load/)
  await expect(page.getByText(/things still to load/)).toBeVisible()
  const bags = page.getByRole('checkbox', { name: /^\d+ × 20 kg fast post mix/ })
  await bags.click()
  await expect(bags).toBeChecked()
  await expectSaved(page)
  await page.reload()
  await expect(bags).toBeChecked()
  await bags.click()
  await expect(bags).not.toBeChecked()

  // All posts out of sticks, each with its cut; a van that may carry less drives more often.
  await expect(page.getByRole('heading', { name: /100 × 100 posts: .*no cheaper cutting is to be had/ })).toBeVisible({
    timeout: 30_000,
  })
  await expect(page.getByText(/^Van: \d+ kg of 900 kg$/)).toBeVisible()
  await page.getByRole('checkbox', { name: 'Small van, 600 kg' }).click()
  await page.getByRole('checkbox', { name: 'Van, 900 kg' }).click()
  await expect(page.getByText(/^Small van: \d+ kg of 600 kg, 2 trips$/)).toBeVisible()
  await expect(page.getByText(/post .*: 2\.70 m is longer than any bed/)).toBeVisible()

  await page.getByRole('tab', { name: 'Bill' }).click()
  const cells = page.getByRole('row').filter({ hasText: /€/ })
  const amounts = await cells.evaluateAll((rows) =>
    rows.map((row) => Math.round(Number(row.lastElementChild!.textContent!.replace(/[^\d.]/g, '')) * 100)),
  )
  const words = await cells.allTextContents()
  const before = words.findIndex((each) => each.startsWith('Before tax'))
  expect(amounts.slice(0, before).reduce((sum, each) => sum + each, 0)).toBe(amounts[before])
  expect(amounts[before + 1]).toBe(Math.round(amounts[before]! * 0.2))
  await expectUsable(page, 'the bill')

  await page.getByRole('tab', { name: 'Post', exact: true }).click()
  await expect(page.getByRole('status').filter({ hasText: /Propped/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /New post, concrete: €/ })).toBeVisible()
  await page.getByRole('button', { name: 'What these figures hang on' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /how long it stands.*€.* to €/ })).toBeVisible()
  await page.getByRole('textbox', { name: 'Years that the fence is still wanted' }).fill('0')
  await page.getByRole('textbox', { name: 'Years that the fence is still wanted' }).press('Enter')
  await expect(page.getByText(/a whole number of years from 1 to 30/)).toBeVisible()
  await expectUsable(page, 'what this post costs')
})

test(
  'by phone it is read and ticked without a signal',
  { tag: '@installed' },
  async ({ browser, request, baseURL }) => {
    const id = await importJob(request, tenPosts('Ten posts by phone'))
    const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
    const page = await context.newPage()
    await open(page, `/jobs/${id}/load?post=B1`)
    const gear = page.getByRole('checkbox', { name: 'props and stakes' })
    await expect(gear).toBeVisible()
    await context.setOffline(true)
    await gear.click()
    await expect(gear).toBeChecked()
    await context.setOffline(false)
    await expectSaved(page)
    await expectUsable(page, 'the load by phone')
    await context.close()
  },
)

test('a job without a repair shows what the proposed ones would take; where nobody has looked it says what to do first', async ({
  page,
  request,
}) => {
  const job = tenPosts('Nothing chosen')
  const without = (seen: boolean) => ({
    ...job,
    lines: job.lines.map((line) => ({
      ...line,
      posts: line.posts.map(({ repair: _repair, observations, ...post }) => (seen ? { ...post, observations } : post)),
    })),
  })
  const id = await importJob(request, without(true) as typeof job)
  await open(page, `/jobs/${id}/load?post=B1`)
  await expect(page.getByText('Nothing is chosen yet: this is what the proposed repairs would take.')).toBeVisible()
  await expect(page.getByRole('checkbox', { name: /^\d+ × 20 kg fast post mix/ })).toBeVisible()
  const other = await importJob(request, without(false) as typeof job)
  await open(page, `/jobs/${other}/load?post=B1`)
  await expect(page.getByText('Choose a repair for a post first: what it takes is loaded here.')).toBeVisible()
})
