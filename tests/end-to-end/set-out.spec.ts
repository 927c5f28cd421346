import { expect, test, type Page } from './test'
import type { Job, Post } from '../../core/document/job'
import { plan } from '../../core/plan/plan'
import { gateSetOut } from '../../core/plan/setOut/gate'
import { setOutLine } from '../../core/plan/setOut/line'
import { resolveJob } from '../../core/resolve/resolve'
import { measuresIn } from '../../core/units/quantity'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { expectSaved, expectUsable, importJob, open, PHONE, placeOfWork } from './steps'

/* Setting out: strings, readings and their answers, tops, cuts, the gate, and what stands round a post. */

const rotted: Partial<Post> = {
  soil: 'firm-clay',
  ageYears: 14,
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
  repair: { method: 'new-post-concrete' },
}
const POSTS = 12
const longLine: Job = {
  format: 'vindex-job',
  version: 1,
  name: 'Twelve in the rain',
  site: { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.5 },
  lines: [
    {
      id: 'R',
      kind: 'close-boarded',
      height: 1.8,
      gap: 0.05,
      posts: Array.from({ length: POSTS }, (_, i) => ({ id: `R${i + 1}`, station: i * 2.4, ...rotted })),
    },
  ],
}
const setOutOf = (job: Job, line = 0) => {
  const resolved = resolveJob(job, tables)
  const { id } = resolved.lines[line]!
  const plans = plan(job, tables).posts.filter((each) => each.line === id)
  return setOutLine(resolved.lines[line]!, plans, tables)
}
const entrance = demoJobs().find(({ name }) => name.startsWith('Lane entrance'))!
const documentOf = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/jobs/${id}/export`)).json()) as Job
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()
const reading = (page: Page, name: string) => page.getByRole('group', { name })
const millimetres = (length: number) => `${Math.round(length * 1e3)}`

test(
  'a whole line of twelve by touch, without a signal',
  { tag: '@installed' },
  async ({ browser, request, baseURL }) => {
    const id = await importJob(request, longLine)
    const context = await browser.newContext({ ...PHONE, baseURL, locale: 'en-GB' })
    const page = await context.newPage()
    await open(page, `/jobs/${id}/set-out?post=R1`)
    await expect(reading(page, 'gap at the lower string')).toBeVisible()
    await context.setOffline(true)
    const wanted = setOutOf(longLine).posts
    for (const [i, post] of wanted.entries()) {
      await expect(page.getByText(`${post.post} ${post.carries ? 'carries' : 'is set to'} the strings`)).toBeVisible()
      const readings = [
        ['gap at the lower string', post.gapLow + 0.004, 'in 4 mm'],
        ['gap at the upper string', post.gapHigh - 0.005, 'out 5 mm'],
        ['lower string to the bottom of the hole, before any stone', post.hole!.reading - 0.03, 'dig 30 mm'],
      ] as const
      for (const [name, found, says] of readings) {
        const group = reading(page, name)
        await group.getByRole('textbox').tap()
        await group.getByRole('textbox').fill(millimetres(found))
        await group.getByRole('textbox').press('Enter')
        await expect(group.getByRole('status')).toHaveText(says)
      }
      if (i < POSTS - 1) await page.getByRole('button', { name: 'Next post ›' }).tap()
    }
    await context.setOffline(false)
    await expect(page.locator('[data-sign]')).toHaveAttribute('data-sign', 'saved')
    const kept = (await documentOf(page, id)).lines[0]!.posts
    expect(kept.map(({ found }) => Object.keys(found ?? {}).length)).toEqual(new Array(POSTS).fill(3))
    await context.close()
  },
)

test('the sheet for the hand prints one post a page, each with what it is worth', async ({ page, request }) => {
  const id = await importJob(request, entrance)
  await open(page, `/jobs/${id}/set-out?post=E2`)
  await tab(page, 'Hand')
  await expect(page.getByRole('region', { name: 'E2, to hold in the hand' })).toContainText('planning estimates')
  const pages = (await page.pdf({ format: 'A5' })).toString('latin1').match(/\/Count (\d+)/)![1]
  expect(Number(pages)).toBe(setOutOf(entrance).posts.length)
})

test('every figure of the string, the cut and the gate is what the core says, in both systems', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, entrance)
  const { posts } = setOutOf(entrance)
  const second = posts.find(({ post }) => post === 'E2')!
  const gate = gateSetOut(resolveJob(entrance, tables).lines[0]!, 'E5')!
  for (const [locale, says] of [
    ['en-GB', measuresIn('metric')],
    ['en-US', measuresIn('feet-inches')],
  ] as const) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL, locale })
    const page = await context.newPage()
    await open(page, `/jobs/${id}/set-out?post=E2`)
    const figure = (name: string) => reading(page, name).locator('.figure')
    const asShown = (length: number) => says.small(length).replace(' mm', 'mm')
    if (locale === 'en-GB') {
      await expect(figure('gap at the lower string')).toHaveText(asShown(second.gapLow))
      await expect(figure('gap at the upper string')).toHaveText(asShown(second.gapHigh))
    } else {
      // To a sixteenth: nothing that a tape cannot show.
      await expect(figure('gap at the lower string')).toHaveText(/^(\d+ )?(\d+⁄(2|4|8|16))?"$|^\d+"$/)
    }
    await tab(page, 'Gate')
    await page.getByRole('button', { name: 'Next post', exact: true }).click()
    await expect(page.getByText('No gate hangs beside E3.')).toBeVisible()
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Next post', exact: true }).click()
    await expect(page.getByRole('img', { name: `${says.length(gate.wanted)} between the posts` })).toBeVisible()
    await expect(page.getByText(/It would scrape/)).toContainText(says.small(gate.clearance))
    await expect(page.getByText('Pack the lower hinge out by')).toContainText(says.small(gate.packing!))
    await context.close()
  }
})

test('plumb or match is asked, drawn on the rose, and moves the upper gap', async ({ page, request }) => {
  const id = await importJob(request, entrance)
  await open(page, `/jobs/${id}/set-out?post=E3`)
  await expect(page.getByRole('img', { name: /The post from above: its top lies 65 mm towards you/ })).toBeVisible()
  await expect(page.getByText(/Ask\. Plumb, its top stands \d+ mm off its neighbours/)).toBeVisible()
  const upper = reading(page, 'gap at the upper string').locator('.figure')
  const plumb = await upper.textContent()
  await page.getByRole('button', { name: /^Match/ }).click()
  await expect(upper).not.toHaveText(plumb!)
  await expectSaved(page)
  await page.getByRole('button', { name: /^Plumb/ }).click()
  await expect(upper).toHaveText(plumb!)
})

test('the digital level moves the rose and reads the upper gap', async ({ page, request }) => {
  const id = await importJob(request, entrance)
  await open(page, `/jobs/${id}/set-out?post=E2`)
  await page.getByRole('button', { name: 'Read it with the digital level' }).click()
  await page.getByRole('button', { name: 'Connect the digital level' }).click()
  await expect(page.getByText('It stands still.')).toBeVisible()
  await expect(page.locator('.rose .live')).toBeVisible()
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.locator('.rose .top')).toBeVisible()
  await expect(reading(page, 'gap at the upper string').getByRole('status')).toHaveText(/^(in|out) \d+ mm$/)
  await expectSaved(page)
  const post = (await documentOf(page, id)).lines[0]!.posts[1]!
  expect(post.found?.gapHigh).toBeDefined()
  expect(post.observations?.lean).toBeDefined()
})

test('tops are chosen, posts that carry the strings too, and all of it can be undone', async ({ page, request }) => {
  const id = await importJob(request, entrance)
  await open(page, `/jobs/${id}/set-out?post=E2`)
  await tab(page, 'Levels')
  const top = page.getByRole('row', { name: /^E3/ }).getByRole('cell').nth(1)
  const before = await top.textContent()
  await page.getByRole('button', { name: 'follows the ground' }).click()
  await expect(top).not.toHaveText(before!)
  const following = {
    ...entrance,
    lines: entrance.lines.map((line) => ({ ...line, setOut: { top: 'follow' as const } })),
  }
  await expect(top).toHaveText(measuresIn('metric').length(setOutOf(following).posts[2]!.upper))
  await page.getByRole('button', { name: 'stepped', exact: true }).click()
  await expect(page.getByLabel('Steps of', { exact: true })).toBeVisible()
  await tab(page, 'String')
  await page.getByRole('button', { name: 'Which posts carry the strings, and how' }).click()
  const carriers = page.getByRole('group', { name: 'Posts that carry the strings' })
  await carriers.getByRole('button', { name: 'E4' }).click()
  await expect(carriers.getByRole('button', { name: 'E4' })).toHaveAttribute('aria-pressed', 'true')
  await expectSaved(page)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(carriers.getByRole('button', { name: 'E4' })).toHaveAttribute('aria-pressed', 'false')
  await tab(page, 'Levels')
  await expect(top).toHaveText(before!)
})

test('a plate goes over its old holes, paving is cut, a box stands by its rule', async ({ page, request }) => {
  const demo = (begins: string) => importJob(request, demoJobs().find(({ name }) => name.startsWith(begins))!)
  const [slab, lane, box] = await Promise.all([demo('Pump'), demo('Lane entrance'), demo('Parcel box')])
  await open(page, `/jobs/${slab}/set-out?post=M2`)
  await tab(page, 'Beside')
  await expect(page.getByRole('img', { name: '4 old holes serve again, 0 are drilled' })).toBeVisible()
  await page.getByRole('checkbox', { name: 'sound: its anchor held' }).first().uncheck()
  await expect(page.getByRole('img', { name: 'The plate from above: 0 old holes' })).toBeVisible()
  await open(page, `/jobs/${lane}/set-out?post=E7`)
  await tab(page, 'Beside')
  await expect(page.getByText('Lift 2 units.')).toBeVisible()
  await expect(page.getByText(/cut out 120 mm × 70 mm.*From both faces\./)).toBeVisible()
  await open(page, `/jobs/${box}/set-out?post=P1`)
  await tab(page, 'Beside')
  await expect(page.getByText('m kerb to hole')).toBeVisible()
  const slot = page.getByRole('textbox', { name: 'Slot over the road' })
  await slot.fill('1300')
  await slot.press('Enter')
  await expect(page.getByText('The slot is asked 1.05 m to 1.15 m over the road.')).toBeVisible()
  await slot.fill('a metre')
  await slot.press('Enter')
  await expect(page.getByRole('alert')).toContainText('a length such as')
})

test('bays are shared out clear of what is marked, and a run is in hand once', async ({ page, request }) => {
  const cable = { id: 'cable', kind: 'service', service: 'electricity', station: 4, to: 5.2, offset: 0.1 } as const
  const job = { ...longLine, name: 'Shared out', lines: [{ ...longLine.lines[0]!, marks: [cable] }] }
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/walk?post=R3`)
  await tab(page, 'Marks')
  await page.getByRole('button', { name: /electricity, 0\.10 m to the right, from 4\.00 m to 5\.20 m/ }).click()
  await page.getByRole('button', { name: 'Found and marked: in hand' }).click()
  await expect(page.getByRole('button', { name: '✓ in hand' })).toBeVisible()
  await placeOfWork(page, 'Set out').click()
  await page.getByRole('button', { name: 'What moving it does to the bays' }).click()
  await expect(page.getByText('Between R1 and R12: bays all 2.40 m now')).toBeVisible()
  await page.getByRole('button', { name: 'Move them' }).click()
  await expect(page.getByText('They are shared out already.')).toBeVisible()
  await expectSaved(page)
  const { lines } = await documentOf(page, id)
  const third = lines[0]!.posts[2]!
  expect(third.station <= 3.501 || third.station >= 5.699).toBe(true)
  expect(plan(await documentOf(page, id), tables).posts[2]!.diagnosis.redFlags).toEqual([])
})

test('every part is usable on a phone and by keyboard, and the sheet for the hand has every post', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, entrance)
  const context = await browser.newContext({ ...PHONE, baseURL, locale: 'en-GB' })
  const page = await context.newPage()
  await open(page, `/jobs/${id}/set-out?post=E5`)
  for (const part of ['String', 'Levels', 'Cut', 'Gate', 'Beside', 'Hand']) {
    await page.getByRole('tab', { name: part, exact: true }).tap()
    await expectUsable(page, part)
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide, part).toBeLessThanOrEqual(360)
  }
  await page.getByRole('button', { name: 'whole line' }).tap()
  for (const { post, station } of setOutOf(entrance).posts)
    await expect(
      page.getByRole('row', { name: new RegExp(`^${post} ${measuresIn('metric').length(station)}`) }),
    ).toBeVisible()
  await context.close()
})
