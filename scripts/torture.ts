import { createHash, randomUUID } from 'node:crypto'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import sharp from 'sharp'
import { applyCommands } from '../core/edit/apply'
import type { Command } from '../core/edit/commands'
import type { Job } from '../core/document/job'
import { demoJobs } from '../data/demo/jobs'
import type { AppliedAnswer, CreatedJob, HistoryPage, JobAnswer, PictureAnswer } from '../shared/contract'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { dice } from './lib/dice'
import { state } from './lib/paths.mjs'
import { say } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'

/*
 * npm run torture [ROUNDS]: server and database are killed in the middle of edits and pictures, again and again. What
 * was acknowledged is there afterwards, once; the history replays to the document.
 */

const ROUNDS = Number(process.argv[2] ?? 40)
const DEVICES = 6
const folder = join(state, `torture-${process.pid}`)
const roll = dice(ROUNDS)
const port = await freePort()
const build = await ensureBuild()
const demo = demoJobs().at(-1)!

async function startBoth() {
  const database = await startDatabase(folder)
  const server = await startServer({ build, databaseUrl: database.url('vindex'), port, quiet: true })
  return { database, server }
}
let running = await startBoth()
const address = `http://127.0.0.1:${port}`
let isDown = false
let over = false

/** @returns undefined where no answer came, or one of a server that is just dying */
async function ask<T>(path: string, how?: RequestInit): Promise<{ status: number; said: T } | undefined> {
  try {
    const answer = await fetch(address + path, { ...how, signal: AbortSignal.timeout(15_000) })
    return answer.status >= 500 ? undefined : { status: answer.status, said: (await answer.json()) as T }
  } catch {
    return undefined
  }
}
/** Asks until an answer comes, as a device does. */
async function insist<T>(path: string, how?: RequestInit): Promise<{ status: number; said: T }> {
  for (;;) {
    const answer = isDown ? undefined : await ask<T>(path, how)
    if (answer) return answer
    await pause(30)
  }
}
const post = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
})

interface Device {
  job: string
  acknowledged: Map<string, number>
  pictures: Map<string, string>
}

/** Edits and pictures, one after the other, each insisted on. */
async function work(device: Device): Promise<void> {
  let version = 1
  for (let i = 0; !over; i++) {
    if (i % 8 === 7) {
      const bytes = await sharp({ create: { width: 60 + (i % 40), height: 40, channels: 3, background: '#765' } })
        .jpeg()
        .toBuffer()
      const id = `picture-${randomUUID()}`
      const { said } = await insist<PictureAnswer>(`/api/jobs/${device.job}/photographs/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'image/jpeg' },
        body: new Uint8Array(bytes),
      })
      if (said.sentChecksum !== createHash('sha256').update(bytes).digest('hex'))
        throw new Error('a picture was acknowledged that was not sent')
      device.pictures.set(id, said.checksum)
    } else {
      const commands = [
        { name: 'setPost', line: 'B', post: `B${1 + (i % 20)}`, key: 'ageYears', value: i % 60 },
      ] as Command[]
      const id = randomUUID()
      const { status, said } = await insist<AppliedAnswer>(
        `/api/jobs/${device.job}/commands`,
        post({ id, version, commands }),
      )
      if (status !== 200 || said.batch !== id)
        throw new Error(`an edit was answered ${status}: ${JSON.stringify(said)}`)
      version = said.version
      device.acknowledged.set(id, said.at)
    }
  }
}

try {
  const devices: Device[] = []
  for (let i = 0; i < DEVICES; i++) {
    const { said } = await insist<CreatedJob>('/api/jobs/import', post({ ...demo, name: `Tortured ${i}` }))
    devices.push({ job: said.id, acknowledged: new Map(), pictures: new Map() })
  }
  const working = devices.map(work)
  for (let round = 1; round <= ROUNDS; round++) {
    await pause(400 + roll(1_200))
    isDown = true
    const { server, database } = running
    for (const part of roll(2) === 0 ? [server, database] : [database, server]) await part.kill()
    running = await startBoth()
    isDown = false
    if (round % 10 === 0) say(`round ${round}: ${count(devices)}`)
  }
  over = true
  await Promise.all(working)

  const lost: string[] = []
  for (const { job, acknowledged, pictures } of devices) {
    const { said: stored } = await insist<JobAnswer>(`/api/jobs/${job}`)
    const history: HistoryPage['entries'] = []
    for (let after: number | undefined = 0; after !== undefined; ) {
      const { said }: { said: HistoryPage } = await insist<HistoryPage>(`/api/jobs/${job}/history?after=${after}`)
      history.push(...said.entries)
      after = said.next
    }
    const at = new Map(history.map((entry) => [entry.batchId, entry.version]))
    if (at.size !== history.length) lost.push(`${job}: an edit is there twice`)
    for (const [id, version] of acknowledged) if (at.get(id) !== version) lost.push(`${job}: edit ${id}`)
    const replayed = history.reduce((so: Job, { commands }) => applyCommands(so, commands), {
      ...demo,
      name: stored.job.name,
    })
    if (JSON.stringify(replayed) !== JSON.stringify(stored.job)) lost.push(`${job}: the history is another job`)
    for (const [id, checksum] of pictures) {
      const answer = await fetch(`${address}/api/jobs/${job}/photographs/${id}`)
      const bytes = Buffer.from(await answer.arrayBuffer())
      if (createHash('sha256').update(bytes).digest('hex') !== checksum) lost.push(`${job}: picture ${id}`)
    }
  }
  say(`${ROUNDS} rounds: ${count(devices)}; lost or doubled: ${lost.length}`)
  for (const each of lost.slice(0, 10)) say(each)
  if (lost.length > 0) process.exitCode = 1
} finally {
  over = true
  await running.server.stop()
  await running.database.stop()
  rmSync(folder, { recursive: true, force: true })
}

function count(devices: readonly Device[]): string {
  const edits = devices.reduce((sum, { acknowledged }) => sum + acknowledged.size, 0)
  const pictures = devices.reduce((sum, each) => sum + each.pictures.size, 0)
  return `${edits} edits and ${pictures} pictures acknowledged`
}
