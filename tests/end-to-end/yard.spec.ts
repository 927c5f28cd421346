import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './test'
import { expectUsable, open, PHONE, pickFiles } from './steps'

/* The yard is one for all tests: each works in a table of its own, and takes back what it changed. */
test.use({ actionTimeout: 15_000 })
const saved = (page: Page) => expect(page.getByText('saved', { exact: true })).toBeVisible()

test('a list goes out, is changed elsewhere, comes back, and is taken back', async ({ page }) => {
  await open(page, '/yard?table=people')
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ])
  const text = readFileSync((await download.path())!, 'utf8')
  expect(text.split('\n').slice(0, 2)).toEqual(['key,name,letter,skills', 'wren,Wren,A,dig mix saw lift'])
  const bring = (list: string) =>
    pickFiles(page, 'Bring a list', { name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  // Unchanged it changes nothing.
  await bring(text)
  await expect(page.getByText('0 rows changed by it.')).toBeVisible()

  await bring(text.replace('dig mix saw lift', 'dig fly'))
  await expect(page.getByRole('alert')).toContainText('row 2, skills is "fly"; it must be one of dig, mix, saw, lift')
  await expect(page.getByRole('row', { name: 'Wren A dig, mix, saw, lift' })).toBeVisible()

  await bring(`${text.replace('wren,Wren,A', 'wren,Wren,W')}hazel,Hazel,H,dig lift\n`)
  await expect(page.getByText('2 rows changed by it.')).toBeVisible()
  await expect(page.getByRole('row', { name: 'Hazel H dig, lift' })).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('row', { name: 'Wren W dig, mix, saw, lift' })).toBeVisible()
  await expectUsable(page, 'people of the yard')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: 'Wren A dig, mix, saw, lift' })).toBeVisible()
  await expect(page.getByRole('row', { name: /Hazel/ })).toBeHidden()
  await page.getByRole('button', { name: 'Again' }).click()
  await expect(page.getByRole('row', { name: /Hazel/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /Hazel/ })).toBeHidden()
  await saved(page)
})

test('a part that jobs may stand on is added for good', async ({ page }) => {
  await open(page, '/yard?table=parts-stake')
  await page.getByRole('button', { name: 'One more' }).click()
  const form = page.getByRole('form', { name: 'New row: Stakes' })
  await form.getByRole('textbox', { name: 'name' }).fill('our own stake')
  await form.getByRole('textbox', { name: 'diameter' }).fill('30')
  await form.getByRole('textbox', { name: 'driven' }).fill('2\' 6"')
  await form.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('row', { name: /our own stake/ })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'driven' })).toHaveValue(/0\.76/)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toContainText('jobs may stand on it')
  await expect(page.getByRole('row', { name: /our own stake/ })).toBeVisible()
})

test('a block of a spreadsheet is pasted where one stands, and undone in one go', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, '/yard?table=vehicles')
  await page.getByRole('button', { name: 'Van', exact: true }).click()
  const payload = page.getByRole('textbox', { name: 'may carry, kg' })
  await payload.click()
  await page.evaluate(() => navigator.clipboard.writeText('950\t3.4\n640\t2.5'))
  await page.keyboard.press('Control+v')
  await expect(page.getByText('2 rows changed by it.')).toBeVisible()
  await expect(payload).toHaveValue('950')
  await expect(page.getByRole('row', { name: 'Small van 640 2.50 m' })).toBeVisible()

  await page.evaluate(() => navigator.clipboard.writeText('heavy\t3.4'))
  await payload.click()
  await page.keyboard.press('Control+v')
  await expect(page.getByRole('alert')).toContainText('line 1, may carry is "heavy"')
  await expect(payload).toHaveValue('950')

  await page.keyboard.press('Escape')
  await page.getByRole('heading', { name: 'Vans' }).click()
  await page.keyboard.press('z')
  await expect(page.getByRole('row', { name: 'Van 900 3.20 m' })).toBeVisible()
  await expect(page.getByRole('row', { name: 'Small van 600 2.40 m' })).toBeVisible()
  await saved(page)
})

test('by keyboard alone, and what is wrong is said at its cell', async ({ page }) => {
  await open(page, '/yard?table=parts-dowel')
  await page.getByRole('button', { name: '12 mm ribbed bar, 300 mm' }).focus()
  await page.keyboard.press('Enter')
  const size = page.getByRole('textbox', { name: 'diameter' })
  await size.focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('2000')
  await page.keyboard.press('Enter')
  await expect(page.getByText('It must be a length from 0.0001 to 0.1 m')).toBeVisible()
  await expect(size).toHaveValue('2000')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('13')
  await page.keyboard.press('Enter')
  // Down to the same column of the next row.
  await expect(page.getByRole('textbox', { name: 'diameter' })).toHaveValue('16 mm')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('row', { name: /12 mm ribbed bar, 300 mm 13 mm/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /12 mm ribbed bar, 300 mm 12 mm/ })).toBeVisible()
  await saved(page)
})

test(
  'on the phone without a signal a row is opened, typed into, and sent later',
  { tag: '@installed' },
  async ({ browser, baseURL }) => {
    const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
    const page = await context.newPage()
    await open(page, '/yard?table=tools')
    await page.getByRole('button', { name: 'narrow spade' }).click()
    await context.setOffline(true)
    const count = page.getByRole('textbox', { name: 'how many' })
    await count.fill('3')
    await count.press('Enter')
    await expect(page.getByText('waits for a signal')).toBeVisible()
    await page.getByRole('button', { name: 'Done' }).click()
    await expectUsable(page, 'the yard by phone')
    await context.setOffline(false)
    await saved(page)
    await page.reload()
    await page.getByRole('button', { name: 'narrow spade' }).click()
    await expect(page.getByRole('textbox', { name: 'how many' })).toHaveValue('3')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('textbox', { name: 'how many' })).toHaveValue('2')
    await saved(page)
    await context.close()
  },
)

test('somebody of the yard comes along for the day', async ({ page, request }) => {
  const { demoJobs } = await import('../../data/demo/jobs')
  const { importJob } = await import('./steps')
  const id = await importJob(request, { ...demoJobs().at(-1)!, name: 'Somebody comes along' })
  await open(page, `/jobs/${id}/day`)
  await page.getByRole('tab', { name: 'Who', exact: true }).click()
  await page.getByRole('button', { name: 'Wren comes' }).click()
  await expect(page.getByRole('textbox', { name: 'Name of A' })).toHaveValue('Wren')
  await page.getByRole('button', { name: 'Alder comes' }).click()
  await expect(page.getByRole('textbox', { name: 'Name of B' })).toHaveValue('Alder')
  await expect(page.getByRole('checkbox', { name: 'B saws and fixes' })).not.toBeChecked()
})
