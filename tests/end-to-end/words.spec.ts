import { expect, test } from './test'
import { expectUsable, goElsewhere, open, PHONE } from './steps'

/* Words of the trade, each with its drawing, found by their name. */

test('a word is found from anywhere by its name, and by what it is called else', async ({ page }) => {
  await open(page, '/')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /Find a post/ }).fill('weathered top')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/words\?word=crown/)
  const word = page.getByRole('term').filter({ hasText: /^crown$/ })
  await expect(word).toBeInViewport()
  await expect(page.getByRole('img', { name: 'crown', exact: true })).toBeInViewport()
  await page.getByLabel('Search the words').fill('frost')
  await expect(page.getByRole('term').first()).toHaveText('heave')
  await page.getByLabel('Search the words').fill('submarine')
  await expect(page.getByText(/^No word of that kind/)).toBeVisible()
  await expectUsable(page, 'the words')
})

test('by phone each word has its drawing, none wider than the screen', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
  const page = await context.newPage()
  await open(page, '/')
  await goElsewhere(page, 'Words')
  await expect(page.getByRole('term').first()).toBeVisible()
  const terms = await page.getByRole('term').count()
  expect(terms).toBeGreaterThan(25)
  await expect(page.getByRole('main').getByRole('img')).toHaveCount(terms)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  await context.close()
})
