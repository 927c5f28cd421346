import { test as base, type Browser, type BrowserContext } from '@playwright/test'
import type { Mood } from '../../core/weather/simulated'
import { clockAhead, moveClock } from '../../scripts/lib/testClock.mjs'

export * from '@playwright/test'

/** The weather of a page that nobody gave another: a forecast moves with the date, and no test is to move with it. */
const USUAL_WEATHER: Mood = 'steady'

/** The pages of a context live at the date of the run, as the server does, and in weather that moves nothing. */
export async function liveAtRun<Context extends BrowserContext>(context: Context): Promise<Context> {
  await context.addInitScript(moveClock, clockAhead())
  await context.addInitScript((mood) => {
    // A frame without an origin keeps nothing.
    if (location.protocol.startsWith('http')) localStorage['vindex-weather-mood'] ??= mood
  }, USUAL_WEATHER)
  return context
}

/** Contexts that the test at hand made for itself: a page that is left open goes on working beside the next test. */
const left = new Set<BrowserContext>()
/** For a context that the following tests go on with, whoever opened it closes it. */
export const staysOpen = (context: BrowserContext): boolean => left.delete(context)

/** Every page of every test at the date of the run, in contexts that a test makes for itself too. */
export const test = base.extend<{ closed: undefined }, { browser: Browser }>({
  browser: [
    async ({ browser }, use) => {
      const made = browser.newContext.bind(browser)
      browser.newContext = async (options) => {
        const context = await liveAtRun(await made(options))
        left.add(context)
        return context
      }
      await use(browser)
      browser.newContext = made
    },
    { scope: 'worker' },
  ],
  context: async ({ context }, use) => use(await liveAtRun(context)),
  closed: [
    // eslint-disable-next-line no-empty-pattern -- a fixture names what it needs, and this one needs nothing
    async ({}, use) => {
      await use(undefined)
      await Promise.all([...left].map((context) => context.close().catch(() => undefined)))
      left.clear()
    },
    { auto: true },
  ],
})
