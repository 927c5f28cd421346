import { chromium } from '@playwright/test'
import { join } from 'node:path'
import type { Entry, Job } from '../core/document/job'
import { timeline } from '../core/record/timeline'
import { demoJobs } from '../data/demo/jobs'
import { ensureBuild } from '../scripts/lib/build.mjs'
import { freePort, startDatabase } from '../scripts/lib/database.mjs'
import { state } from '../scripts/lib/paths.mjs'
import { recreate } from '../scripts/lib/schemas.mjs'
import { startServer } from '../scripts/lib/server.mjs'

const ENTRIES = 10_000
const OPENINGS = 9

/** A job with as many entries as twenty years of a large firm's fence would have. */
function longRecord(entries: number): Job {
  const job = demoJobs()[0]!
  const posts = job.lines[0]!.posts
  return {
    ...job,
    name: 'A long record',
    entries: Array.from({ length: entries }, (_, i): Entry => {
      const { id: post } = posts[i % posts.length]!
      const at = new Date(Date.UTC(2020, 0, 1) + i * 3600e3).toISOString()
      const common = { id: `entry-${i}`, at, by: 'Wren', line: job.lines[0]!.id, post }
      return i % 2 === 0
        ? { ...common, kind: 'tick', value: { step: 'plumb' } }
        : { ...common, kind: 'observation', value: { says: `the ${i}th thing that was noted of it` } }
    }),
  }
}

/** From the tap on Entries of the whole job to its first lines, in a browser; and what the core takes of that, ms. */
export async function recordFigures(): Promise<[name: string, milliseconds: number][]> {
  const job = longRecord(ENTRIES)
  const began = performance.now()
  for (let i = 0; i < 10; i++) timeline(job)
  const column = (performance.now() - began) / 10
  const build = await ensureBuild()
  const database = await startDatabase(join(state, 'bench-database'))
  await recreate(database.url('vindex'))
  const server = await startServer({ build, databaseUrl: database.url('vindex'), port: await freePort() })
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
  try {
    const answer = await fetch(`${server.address}/api/jobs/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(job),
    })
    const { id } = (await answer.json()) as { id: string }
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
    await page.goto(`${server.address}/jobs/${id}/record?post=F1&part=entries`)
    await page.getByRole('button', { name: 'The whole job' }).click()
    await page.getByText(`${ENTRIES} entries`, { exact: false }).waitFor()
    const times: number[] = []
    for (let i = 0; i < OPENINGS; i++) {
      await page.getByRole('link', { name: 'Walk' }).click()
      await page.getByRole('list', { name: /^Entries/ }).waitFor({ state: 'detached' })
      times.push(await page.evaluate(openingTime))
    }
    times.sort((a, b) => a - b)
    return [
      [`the column of ${ENTRIES} entries, in the core`, column],
      [`Record opened in a job of ${ENTRIES} entries, tap to picture`, times[Math.floor(OPENINGS / 2)]!],
      ['  slowest of those openings', times.at(-1)!],
    ]
  } finally {
    await browser.close()
    await server.stop()
    await database.stop()
  }
}

/** In the page: from the tap to the frame in which the first lines stand. */
function openingTime(): Promise<number> {
  const link = [...document.querySelectorAll('a')].find(({ textContent }) => /Record/.test(textContent ?? ''))!
  const began = performance.now()
  link.click()
  return new Promise((done) => {
    const look = () => {
      if (document.querySelector('[aria-label^="Entries"] [role=listitem]'))
        requestAnimationFrame(() => done(performance.now() - began))
      else requestAnimationFrame(look)
    }
    look()
  })
}
