import { expect, test } from './test'
import { calculations } from '../../core/calc/registry'
import { expectUsable, goElsewhere, open, PHONE, tabTo } from './steps'

/* The bench: every named calculation as a form with its drawing, without a job. */

const figure = (page: import('./test').Page, name: string) => page.getByRole('definition').filter({ hasText: name })

test('every calculation has its form, its answer, its drawing, its source and its example', async ({ page }) => {
  await open(page, '/')
  await goElsewhere(page, 'Bench')
  const list = page.getByRole('navigation', { name: 'Calculations' })
  for (const { name, source } of calculations) {
    const words = name.replaceAll('-', ' ')
    await list.getByText(words, { exact: true }).click()
    const article = page.getByRole('article', { name: words, exact: true })
    await expect(article.getByRole('heading', { name: words, exact: true })).toBeVisible()
    await expect(article.getByText(`Source: ${source}.`)).toBeVisible()
    await expect(article.getByText(/^Worked: .+ → .+\.$/)).toBeVisible()
    await expect(article.getByRole('img', { name: / by .+: .+ at / })).toBeVisible()
    await expect(article.getByRole('alert')).toHaveCount(0)
  }
})

test('its figures move with what is typed, in the units of whoever types, and stand in the address', async ({
  page,
  context,
}) => {
  await open(page, '/bench?calc=code-force')
  const answer = page.getByRole('region', { name: 'What comes out' })
  await expect(answer.getByText('412.8 N')).toBeVisible()
  const drawing = page.getByRole('img', { name: /how deep it stands 0\.76 m/ })
  await expect(drawing).toBeVisible()
  const depth = page.getByRole('textbox', { name: 'depth, m' })
  await depth.fill('90 cm')
  await depth.press('Enter')
  await expect(page.getByRole('img', { name: /how deep it stands 0\.90 m/ })).toBeVisible()
  const force = await answer
    .getByText(/^\d+\.?\d* N$/)
    .first()
    .textContent()
  expect(Number(force!.replace(' N', ''))).toBeGreaterThan(412.8)

  // Whoever is sent the address sees the same.
  const other = await context.newPage()
  await open(other, page.url())
  await expect(other.getByRole('region', { name: 'What comes out' }).getByText(force!)).toBeVisible()
  await other.close()

  // In feet and inches the same figures are read and typed otherwise.
  await page.getByRole('button', { name: 'm', exact: true }).click()
  await expect(answer.getByText(/ lb$/).first()).toBeVisible()
  const feet = page.getByRole('textbox', { name: 'depth, ft in' })
  await feet.fill(`3'`)
  await feet.press('Enter')
  await expect(page.getByRole('img', { name: /how deep it stands 3'/ })).toBeVisible()
  await page.getByRole('button', { name: 'Back to the worked example' }).click()
  await page.getByRole('button', { name: 'ft in', exact: true }).click()
  await expect(answer.getByText('412.8 N')).toBeVisible()
})

test('what is wrong is said at its field, and nothing of it is lost', async ({ page }) => {
  await open(page, '/bench?calc=post-in-ground')
  const height = page.getByRole('textbox', { name: 'height, m' })
  await height.fill('tall')
  await height.press('Enter')
  await expect(page.getByText(/height is "tall"; it must be a length/)).toBeVisible()
  await expect(height).toHaveValue('tall')
  await height.fill('40')
  await height.press('Enter')
  await expect(page.getByText(/height is 40; it must be a number from 0 to 10 m/)).toBeVisible()
  await expect(page.getByText('What is marked has to be put right first.')).toBeVisible()
  await height.fill('1')
  await height.press('Enter')
  await expect(figure(page, ' N').first()).toBeVisible()
  // A list grows and shrinks; what is in it is asked for as it stands in the listing.
  await page.getByRole('group', { name: 'segments', exact: true }).getByRole('button', { name: 'One more' }).click()
  await expect(page.getByRole('group', { name: 'segments 2' })).toBeVisible()
  await expect(page.getByRole('alert').filter({ hasText: /segments\[1\]/ })).toBeVisible()
  await page.getByRole('button', { name: 'Leave out segments 2' }).click()
  await expect(figure(page, ' N').first()).toBeVisible()
})

test('is found by its name, and worked by keyboard alone', async ({ page }) => {
  await open(page, '/bench')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /Find a post/ }).fill('bench hole volume')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'hole volume' })).toBeVisible()
  await tabTo(page, 'overdig')
  await page.keyboard.type('0.5')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/overdig/)
  await expectUsable(page, 'the bench')
})

test('by phone, without a signal', { tag: '@installed' }, async ({ browser, baseURL }) => {
  const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
  const page = await context.newPage()
  await open(page, '/bench?calc=bags')
  await page.evaluate(() => navigator.serviceWorker.ready)
  await context.setOffline(true)
  const litres = page.getByRole('textbox', { name: 'concrete, L' })
  await litres.fill('70')
  await litres.press('Enter')
  await expect(page.getByRole('definition').filter({ hasText: /^7\D/ }).first()).toBeVisible()
  await page.getByRole('combobox', { name: 'Calculation' }).press('ArrowDown')
  await page.getByRole('option', { name: 'base plate', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'base plate' })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  await expectUsable(page, 'the bench by phone')
  await context.close()
})
