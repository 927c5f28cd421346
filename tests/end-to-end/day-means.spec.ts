import { expect, test, type Page } from './test'
import type { Job } from '../../core/document/job'
import { demoDays } from '../../data/demo/days'
import { liveAt } from './liveAt'
import { expectSaved, importJob, open, PHONE } from './steps'

const DAY = 86_400_000
const dateOf = (at: number) => new Date(at).toISOString().slice(0, 10)
/** A Monday that is still to come. */
function monday(): string {
  const next = new Date(Date.now() + 2 * DAY)
  return dateOf(next.getTime() + ((8 - next.getUTCDay()) % 7) * DAY)
}
function threePosts(name: string, site: string): Job {
  const { job, setup } = demoDays.find((each) => each.name === 'three posts in the heat, shaded')!
  const day = { ...setup, shaded: false, first: monday() }
  return { ...job, name, site: { ...job.site, name: site, place: 'bank', timeZone: 'UTC' }, day }
}
const block = (page: Page, words: RegExp) => page.getByRole('button', { name: words })
async function planDays(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Plan' }).click()
  await page.getByRole('button', { name: /Plan (the days|it anew)/ }).click()
  await expect(page.getByRole('heading', { name: 'What decides the end' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('progressbar', { name: 'Planning' })).toHaveCount(0, { timeout: 60_000 })
}

test('a block is pulled by a finger, and the page does not run away under it', async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importJob(request, threePosts('Pulled by touch', 'Sedgewater: touch'))
  const page = await (await browser.newContext({ ...PHONE, baseURL: baseURL!, timezoneId: 'UTC' })).newPage()
  await open(page, `/jobs/${id}/day?post=B1`)
  await planDays(page)
  const dig = block(page, /^B2: dig, /)
  await dig.evaluate((element) => element.scrollIntoView({ block: 'center' }))
  const words = (await dig.getAttribute('aria-label'))!
  const box = (await dig.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + Math.min(10, box.height / 2)]
  const touch = await page.context().newCDPSession(page)
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', to: number) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y: to }] })
  await send('touchStart', y)
  for (let step = 1; step <= 6; step++) await send('touchMove', y + step * 8)
  await send('touchEnd', y + 48)
  await expect(page.getByRole('heading', { name: 'Set by hand' })).toBeVisible()
  await expect(dig).not.toHaveAttribute('aria-label', words)
  await page.context().close()
})

test('another job of the same site is worked on in the same days', async ({ page, request }) => {
  const one = await importJob(request, threePosts('First of two', 'Sedgewater: two jobs'))
  const other = await importJob(request, threePosts('Second of two', 'Sedgewater: two jobs'))
  const far = await importJob(request, threePosts('Somewhere else', 'Sedgewater: far off'))
  // A device plans with the jobs that it has.
  for (const id of [other, far, one]) {
    await open(page, `/jobs/${id}/day?post=B1`)
    await expect(page.getByRole('button', { name: 'Plan the days' })).toBeVisible()
    await expectSaved(page)
  }
  await page.getByRole('tab', { name: 'With what' }).click()
  await expect(page.getByRole('checkbox', { name: 'Somewhere else' })).toHaveCount(0)
  await page.getByRole('checkbox', { name: 'Second of two' }).check()
  await planDays(page)
  await expect(block(page, /^B1: pour/)).toHaveCount(2)
  await expectSaved(page)
})

test('a calendar says on which days nobody comes; a weekend is none that is worked', async ({ page, request }) => {
  const id = await importJob(request, threePosts('Taken days', 'Sedgewater: calendar'))
  await open(page, `/jobs/${id}/day?post=B1`)
  await planDays(page)
  await expect(block(page, /^B1: dig, Mon /)).toBeVisible()
  await page.getByRole('tab', { name: 'With what' }).click()
  await expect(page.getByRole('checkbox', { name: 'Saturdays too' })).not.toBeChecked()
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Read a calendar file' }).click()
  const date = monday().replaceAll('-', '')
  const entry = `BEGIN:VEVENT\r\nUID:a\r\nDTSTART:${date}T070000Z\r\nDTEND:${date}T180000Z\r\nEND:VEVENT`
  await (
    await chooser
  ).setFiles({
    name: 'busy.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${entry}\r\nEND:VCALENDAR\r\n`),
  })
  await expect(page.getByText('1 day is taken already.')).toBeVisible()
  await planDays(page)
  await expect(block(page, /^B1: dig, Mon /)).toHaveCount(0)
  await expect(block(page, /^B1: dig, (Tue|Wed|Thu|Fri) /)).toBeVisible()
  await expectSaved(page)
})

test.describe('what a wet post calls out', () => {
  test.use({ serviceWorkers: 'block', timezoneId: 'UTC' })
  interface Called {
    shaken: number
    tones: number
    notes: string[]
  }
  /** Stands in for what a device without ears and hands cannot show. */
  async function listen(page: Page): Promise<() => Promise<Called>> {
    await page.addInitScript(() => {
      const called: Called = { shaken: 0, tones: 0, notes: [] }
      Object.assign(window, { called })
      navigator.vibrate = () => Boolean((called.shaken += 1))
      Object.assign(window, {
        AudioContext: class {
          currentTime = 0
          destination = {}
          createOscillator = () => ({
            frequency: { value: 0 },
            connect: () => undefined,
            start: () => (called.tones += 1),
            stop: () => undefined,
          })
        },
        // eslint-disable-next-line @typescript-eslint/no-extraneous-class -- stands in for the browser's own
        Notification: class {
          static permission = 'granted'
          constructor(_title: string, { body }: { body: string }) {
            called.notes.push(body)
          }
        },
      })
    })
    return () => page.evaluate(() => (window as unknown as { called: Called }).called)
  }
  async function startedPour(page: Page, id: string): Promise<void> {
    await open(page, `/jobs/${id}/pour?post=B1`)
    await page.getByRole('button', { name: /start its clock/ }).click()
    const again = page.getByRole('button', { name: 'Start it all the same' })
    await expect(again.or(page.getByRole('timer'))).toBeVisible()
    if (await again.isVisible()) await again.click()
    await expect(page.getByRole('timer')).toBeVisible()
  }

  test('is heard, felt and written, once each time; and not where it is to be silent', async ({ page, request }) => {
    const id = await importJob(request, threePosts('Called out', 'Sedgewater: alarms'))
    const called = await listen(page)
    await liveAt(page, Date.parse(`${monday()}T09:00:00Z`), 'steady')
    await startedPour(page, id)
    expect(await called()).toEqual({ shaken: 0, tones: 0, notes: [] })
    await expect
      .poll(
        async () => {
          await page.clock.fastForward(60_000)
          return (await called()).notes
        },
        { intervals: [50] },
      )
      .toContain('B1: check both faces')
    const once = await called()
    expect(once).toMatchObject({ shaken: 1, tones: 3 })
    await page.clock.runFor(3_000)
    expect(await called()).toEqual(once)

    await page.getByRole('button', { name: 'Who is here, and how it calls out' }).click()
    await page.getByLabel('Silent: show it only').check()
    await page.clock.fastForward(60 * 60_000)
    await page.clock.runFor(2_000)
    await expect(page.getByText('can no longer be moved')).toBeVisible()
    expect(await called()).toEqual(once)
  })
})
