import type { Page } from '@playwright/test'

/** The device lives at another time, and the server says the same: what it answers carries the device's own hour. */
export async function liveAt(page: Page, time: number, mood: string, hasSignal = () => true): Promise<void> {
  await page.clock.install({ time })
  await page.route(/\/api\/(?!instruments)/, async (route) => {
    if (!hasSignal()) return route.abort()
    const response = await route.fetch()
    // A page that is left meanwhile asks no more.
    const now = await page.evaluate(() => Date.now()).catch(() => undefined)
    if (now === undefined) return route.abort()
    return route.fulfill({ response, headers: { ...response.headers(), date: new Date(now).toUTCString() } })
  })
  await page.addInitScript((wanted) => localStorage.setItem('vindex-weather-mood', wanted), mood)
}
