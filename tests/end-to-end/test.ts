import { test as base, type Browser, type BrowserContext } from '@playwright/test'
import { clockAhead, moveClock } from '../../scripts/lib/testClock.mjs'

export * from '@playwright/test'

/** The pages of a context live at the date of the run, as the server does. */
export async function liveAtRun<Context extends BrowserContext>(context: Context): Promise<Context> {
  await context.addInitScript(moveClock, clockAhead())
  return context
}

/** Every page of every test at the date of the run, in contexts that a test makes for itself too. */
export const test = base.extend<object, { browser: Browser }>({
  browser: [
    async ({ browser }, use) => {
      const made = browser.newContext.bind(browser)
      browser.newContext = async (options) => liveAtRun(await made(options))
      await use(browser)
      browser.newContext = made
    },
    { scope: 'worker' },
  ],
  context: async ({ context }, use) => use(await liveAtRun(context)),
})
