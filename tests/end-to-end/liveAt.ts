import type { Page, Route } from '@playwright/test'

/** The device lives at another time, and the server says the same: what it answers carries the device's own hour. */
export async function liveAt(page: Page, time: number, mood: string, hasSignal = () => true): Promise<void> {
  async function answer(route: Route): Promise<void> {
    if (!hasSignal()) return route.abort()
    // A stream has no end to wait for.
    if (route.request().url().endsWith('/events')) return route.continue()
    const response = await route.fetch()
    const now = await page.evaluate(() => Date.now())
    return route.fulfill({ response, headers: { ...response.headers(), date: new Date(now).toUTCString() } })
  }
  await page.clock.install({ time })
  await page.route(/\/api\/(?!instruments)/, (route) =>
    // A page that is left meanwhile, or closed, asks no more.
    answer(route).catch(() => route.abort().catch(() => undefined)),
  )
  await page.addInitScript((wanted) => localStorage.setItem('vindex-weather-mood', wanted), mood)
}
