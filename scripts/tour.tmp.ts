import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { state } from './lib/paths.mjs'
import { recreate } from './lib/schemas.mjs'
import { startServer } from './lib/server.mjs'
const build = await ensureBuild()
const database = await startDatabase(join(state, 'bench-database'))
await recreate(database.url('vindex'))
const server = await startServer({ build, databaseUrl: database.url('vindex'), port: await freePort(), seedDemo: true })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
try {
  for (const [size, tag] of [
    [{ width: 1280, height: 800 }, 'desk'],
    [{ width: 360, height: 740 }, 'phone'],
  ] as const) {
    const page = await browser.newPage({ viewport: size, reducedMotion: 'reduce' })
    page.on('pageerror', (e) => console.log('PAGEERROR', e.message))
    page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text()))
    await page.goto(server.address)
    await page.locator('html[data-ready]').waitFor()
    await page.locator('a.job').first().waitFor()
    const shot = (n: string) => page.screenshot({ path: `/tmp/shots/${tag}-${n}.png` })
    await shot('jobs')
    const names = await page.locator('a.job strong').allTextContents()
    console.log(names)
    let i = 0
    for (const name of names.slice(0, 3)) {
      await page.locator('a.job', { hasText: name }).click()
      await page.getByRole('heading', { name: /what do you see/ }).waitFor({ timeout: 10000 })
      console.log(
        name,
        '->',
        await page.locator('h1.job-name').textContent(),
        await page.locator('h2').first().textContent(),
      )
      for (const place of ['Walk', 'Look', 'Cause', 'Repair', 'Hole', 'Sheet']) {
        await page.getByRole('link', { name: new RegExp('^' + place) }).click()
        await page.waitForTimeout(250)
        if (i === 0) await shot(place.toLowerCase())
        if (i === 0 && place === 'Cause') {
          const f = page.getByText('I know better').last()
          if (await f.count()) {
            await f.click()
            await page.waitForTimeout(300)
            await shot('cause-fold')
          }
        }
        if (i === 0 && place === 'Walk') {
          await page.getByRole('tab', { name: 'Post' }).click()
          await page.waitForTimeout(300)
          await shot('walk-post')
        }
      }
      if (i === 1) await shot('second-sheet')
      i++
      if (tag === 'desk') await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
      else {
        await page.goto(server.address)
      }
      await page.locator('a.job').first().waitFor()
    }
    if (tag === 'desk') {
      await page.getByRole('button', { name: 'New job' }).click()
      await page.getByRole('button', { name: 'Make it' }).click()
      await page.waitForTimeout(300)
      await shot('new-job')
    }
    await page.close()
  }
} finally {
  await browser.close()
  await server.stop()
  await database.stop()
}
