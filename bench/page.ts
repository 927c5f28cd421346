import { chromium } from '@playwright/test'
import { join } from 'node:path'
import { ensureBuild } from '../scripts/lib/build.mjs'
import { longLineFigures, stepTimes, type LongLineFigures } from './longLine'
import { freePort, startDatabase } from '../scripts/lib/database.mjs'
import { state } from '../scripts/lib/paths.mjs'
import { recreate } from '../scripts/lib/schemas.mjs'
import { startServer } from '../scripts/lib/server.mjs'

const RUNS = 5
const STEPS = 30
const LONG_LINE = /Flood bank, the long boundary/

/** What a person waits for, in a browser that has never been here: medians, ms. */
export async function pageFigures(): Promise<[name: string, milliseconds: number][]> {
  const build = await ensureBuild()
  const database = await startDatabase(join(state, 'bench-database'))
  await recreate(database.url('vindex'))
  const server = await startServer({
    build,
    databaseUrl: database.url('vindex'),
    port: await freePort(),
    seedDemo: true,
  })
  try {
    const first: number[] = []
    const walk: number[] = []
    let longLine: LongLineFigures | undefined
    for (let run = 0; run < RUNS; run++) {
      const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
      const began = performance.now()
      await page.goto(server.address)
      await page.getByRole('link', { name: LONG_LINE }).first().waitFor()
      first.push(performance.now() - began)
      if (run === RUNS - 1) {
        await page.getByRole('link', { name: LONG_LINE }).first().click()
        // A job opens where work stands; the walk begins at its first post.
        await page.waitForURL(/\/jobs\/[^/]+\//)
        await page.goto(page.url().replace(/(\/jobs\/[^/]+)\/.*/, '$1/look?post=F1'))
        await page.getByRole('heading', { name: 'F1: what do you see?' }).waitFor()
        walk.push(...(await page.evaluate(stepTimes, STEPS)))
        longLine = await longLineFigures(browser, server.address)
      }
      await browser.close()
    }
    return [
      ['first page, cold browser, jobs listed', median(first)],
      ['next post of the 120-post line, key to picture', median(walk)],
      ['  slowest of those steps', Math.max(...walk)],
      ['next post of a 200-post line, key to picture', median(longLine!.steps)],
      ['  slowest of those steps', Math.max(...longLine!.steps)],
      ['time of a frame while its drawing is panned', 1e3 / longLine!.framesPerSecond],
      ['time of a frame while a hole on it is pulled', 1e3 / longLine!.pulledPerSecond],
    ]
  } finally {
    await server.stop()
    await database.stop()
  }
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
