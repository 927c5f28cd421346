import { execFileSync } from 'node:child_process'
import { expect, test, type Page } from './test'
import type { Job, Post } from '../../core/document/job'
import { plan } from '../../core/plan/plan'
import { measuresIn } from '../../core/units/quantity'
import { tables } from '../../data/tables'
import { expectSaved, expectUsable, importJob, open, PHONE } from './steps'

/* The hole: pulled on, stopped short, its ground measured, filled, and with which bags. */

const rotted: Partial<Post> = {
  soil: 'firm-clay',
  ageYears: 14,
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const sound: Partial<Post> = {
  soil: 'firm-clay',
  ageYears: 14,
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
}
const METHOD = 'new-post-concrete'
const holeJob: Job = {
  format: 'vindex-job',
  version: 1,
  name: 'Holes',
  site: { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.5 },
  lines: [
    {
      id: 'H',
      kind: 'close-boarded',
      height: 1.8,
      gap: 0.05,
      posts: Array.from({ length: 5 }, (_, i) => ({
        id: `H${i + 1}`,
        station: i * 2.4,
        ...(i === 2 ? { ...rotted, repair: { method: METHOD } } : sound),
      })),
    },
  ],
}
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()
const grip = (page: Page, name: string) => page.getByRole('slider', { name })
const documentOf = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/jobs/${id}/export`)).json()) as Job
const holeOf = async (page: Page, id: string) =>
  (await documentOf(page, id)).lines[0]!.posts[2]!.repair?.holes?.[METHOD]

test('is pulled by its grips, planned anew all the while, and kept when it is let go', async ({ page, request }) => {
  const id = await importJob(request, holeJob)
  await open(page, `/jobs/${id}/hole?post=H3`)
  const depth = grip(page, 'Depth of the hole')
  const before = Number(await depth.getAttribute('aria-valuenow'))
  const box = (await depth.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 60, { steps: 6 })
  // While it is held everything says the new depth, and nothing is saved of it.
  const held = Number(await depth.getAttribute('aria-valuenow'))
  expect(held).toBeGreaterThan(before)
  expect(await holeOf(page, id)).toBeUndefined()
  await page.mouse.up()
  await expectSaved(page)
  await expect.poll(async () => ((await holeOf(page, id))?.depth ?? 0) * 1000).toBeCloseTo(held, 0)
  await page.getByRole('button', { name: 'undo' }).click()
  await expect(depth).toHaveAttribute('aria-valuenow', String(before))
  // By the keyboard a centimetre at a time, the arrows go on to no other post.
  await depth.focus()
  await page.keyboard.press('ArrowUp')
  await expect(depth).toHaveAttribute('aria-valuenow', String(before + 10))
  await expect(page).toHaveURL(/post=H3/)
})

test('every figure is the shell’s for the same job file', async ({ page, request }, info) => {
  const id = await importJob(request, holeJob)
  await open(page, `/jobs/${id}/hole?post=H3`)
  await page.getByRole('button', { name: 'belled' }).click()
  await expectSaved(page)
  const file = info.outputPath('job.json')
  const { writeFileSync } = await import('node:fs')
  writeFileSync(file, JSON.stringify(await documentOf(page, id)))
  const shell = JSON.parse(execFileSync('node', ['cli/start.mjs', 'plan', file], { encoding: 'utf8' })) as ReturnType<
    typeof plan
  >
  const post = shell.posts.find((each) => each.post === 'H3')!
  const method = post.methods.find((each) => each.method === METHOD)!
  const says = measuresIn('metric')
  const panel = page.locator('[data-place="hole"]')
  await expect(panel).toContainText(`${method.hole!.depth.toFixed(2)}m deep`)
  await expect(panel).toContainText(`leans from ${says.gust(method.leanGust!)}`)
  await expect(panel).toContainText(`goes over at ${says.gust(method.holdingGust!)}`)
  await expect(panel).toContainText(says.volume(method.concrete!.concrete))
  await expect(panel).toContainText(`${method.concrete!.bags.exactCount.toFixed(2)} bags`)
  await expect(panel).toContainText(says.strength(method.concrete!.bags.strength))
})

test('stopped short, every way out is there, and one undo takes it back', async ({ page, request }) => {
  const id = await importJob(request, holeJob)
  await open(page, `/jobs/${id}/hole?post=H3`)
  await tab(page, 'Stopped')
  await page.getByRole('button', { name: 'root', exact: true }).click()
  await page.getByRole('textbox', { name: 'Reached' }).fill('0.55')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'on the left' }).click()
  const ways = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Do this' }) })
  const key = ways.filter({ hasText: 'Set a board across it near the top' })
  await expect(key).toContainText(/It leans from \d+ m\/s/)
  await key.getByRole('button', { name: 'Do this' }).click()
  await expectSaved(page)
  await expect(page.getByText(/root at 0\.55 m, on the left: set a key/)).toBeVisible()
  await expect.poll(() => holeOf(page, id)).toMatchObject({ depth: 0.55, key: true })
  await page.getByRole('button', { name: 'undo' }).click()
  await expect.poll(async () => (await documentOf(page, id)).lines[0]!.posts[2]!.met).toBeUndefined()
  expect(await holeOf(page, id)).toBeUndefined()
})

test('at a pipe it says to stop', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, holeJob)}/hole?post=H3`)
  await tab(page, 'Stopped')
  await page.getByRole('button', { name: 'pipe or cable' }).click()
  await expect(
    page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /keep it so/ }) }),
  ).toContainText('call the marking service')
  await expect(page.getByText('Dig it wider', { exact: false })).toHaveCount(0)
})

test('the ground in layers and by a pull moves the figures, and says so', async ({ page, request }) => {
  const id = await importJob(request, holeJob)
  await open(page, `/jobs/${id}/hole?post=H3`)
  await tab(page, 'Ground')
  await page.getByRole('button', { name: 'It changes further down' }).click()
  await expectSaved(page)
  await expect.poll(async () => (await documentOf(page, id)).lines[0]!.posts[2]!.layers?.length).toBe(2)
  // A neighbour is pulled: this one hinges at the ground.
  await page.getByRole('button', { name: 'Pull it, and read how far it moves' }).click()
  await expect(page.getByText(/Pull a neighbour/)).toBeVisible()
  await open(page, `/jobs/${id}/look?post=H2`)
  await page.getByRole('button', { name: 'Pull it, and read how far it moves' }).click()
  await expect(page.getByText(/up to \d+ kg at 1\.20 m/)).toBeVisible()
  await page.getByLabel('The balance shows, kg').fill('20')
  await page.keyboard.press('Enter')
  await page.getByRole('textbox', { name: 'It moved' }).fill('0.012')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Keep this pull' }).click()
  await expect(page.getByText(/By your pull the ground is 0\.\d times what the thumb said/)).toBeVisible()
  await expectSaved(page)
})

test('filling is told in litres, and water that went in is judged', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, holeJob)}/hole?post=H3`)
  await tab(page, 'Filling')
  await page.getByRole('combobox', { name: 'Filling' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Water first' }).click()
  await expect(page.getByText(/Water into the hole to a third of its concrete: \d/)).toBeVisible()
  await expect(page.getByText('what the bags want', { exact: true })).toBeVisible()
  await page.getByLabel('Bags in').fill('3')
  await page.keyboard.press('Enter')
  await page.getByLabel('Water in, L').fill('11.4')
  await page.keyboard.press('Enter')
  // A litre more in each bag of post mix: 44 in 100 weaker.
  await expect(page.getByText(/44 in 100 weaker than the label/)).toBeVisible()
  await expect(page.getByText(/minutes before it stiffens/)).toBeVisible()
})

test('bags in hand go where they do most', async ({ page, request }) => {
  await open(page, `/jobs/${await importJob(request, holeJob)}/hole?post=H3`)
  await tab(page, 'Bags')
  await page.getByLabel('Bags on the van').fill('2')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 short at H3')).toBeVisible()
  await expect(page.getByText('Where they do most')).toBeVisible()
  await expect(page.getByText(/Wedge clean stones/)).toBeVisible()
})

test('the sheet of the hole is a page to print', async ({ page, request }) => {
  const id = await importJob(request, holeJob)
  const answer = await page.request.get(`/api/jobs/${id}/hole?post=H3`)
  expect(answer.headers()['content-type']).toContain('application/pdf')
  expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-')
  expect((await page.request.get(`/api/jobs/${id}/hole?post=H1`)).status()).toBe(404)
  expect((await page.request.get(`/api/jobs/${id}/hole?post=H3&units=ells`)).status()).toBe(422)
  expect(plan(holeJob, tables).posts).toHaveLength(5)
})

test.describe('on a phone', () => {
  test.use(PHONE)
  test('a thumb can take every grip, and every part can be used', async ({ page, request }) => {
    await open(page, `/jobs/${await importJob(request, holeJob)}/hole?post=H3`)
    const grips = page.getByRole('slider')
    await expect(grips.first()).toBeVisible()
    const boxes = await Promise.all((await grips.all()).map((each) => each.boundingBox()))
    for (const box of boxes) {
      expect(box!.width).toBeGreaterThanOrEqual(44)
      expect(box!.height).toBeGreaterThanOrEqual(44)
      expect(box!.x).toBeGreaterThanOrEqual(0)
      expect(box!.x + box!.width).toBeLessThanOrEqual(360)
    }
    // No two lie over each other so far that a thumb takes the wrong one.
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1))
        expect(Math.max(Math.abs(a!.x - b!.x), Math.abs(a!.y - b!.y))).toBeGreaterThanOrEqual(30)
    for (const name of ['Ground', 'Stopped', 'Filling', 'Bags', 'Hole']) {
      await tab(page, name)
      await expectUsable(page, `the hole: ${name}`)
    }
  })
})
