import { expect, test, type Page } from './test'
import { answer, expectSaved, open, PHONE, placeOfWork, tabTo, toWorkSheet } from './steps'

/* A new job from nothing to the sheet, as a newcomer goes: nobody has to open the line's facts for sensible figures. */

/** From the cause to a sheet with a hole that practice would dig. */
async function expectSheet(page: Page, depth: RegExp, bags: RegExp, holds: RegExp): Promise<void> {
  await expect(page.getByRole('heading', { name: /^Post A3: new post, concrete/ })).toBeVisible()
  await expect(page.getByText(depth).first()).toBeVisible()
  await expect(page.getByText(bags)).toBeVisible()
  await expect(page.getByText(holds)).toBeVisible()
  // What nobody said is listed in words.
  await expect(page.getByText(/^Frost goes down to: /)).toBeVisible()
  await expectSaved(page)
}

test('in metres, with a finger on a small screen', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ ...PHONE, locale: 'en-GB', baseURL })
  const page = await context.newPage()
  await open(page, '/')
  await page.getByRole('button', { name: 'New job' }).tap()
  await answer(page, 'among houses and trees').tap()
  await answer(page, 'houses or dense growth').tap()
  await page.getByRole('button', { name: /^Firm clay: a thumb/ }).tap()
  await page.getByLabel('What is it called?').fill('Corner garden')
  await page.getByRole('button', { name: 'Make it' }).tap()
  await placeOfWork(page, 'Look').tap()
  for (const _step of [1, 2]) await page.getByRole('button', { name: 'Next post' }).tap()
  await answer(page, 'at the ground line').tap()
  await answer(page, 'easily').tap()
  const probe = page.getByLabel('Soft wood at the ground line', { exact: true })
  await probe.fill('0.025')
  await probe.press('Enter')
  await page.getByRole('button', { name: 'See the cause' }).tap()
  await page.getByRole('button', { name: 'Choose the repair' }).tap()
  await page.getByRole('button', { name: 'Take it, size the hole' }).tap()
  await page.getByRole('button', { name: 'To the sheet' }).tap()
  await expectSheet(
    page,
    /0\.(60|65|70|75) m deep/,
    /[2-5] bags of 20 kg fast post mix/,
    /Leans from 3\d m\/s.*goes over at (4|5)\d m\/s/,
  )
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
  await context.close()
})

test('in feet and inches, with the keyboard alone', async ({ browser, baseURL }) => {
  // The device says where it is.
  const context = await browser.newContext({ locale: 'en-US', baseURL, viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await open(page, '/')
  await tabTo(page, 'New job')
  await page.keyboard.press('Enter')
  for (const tile of ['among houses and trees', 'houses or dense growth', /^Firm clay: a thumb/]) {
    await tabTo(page, tile as string)
    await page.keyboard.press('Space')
  }
  await tabTo(page, 'What is it called?')
  await page.keyboard.type('Corner yard')
  await tabTo(page, 'Posts: tape readings, or bays')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('5 x 8 ft')
  await tabTo(page, 'Height of the fence')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('6 ft')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 6 posts' })).toBeVisible()
  await page.keyboard.press('2')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'A3: what do you see?' })).toBeVisible()
  await page.keyboard.press('n')
  await expect(answer(page, 'at the ground line')).toBeFocused()
  await page.keyboard.press('Enter')
  await tabTo(page, 'Soft wood at the ground line')
  await page.keyboard.type('1 in')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Soft wood at the ground line: more')
  await page.keyboard.press('3')
  await page.keyboard.press('4')
  await expect(page.getByRole('button', { name: 'Take it, size the hole' })).toBeVisible()
  await tabTo(page, 'Take it, size the hole')
  await page.keyboard.press('Enter')
  await expect(page.getByText('bags, 50 lb fast-setting mix')).toBeVisible()
  await toWorkSheet(page)
  // On the inch, in pounds and miles an hour.
  await expectSheet(
    page,
    /2'( [1-6]")? deep/,
    /[2-5] bags of 50 lb fast-setting mix/,
    /Leans from [78]\d mph.*goes over at (9|10|11)\d mph/,
  )
  await context.close()
})

test('figures that can be and hardly ever are, are asked back before they count', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('What is it called?').fill('Feet for metres')
  await page.getByLabel('Posts: tape readings, or bays').fill('6 x 8')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText('A bay of 8.00 m: posts hardly ever stand more than 4.00 m apart.')).toBeVisible()
  await page.getByLabel('Posts: tape readings, or bays').fill('6 x 2.4')
  await page.getByRole('button', { name: /^Make it/ }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 7 posts' })).toBeVisible()
})

test('a post in which nothing is wrong is asked for no repair and has no sheet', async ({ page, request }) => {
  const posts = Array.from({ length: 5 }, (_, i) => ({ id: `S${i + 1}`, station: i * 2.4 }))
  const job = { format: 'vindex-job', version: 1, name: 'Sound line', lines: [{ id: 'S', posts }] }
  const { id } = await (await request.post('/api/jobs/import', { data: job })).json()
  await open(page, `/jobs/${id}/repair?post=S2`)
  await expect(page.getByText('No repair is proposed before it was looked at.')).toBeVisible()
  await open(page, `/jobs/${id}/look?post=S1`)
  await answer(page, 'nothing moves').click()
  await open(page, `/jobs/${id}/look?post=S2`)
  await answer(page, 'nothing moves').click()
  await page.keyboard.press('3')
  await expect(page.getByText('Nothing wrong found: nothing moves when pushed. It can carry the string.')).toBeVisible()
  await page.keyboard.press('4')
  await expect(page.getByText('Nothing to mend here.')).toBeVisible()
  await page.keyboard.press('0')
  await expect(page.getByRole('heading', { name: 'Post S2: no page' })).toBeVisible()
})
