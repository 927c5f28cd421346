import { expect, test, type Page } from './test'
import type { Job, Post } from '../../core/document/job'
import { expectSaved, expectUsable, importJob, open, PHONE, placeOfWork } from './steps'

/* Choosing: side by side, what the choice hangs on, and the whole line at once. */

const rotted: Partial<Post> = {
  ageYears: 14,
  soil: 'firm-clay',
  footing: { kind: 'concrete' },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const rottedOnSound: Partial<Post> = {
  ...rotted,
  footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 },
}
const line: Job = {
  format: 'vindex-job',
  version: 1,
  name: 'Choosing',
  site: { exposure: 'sheltered', shelter: 0.7 },
  lines: [
    {
      id: 'R',
      length: 10.8,
      posts: Array.from({ length: 7 }, (_, i) => ({
        id: `R${i + 1}`,
        station: i * 1.8,
        ...(i % 3 === 1 ? rotted : i % 3 === 2 ? rottedOnSound : { observations: { pushPivot: 'nothing-moves' } }),
      })),
    },
  ],
}
const part = (page: Page, name: string) => page.getByRole('tab', { name }).click()

test('two or three stand side by side, and what counts makes their order', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, line)}/repair?post=R2`)
  await part(page, 'Side by side')
  const picked = page.getByRole('group', { name: 'Repairs beside each other' }).getByRole('button', { pressed: true })
  await expect(picked).toHaveCount(3)
  const table = page.getByRole('table')
  await expect(table.getByRole('columnheader')).toHaveText(await picked.allInnerTexts())
  await expect(table.getByRole('row', { name: /Goes over at/ })).toContainText('m/s')
  // A fourth makes room for itself; one that is tapped again goes.
  await page
    .getByRole('group', { name: 'Repairs beside each other' })
    .getByRole('button', { pressed: false })
    .first()
    .click()
  await expect(picked).toHaveCount(3)
  await picked.first().click()
  await expect(picked).toHaveCount(2)

  await page.getByRole('button', { name: 'What counts for you' }).click()
  const order = page.getByRole('list', { name: 'In your order' }).getByRole('listitem')
  const weigh = (name: string, much: string) =>
    page.getByRole('group', { name, exact: true }).getByRole('button', { name: much }).click()
  for (const name of [
    'Stands the wind',
    'Little to carry',
    'Keeps what is sound',
    'Leaves nothing unsolved',
    'Suits the ground',
  ])
    await weigh(name, 'no')
  await weigh('Little work', 'much')
  await expect(order.first()).toContainText('100 of 100')
  await expect(order.first()).toContainText('little work 100')
})

test('what it has to hold is asked where it is chosen, and said', async ({ page, request }) => {
  const job = { ...line, name: 'Eight years left', lines: [{ ...line.lines[0]!, remainingYears: 8 }] }
  await open(page, `/jobs/${await importJob(request, job)}/repair?post=R2`)
  await expect(page.getByText(/It shall not go over at .*once in 50 years, nor lean at/)).toBeVisible()
  await page.getByRole('button', { name: 'What it has to hold' }).click()
  await page
    .getByRole('group', { name: 'What it has to hold' })
    .getByRole('button', { name: /The life it has left/ })
    .click()
  await expect(page.getByText(/once in 36 years, for the years that the rest of the fence has left/)).toBeVisible()
  await expectSaved(page)
  await part(page, 'Whole line')
  await page.getByRole('button', { name: 'What it has to hold' }).click()
  await expect(page.getByRole('button', { name: /The life it has left/, pressed: true })).toBeVisible()
})

test('what the choice hangs on is said with what it takes to know', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, line)}/repair?post=R2`)
  await part(page, 'Side by side')
  await page.getByRole('button', { name: 'What the choice hangs on' }).click()
  const pin = page.getByRole('list', { name: 'When another repair is right' }).getByRole('listitem')
  await expect(pin.filter({ hasText: 'Steel pin' })).toContainText(
    /if there is a block 0.30 m wide and 0.60 m deep.*To know: dig down one side/,
  )
  await expect(page.getByRole('list', { name: 'How far the gust moves with each fact' })).toContainText('The ground')
  await page.getByRole('button', { name: 'What counts for you' }).click()
  await expectUsable(page, 'side by side')
})

test.describe('on a phone', () => {
  test.use(PHONE)
  test('a whole line is planned, limited, taken and taken back', async ({ page, request }) => {
    await open(page, `/jobs/${await importJob(request, line)}/repair?post=R2`)
    await page.getByRole('tab', { name: 'Whole line' }).tap()
    const plan = page.getByRole('button', { name: 'Plan the line' })
    await plan.tap()
    await expect(page.getByText(/of work, .* to bring/)).toBeVisible()
    // Nothing is done in ten minutes: it is said what would be.
    const hours = page.getByLabel('Hours of work there are')
    await hours.fill('0')
    await hours.blur()
    await expect(page.getByText('Hours of work there are must be more than 0, or empty for no limit')).toBeVisible()
    await hours.fill('0.2')
    await hours.blur()
    await expect(page.getByText(/of work, /)).toHaveCount(0)
    await plan.tap()
    await expect(page.getByText(/^No plan keeps to all of that: the quickest takes/)).toBeVisible()
    await hours.fill('')
    await hours.blur()
    await plan.tap()
    await page.getByRole('button', { name: 'Take this plan' }).tap()
    await expect(page.getByText(/^Taken for 4 of them/)).toBeVisible()
    await expectUsable(page, 'whole line')
    await expectSaved(page)
    await expect(page.getByLabel('What is chosen stays')).toBeChecked()
    await page.getByRole('button', { name: 'undo' }).tap()
    await expect(page.getByLabel('What is chosen stays')).toHaveCount(0)
    await expectSaved(page)
  })
})

test('a sound post is made a gate post under the leaf that hangs on it', async ({ page, request }) => {
  const sound: Partial<Post> = {
    soil: 'firm-clay',
    ageYears: 6,
    footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.5 },
    observations: { pushPivot: 'nothing-moves', probeAtGround: 0, tap: 'rings', fixings: 'sound' },
  }
  const posts = line.lines[0]!.posts.map(({ id, station }) => ({ id, station, ...sound }))
  const id = await importJob(request, { ...line, lines: [{ ...line.lines[0]!, posts }] })
  await open(page, `/jobs/${id}/repair?post=R3`)
  await expect(page.getByText('Nothing to mend here.')).toBeVisible()
  await page.getByRole('button', { name: 'Make it a gate post' }).click()
  // Nobody said yet what hangs on it: the fields for that are at hand.
  const typed = (name: string) => page.getByRole('textbox', { name })
  await expect(typed('Width of the leaf')).toBeInViewport()
  await typed('Width of the leaf').fill('1.2')
  await typed('Between its hinges').fill('1')
  await page.getByLabel('Mass of the leaf, kg').fill('45')
  await page.keyboard.press('Tab')
  await expectSaved(page)
  await page.keyboard.press('Escape')
  await placeOfWork(page, 'Repair').click()
  await expect(page.getByText('It is to become a gate post. As it stands it leans without any wind.')).toBeVisible()
  // Its wood is sound: the post stays, and gets the footing that a leaf wants.
  await expect(page.getByRole('heading', { name: 'Larger footing round it' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Make safe/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Steps' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Hang the leaf' })).toContainText('wait')
  await page.getByRole('button', { name: 'Leave it as it is' }).click()
  await expect(page.getByText('Nothing to mend here.')).toBeVisible()
  await expectSaved(page)
})

test('a fixing that does not fit is refused by how much, and one that does is bored for', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, line)}/repair?post=R3`)
  await page
    .getByRole('button', { name: /^Spur beside it/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Does the fixing at hand fit?' }).click()
  const type = async (name: string, value: string) => {
    await page.getByLabel(name).fill(value)
    await page.getByLabel(name).blur()
  }
  await type('Thick, mm', '10')
  await type('Long, under its head, mm', '200')
  await type('Hole that it goes through, mm', '8')
  await expect(page.getByText('The hole is 3 mm too small: 11 mm for this bolt.')).toBeVisible()
  await page.getByLabel('Only this side can be reached').check()
  await expect(page.getByText('A bolt wants a hand on both sides: a screw here.')).toBeVisible()
  await page.getByRole('group', { name: 'Kind of fixing' }).getByRole('button', { name: 'screw' }).click()
  await type('Hole that it goes through, mm', '11')
  await type('Long, under its head, mm', '180')
  await page.getByLabel('Hot-dip galvanised or stainless').check()
  await expect(page.getByText('It fits.')).toBeVisible()
  await expect(page.getByText('Bore 6 mm first. Socket 16 mm.')).toBeVisible()
  await type('Saw, depth of cut, mm', '65')
  await expect(page.getByText('Cut from both faces')).toBeVisible()
  await type('Thick, mm', '200')
  await expect(page.getByText('Thick, mm must be from 3 mm to 30 mm')).toBeVisible()
})
