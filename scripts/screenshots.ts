import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Job } from '../core/document/job'
import { demoDays } from '../data/demo/days'
import { demoJobs } from '../data/demo/jobs'
import type { ListPage } from '../shared/contract'
import { connect } from '../database/connect'
import { makeFirstLead } from '../server/people/accounts'
import { firstLeadCode } from '../server/people/codes'
import { invite, join as joinBy } from '../server/people/invitations'
import { startSignIn } from '../server/people/signIns'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { root, state } from './lib/paths.mjs'
import { recreate } from './lib/schemas.mjs'
import { startServer } from './lib/server.mjs'

// npm run screenshots: one current picture of each main view, from the demo data.

const DESK = { width: 1280, height: 800 }
const PHONE = { width: 360, height: 740 }
const bankSide = demoJobs().at(-1)!.name
const ENTRANCE = 'Lane entrance, the gate drops'
const ORCHARD = 'Orchard side, mended in March'
const POURED = 'Nine posts and a gate, poured today'
/** The same case in every picture. */
const PRACTICE_CASE = {
  'vindex-practice-case': JSON.stringify({ seed: 33, level: 'easy', leaning: [], seen: [] }),
}
const VIEWS: {
  name: string
  path: (job: string) => string
  size: typeof DESK
  tap?: string | RegExp
  /** On the device before the page is opened. */
  kept?: Readonly<Record<string, string>>
  of?: string
}[] = [
  { name: 'jobs', path: () => '/', size: DESK },
  { name: 'walk', path: (job: string) => `${job}/walk?post=B14`, size: DESK },
  { name: 'look', path: (job: string) => `${job}/look?post=B7`, size: DESK },
  { name: 'cause', path: (job: string) => `${job}/cause?post=B7`, size: DESK, tap: 'Rotted at the ground line' },
  { name: 'repair', path: (job: string) => `${job}/repair?post=B7`, size: DESK },
  { name: 'how-long', path: (job: string) => `${job}/repair?post=B7`, size: DESK, tap: 'How long' },
  { name: 'hole', path: (job: string) => `${job}/hole?post=B7`, size: DESK },
  { name: 'set-out', path: (job: string) => `${job}/set-out?post=E3`, size: DESK, of: ENTRANCE },
  { name: 'pour', path: (job: string) => `${job}/pour?post=B1`, size: DESK, of: POURED },
  { name: 'day', path: (job: string) => `${job}/day?post=B1`, size: DESK, tap: 'Plan the days', of: POURED },
  { name: 'load', path: (job: string) => `${job}/load?post=B1`, size: DESK, of: POURED },
  { name: 'yard', path: () => '/yard', size: DESK },
  { name: 'bench', path: () => '/bench?calc=hole-volume', size: DESK },
  { name: 'practice', path: () => '/practice', size: DESK, tap: /^Push at chest height/, kept: PRACTICE_CASE },
  { name: 'record', path: (job: string) => `${job}/record?post=O3&part=built`, size: DESK, of: ORCHARD },
  {
    name: 'line-sheet',
    path: (job: string) => `${job}/record?post=B7&part=work`,
    size: { width: 1280, height: 1500 },
    tap: 'The whole line',
  },
  { name: 'phone-look', path: (job: string) => `${job}/look?post=B7`, size: PHONE },
  { name: 'phone-hole', path: (job: string) => `${job}/hole?post=B7`, size: PHONE },
]

/** Three posts poured a little while ago: wet concrete is that of today. */
function pouredJob(): Job {
  const { job, setup } = demoDays.find(({ name }) => name.includes('before the front'))!
  const { first: _first, ...day } = setup
  const pours = [14, 9, 4].map((minutes, i) => ({
    id: `pour-000${i}`,
    line: 'B',
    post: `B${i + 1}`,
    mix: 'post-mix-20',
    startedAt: new Date(Date.now() - minutes * 60_000).toISOString(),
    temperature: 5,
  }))
  return { ...job, name: POURED, site: { ...job.site, place: 'bank' }, day, pours }
}

const LEAD = { name: 'Wren', signInName: 'wren', password: 'oak gravel tuesday lantern' }

/** Last, since from then on whoever comes has to sign in: a firm of three, as whoever leads sees it. */
async function showPeople(): Promise<void> {
  const rows = connect(database.url('vindex'))
  try {
    const asked = { address: 'here', now: new Date() }
    const first = { ...LEAD, code: (await firstLeadCode(rows))!, workspace: 'Halm Fencing' }
    const person = await makeFirstLead(rows, first, asked)
    const here = { id: person.workspace, database: rows, person }
    for (const [name, role] of [
      ['Robin', 'technician'],
      ['Finch', 'office'],
    ] as const) {
      const { token } = await invite(here, { name, role })
      const made = await joinBy(
        rows,
        { token, name, signInName: name.toLowerCase(), password: LEAD.password },
        { address: '127.0.0.1', now: new Date() },
      )
      await startSignIn(rows, {
        person: made.id,
        device: role === 'office' ? 'Windows, Edge' : 'Android phone, Chromium',
        now: new Date(),
      })
    }
  } finally {
    await rows.destroy()
  }
  const page = await browser.newPage({ viewport: DESK, reducedMotion: 'reduce', locale: 'en-GB' })
  await page.goto(`${server.address}/sign-in?to=/people?part=people`)
  await page.getByLabel('Name to sign in with').fill(LEAD.signInName)
  await page.getByLabel('Password').fill(LEAD.password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.getByRole('listitem', { name: 'Robin' }).waitFor()
  await page.screenshot({ path: join(folder, 'people.png') })
  await page.close()
}

const folder = join(root, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })
const build = await ensureBuild()
const database = await startDatabase(join(state, 'bench-database'))
await recreate(database.url('vindex'))
const server = await startServer({ build, databaseUrl: database.url('vindex'), port: await freePort(), seedDemo: true })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
try {
  await fetch(`${server.address}/api/jobs/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(pouredJob()),
  })
  const { jobs } = (await (await fetch(`${server.address}/api/jobs`)).json()) as ListPage
  const pathOf = (wanted: string) => `/jobs/${jobs.find(({ name }) => name === wanted)!.id}`
  for (const { name, path, size, tap, of = bankSide } of VIEWS) {
    const page = await browser.newPage({ viewport: size, reducedMotion: 'reduce', locale: 'en-GB' })
    await page.goto(server.address + path(pathOf(of)))
    await page.locator('html[data-ready]').waitFor()
    await page.waitForLoadState('networkidle')
    if (tap) {
      const [button, tab] = (['button', 'tab'] as const).map((role) => page.getByRole(role, { name: tap }))
      await button!.or(tab!).first().click()
    }
    if (name === 'how-long')
      await page
        .getByText(/still plumb in/)
        .first()
        .waitFor()
    if (name === 'day') await page.getByRole('heading', { name: 'What decides the end' }).waitFor()
    await page.screenshot({ path: join(folder, `${name}.png`) })
    await page.close()
  }
  await showPeople()
} finally {
  await browser.close()
  await server.stop()
  await database.stop()
}
