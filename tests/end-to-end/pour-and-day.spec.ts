import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test, type Page } from './test'
import { freePort, startDatabase } from '../../scripts/lib/database.mjs'
import { state } from '../../scripts/lib/paths.mjs'
import { recreate } from '../../scripts/lib/schemas.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import type { Job } from '../../core/document/job'
import { demoDays } from '../../data/demo/days'
import { launchOn } from './killable'
import { liveAt } from './liveAt'
import { expectSaved, expectUsable, importJob, open, PHONE, startPour } from './steps'

const HOUR = 3_600_000
const DAY = 24 * HOUR

const before = demoDays.find(({ name }) => name.includes('before the front'))!
/** A morning whose second evening has the front, at seven. */
const morning = (): number => {
  const next = Math.ceil(Date.now() / DAY) + 1
  return (next % 2 === 0 ? next : next + 1) * DAY + 7 * HOUR
}
const dateOf = (at: number) => new Date(at).toISOString().slice(0, 10)
function theTwoDays(name: string, first: number): Job {
  const { job, setup } = before
  return {
    ...job,
    name,
    site: { ...job.site, place: 'bank', timeZone: 'UTC' },
    day: { ...setup, first: dateOf(first) },
  }
}

const timer = (page: Page) => page.getByRole('timer')
/** What a plan breaks, and what found no place in it. */
const wrongs = (page: Page) => page.getByRole('status', { name: /What it breaks|What found no place/ })
const startButton = (page: Page) => page.getByRole('button', { name: /start its clock/ })
const block = (page: Page, words: RegExp) => page.getByRole('button', { name: words })

test.describe('two days', () => {
  test.use({ serviceWorkers: 'block', timezoneId: 'UTC' })

  test('are planned, pulled about, poured by turns, and seen through a frost and a front', async ({
    page: firstPage,
    request,
    context,
  }) => {
    test.setTimeout(180_000)
    let page = firstPage
    let signal = true
    const first = morning()
    const id = await importJob(request, theTwoDays('Nine posts and a gate', first))
    await liveAt(page, first, 'storm', () => signal)

    // Plan it: nothing is left over, and the gate comes last.
    await open(page, `/jobs/${id}/day?post=B1`)
    await page.getByRole('button', { name: 'Plan the days' }).click()
    await expect(page.getByRole('heading', { name: 'What decides the end' })).toBeVisible({ timeout: 60_000 })
    await expect(wrongs(page)).toHaveCount(0)
    await expect(page.getByText(/hang the gate/).last()).toBeVisible()
    await expectSaved(page)

    // A pour an hour later: what that breaks is said where it breaks; planned round it, nothing does.
    const pour = block(page, /^B1: pour/)
    await pour.focus()
    for (let i = 0; i < 12; i++) await pour.press('ArrowDown')
    await expect(page.getByText('Set by hand')).toBeVisible()
    await expect(wrongs(page).first()).toBeVisible()
    await page.getByRole('button', { name: 'Plan the rest round it' }).click()
    await expect(wrongs(page)).toHaveCount(0, { timeout: 60_000 })

    // Three pours by turns: the next says from when it may start.
    await page.clock.setSystemTime(first + 3 * HOUR)
    await open(page, `/jobs/${id}/pour?post=B1`)
    await startButton(page).click()
    await expect(timer(page)).toContainText(/B1\s*\d+/)
    for (const post of ['B2', 'B3']) {
      await page.getByRole('button', { name: 'Next post' }).click()
      await expect(page.getByText(/Start it at \d\d:\d\d/)).toBeVisible()
      // Not at once, and a minute later until it is its turn.
      await expect
        .poll(
          async () => {
            await page.clock.fastForward(60_000)
            return page.getByText('It may start now.').isVisible()
          },
          { intervals: [50], timeout: 20_000 },
        )
        .toBe(true)
      await startButton(page).click()
      await expect(timer(page)).toContainText(post)
    }
    // A bag without a signal; the page is dropped, and opened anew a minute later, without one still: nothing is lost.
    signal = false
    await page.getByRole('button', { name: 'One bag in' }).click()
    await expect(page.getByText(/1\s*of \d+ bags/)).toBeVisible()
    const left = await minutesLeft(page)
    const dropped = await page.evaluate(() => Date.now())
    await page.close()
    page = await context.newPage()
    await liveAt(page, dropped + 60_000, 'storm', () => signal)
    await page.goto(`/jobs/${id}/pour?post=B3`)
    await expect(page.getByText(/1\s*of \d+ bags/)).toBeVisible()
    expect(left - (await minutesLeft(page))).toBeGreaterThanOrEqual(1)
    expect(left - (await minutesLeft(page))).toBeLessThanOrEqual(2)
    await expect(page.getByRole('heading', { name: 'Wet beside it' })).toBeVisible()
    signal = true
    await expectSaved(page)

    // Both faces by the level that streams in.
    for (const face of ['across the line', 'along it']) {
      await page.getByRole('button', { name: new RegExp(`^${face}`) }).click()
      await page.getByRole('button', { name: 'Let the digital level stream in' }).click()
      await page.getByRole('button', { name: 'Take it' }).click()
      await expect(page.getByRole('button', { name: `${face} ✓ by level` })).toBeVisible()
      await page.getByRole('button', { name: 'Type it instead' }).click()
    }

    // One moves when it is let go of, is put right, and then stays.
    await page.getByText('Let go of it: does it stay?').click()
    await page.getByRole('textbox', { name: /^It moved, over/ }).fill('5')
    await page.getByRole('textbox', { name: /^It moved, over/ }).press('Enter')
    await page.getByRole('button', { name: 'thin behind it' }).click()
    await expect(page.getByText('Rod mix in behind it, push it back, and hold it.')).toBeVisible()
    await page.getByRole('button', { name: 'It stays', exact: true }).click()
    await expect(page.getByText('It stays: hands off.')).toBeVisible()

    // The night's frost is warned of, and covered.
    await page.clock.setSystemTime(first + 8 * HOUR)
    await page.clock.runFor(2_000)
    await expect(page.getByText('can no longer be moved')).toBeVisible()
    const frost = page.getByRole('paragraph').filter({ hasText: /^\s*B3\s*: Frost/ })
    await expect(frost).toBeVisible()
    await page.getByLabel('covered', { exact: true }).check()
    await page.getByLabel('propped both ways').check()
    await expect(frost).toHaveCount(0)

    // Next morning the props of what was poured first are likely off by noon of a day and more; the panels wait longer.
    const rows = page.getByRole('listitem').filter({ hasText: 'props may be loosened' })
    await expect(rows).not.toContainText('✓')
    await page.clock.setSystemTime(first + 36 * HOUR)
    await page.clock.runFor(2_000)
    await expect(rows).toContainText('✓')
    await expect(page.getByRole('listitem').filter({ hasText: 'rails and boards back' })).not.toContainText('✓')

    // The gate waits; what was poured is planned no more, and its props come off when its own concrete carries that.
    await page.getByRole('link', { name: 'Day', exact: true }).click()
    await page.getByRole('button', { name: /Plan (it anew|the rest round it)/ }).click()
    await expect(page.getByRole('button', { name: /^B1: pour/ })).toHaveCount(0, { timeout: 60_000 })
    await expect(page.getByRole('button', { name: /^B1: .*props/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /^B10: hang/ })).toBeVisible()
    await page.getByRole('tab', { name: 'List' }).click()
    await page.getByRole('button', { name: /^Done: / }).click()
    await expect(page.getByRole('listitem').filter({ hasText: /^B1, pour/ })).toBeVisible()
    // What was dug is ticked off, and is no work any more; a tick by mistake is taken back.
    const dug = page.getByRole('checkbox', { name: 'Done: B4, dig' })
    await dug.click()
    await expect(dug).toHaveCount(0)
    await page
      .getByRole('listitem')
      .filter({ hasText: /^B4, dig/ })
      .getByRole('button', { name: 'Not done' })
      .click()
    await expect(dug).toBeVisible()
    await expectSaved(page)

    // Storm watch names what is green.
    await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
    const storm = page.getByRole('region', { name: /Wind on its way/ })
    await expect(storm.getByText(/its concrete is green|green, on its props/).first()).toBeVisible()
    await expect(storm).toContainText('Nine posts and a gate')
    await expectUsable(page, 'jobs with a storm on its way')
  })

  test('by phone: the clock, the list and the crew can be read and hit', async ({ browser, request, baseURL }) => {
    const first = morning()
    const id = await importJob(request, theTwoDays('By phone', first))
    const page = await (
      await browser.newContext({ ...PHONE, baseURL: baseURL!, serviceWorkers: 'block', timezoneId: 'UTC' })
    ).newPage()
    await liveAt(page, first + 3 * HOUR, 'frost')
    await open(page, `/jobs/${id}/pour?post=B1`)
    await startButton(page).click()
    await expect(timer(page)).toBeVisible()
    await expectUsable(page, 'pour by phone')
    await open(page, `/jobs/${id}/day?post=B1`)
    await page.getByRole('button', { name: 'Plan the days' }).click()
    await expect(page.getByRole('heading', { name: 'What decides the end' })).toBeVisible({ timeout: 60_000 })
    await page.getByRole('tab', { name: 'List' }).click()
    await expect(page.getByRole('listitem').first()).toContainText(/\d\d:\d\d/)
    await expectUsable(page, 'day by phone')
    await page.context().close()
  })
})

test(
  'a clock outlives a killed browser, a killed server and an hour without the device',
  { tag: '@installed' },
  async ({ playwright }) => {
    test.setTimeout(180_000)
    const folder = join(state, `pours-${process.pid}`)
    const profile = mkdtempSync(join(tmpdir(), 'vindex-pour-'))
    const database = await startDatabase(folder)
    await recreate(database.url('vindex'))
    const server = await startServer({
      build: process.env.VINDEX_BUILD!,
      databaseUrl: database.url('vindex'),
      port: await freePort(),
    })
    const request = await playwright.request.newContext({ baseURL: server.address })
    const job = theTwoDays('Killed pour', morning())
    const slow: Job = {
      ...job,
      lines: job.lines.map((line) => ({
        ...line,
        posts: line.posts.map((post) => ({ ...post, repair: { ...post.repair, mix: 'general-20' } })),
      })),
    }
    const id = await importJob(request, slow)
    const address = `${server.address}/jobs/${id}/pour?post=B1`

    const first = await launchOn(profile)
    await first.page.goto(address)
    await first.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await startPour(first.page)
    await expect(timer(first.page)).toBeVisible()
    await expectSaved(first.page)
    const left = await minutesLeft(first.page)
    expect(left).toBeGreaterThan(80)
    await first.kill()
    await server.kill()

    const again = await launchOn(profile)
    await again.page.clock.install({ time: Date.now() + HOUR })
    await again.page.goto(address)
    await expect(timer(again.page)).toBeVisible()
    // A minute either way: nobody stopped the hour while the browser was started.
    expect(Math.abs((await minutesLeft(again.page)) - (left - 60))).toBeLessThanOrEqual(1)
    await again.kill()
    await database.stop()
    rmSync(profile, { recursive: true, force: true })
    rmSync(folder, { recursive: true, force: true })
  },
)

async function minutesLeft(page: Page): Promise<number> {
  const words = (await timer(page).getAttribute('aria-label'))!
  const [, hours, minutes] = /(?:(\d+) h )?(\d+)/.exec(words.replace(/^[^:]*: /, ''))!
  return Number(hours ?? 0) * 60 + Number(minutes)
}

test('a clock of the device that was put two hours on is noticed, and the pours go by the server’s', async ({
  page,
  request,
}) => {
  const id = await importJob(request, theTwoDays('Two hours on', morning()))
  await page.clock.install({ time: Date.now() + 2 * HOUR })
  await open(page, `/jobs/${id}/pour?post=B1`)
  await expect(page.getByRole('alert').filter({ hasText: /2 h 0 min ahead of the server/ })).toBeVisible()
  await startPour(page)
  await expect(timer(page)).toBeVisible()
  await expectSaved(page)
  const answer = await request.get(`/api/jobs/${id}`)
  const { job } = (await answer.json()) as { job: Job }
  const serverTime = Date.parse(answer.headers().date!)
  expect(Math.abs(Date.parse(job.pours![0]!.startedAt) - serverTime)).toBeLessThan(60_000)
})

test.describe('a forecast that is on its way', () => {
  test.use({ serviceWorkers: 'block', timezoneId: 'UTC' })

  test('is waited for by a plan that is asked for, so that it does not break it a moment later', async ({
    page,
    request,
  }) => {
    const first = morning()
    const id = await importJob(request, theTwoDays('Forecast on its way', first))
    await liveAt(page, first, 'storm')
    let isAsked = false
    await page.route('**/api/forecast*', async (route) => {
      await expect.poll(() => isAsked).toBe(true)
      return route.fallback()
    })
    await open(page, `/jobs/${id}/day?post=B1`)
    await page.getByRole('button', { name: 'Plan the days' }).click()
    await expect(page.getByRole('progressbar', { name: /plan/i })).toBeVisible()
    isAsked = true
    await expect(page.getByRole('heading', { name: 'What decides the end' })).toBeVisible({ timeout: 60_000 })
    await expect(wrongs(page)).toHaveCount(0)
  })
})

test('a forecast that is out, late or silent keeps nobody from pouring', async ({ page, request }) => {
  test.setTimeout(90_000)
  const id = await importJob(request, theTwoDays('No forecast', morning()))
  await open(page, `/jobs/${id}/pour?post=B1`)
  const weather = page.getByText(/ now, gusts .* old\./)
  await expect(weather).toBeVisible()
  await page.getByRole('combobox', { name: 'Stand-in for a forecast: what it does' }).press('ArrowDown')
  await page.getByRole('option', { name: 'outage' }).click()
  await expect(page.getByText('The forecast does not answer.')).toBeVisible()
  await expect(weather).toBeVisible()
  // Silent: nothing comes at all, and after a while it is not waited for.
  await page.route('**/api/forecast*', () => undefined)
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText('No connection.')).toBeVisible({ timeout: 15_000 })
  await expect(weather).toBeVisible()
  await startPour(page)
  await expect(timer(page)).toBeVisible()
})
