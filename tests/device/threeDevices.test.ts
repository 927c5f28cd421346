import type { Workspace } from '../../server/workspace/workspace'
import { describe, expect, it } from 'vitest'
import type { JobSession } from '~/job/session'
import { Refusal, type Api } from '~/sync/api'
import type { Job } from '~~/core/document/job'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import { nextPostIds } from '~~/core/edit/grow'
import { problemOf } from '~~/server/http/answering'
import { applyBatch, importJob, readHistory, readStoredJob } from '~~/server/jobs/service'
import { dice } from '~~/scripts/lib/dice'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { ownDatabase } from '../server/ownDatabase'
import { newDevice } from './device'
import type { FakeServer } from './fakeServer'
import { cases } from '~~/tests/support/cases'

/* Two technicians and the office on one job, eight hours without a signal, 600 edits (2 000 in `npm run properties`); then all come home. */

const { workspace } = ownDatabase('three_devices')
const PEOPLE = ['anna', 'bert', 'office']
const EDITS_EACH = cases(200, 667)
const HOURS = 8

/** The real server as a device meets it, with a signal that can be switched off. */
function serverOn(here: () => Workspace) {
  const signal = { away: false }
  async function asked<T>(work: () => Promise<T>): Promise<T> {
    if (signal.away) throw new Refusal(0, 'away')
    try {
      return await work()
    } catch (error) {
      const problem = problemOf(error)
      throw new Refusal(problem.status, problem.detail, JSON.parse(JSON.stringify(problem)) as typeof problem)
    }
  }
  const api: Pick<Api, 'readJob' | 'sendEdits' | 'sendPicture'> = {
    readJob: (id) =>
      asked(async () => {
        const { version, document } = await readStoredJob(here(), id)
        return { id, version, job: document, updatedAt: '' }
      }),
    sendEdits: (id, batch) => asked(() => applyBatch(here(), id, batch)),
    sendPicture: () => Promise.reject(new Refusal(422, 'no pictures here')),
  }
  return { api, signal }
}

const SOILS = ['firm-clay', 'gravel', 'medium-sand', 'rock']
const TAPS = ['dull', 'rings', 'hollow']

/** A day's work of one person. @returns the identities of all that was read */
async function work(session: JobSession, person: string, roll: (sides: number) => number): Promise<string[]> {
  const made: string[] = []
  for (let i = 0; i < EDITS_EACH; i++) {
    const job = session.job.value!
    const line = job.lines[roll(job.lines.length)]!
    const post = line.posts[roll(line.posts.length)]!
    const at = { line: line.id, post: post.id }
    const what = roll(100)
    if (what < 12) await session.undo()
    else if (what < 15) await session.redo()
    else {
      const id = `${person}-reading-${i}`
      const time = new Date(Date.UTC(2026, 2, 14, 8) + (i * HOURS * 3600e3) / EDITS_EACH + PEOPLE.indexOf(person) * 500)
      const commands = editOf(what, { job, at, roll, id, time: time.toISOString(), person })
      // An edit that would spoil the job is answered at once, and is none.
      const error = await session.edit(commands)
      if (!error && commands[0]!.name === 'setReading') made.push(id)
    }
  }
  return made
}

interface Occasion {
  job: Job
  at: { line: string; post: string }
  roll: (sides: number) => number
  id: string
  time: string
  person: string
}
function editOf(what: number, { job, at, roll, id, time, person }: Occasion): Command[] {
  const line = job.lines.find((each) => each.id === at.line)!
  if (what < 55)
    return [
      { name: 'setReading', ...at, key: 'tap', value: TAPS[roll(3)], reading: { id, at: time, by: person } },
    ] as Command[]
  if (what < 70) return [{ name: 'setPost', ...at, key: 'soil', value: SOILS[roll(4)] }] as Command[]
  if (what < 80) {
    const post = nextPostIds(job, line.id)(0)
    const last = line.posts.at(-1)!.station
    const value = { id: post, station: Math.round((last + 1.2 + roll(100) / 100) * 1e3) / 1e3 }
    return [
      { name: 'putPost', line: line.id, post, value },
      { name: 'setLine', line: line.id, key: 'length', value: value.station },
    ] as Command[]
  }
  if (what < 83) return [{ name: 'putPost', ...at, value: null }]
  if (what < 90) return [{ name: 'renameJob', value: `Called ${roll(1_000)}` }]
  if (what < 95) return [{ name: 'setLine', line: line.id, key: 'name', value: `Side ${roll(9)}` }] as Command[]
  const mark = `${person}-mark-${roll(12)}`
  const value = { id: mark, kind: 'tree' as const, station: roll(20) }
  return [{ name: 'putMark', line: line.id, mark, value }] as Command[]
}

const settled = async (devices: ReturnType<typeof newDevice>[]) => {
  // One after the other, until nobody has anything left: a merge may leave something for the next round.
  for (let round = 0; round < 5; round++) for (const device of devices) await device.queue.idle()
}

describe('two technicians and the office for eight hours without a signal', () => {
  it(
    'have the same job afterwards, with every reading, and nothing refused is lost',
    { timeout: 300_000 },
    async () => {
      const { api, signal } = serverOn(workspace)
      const { id } = await importJob(workspace(), { ...jobOf(runOfPosts(12, 2.4)), name: 'Three people' })
      const devices = PEOPLE.map(() => newDevice({ api } as FakeServer))
      const sessions = await Promise.all(devices.map((device) => device.open(id)))
      for (const session of sessions) await session.refresh()

      signal.away = true
      const made = await Promise.all(sessions.map((session, i) => work(session, PEOPLE[i]!, dice(20 + i))))
      expect(made.flat().length).toBeGreaterThan(EDITS_EACH * 0.7)
      expect((await readStoredJob(workspace(), id)).version).toBe(1)

      signal.away = false
      await settled(devices)
      for (const session of sessions) await session.refresh()

      const stored = await readStoredJob(workspace(), id)
      for (const [i, session] of sessions.entries()) {
        expect(session.saveSign.value, `device ${i}`).not.toBe('waiting')
        expect(session.job.value, `device ${i}`).toEqual(stored.document)
        expect(session.version.value, `device ${i}`).toBe(stored.version)
        expect(await devices[i]!.storage.outbox.count(), `device ${i}`).toBe(0)
      }

      const history: Command[] = []
      for (let after: number | undefined = 0; after !== undefined; ) {
        const page = await readHistory(workspace(), id, after)
        history.push(...page.entries.flatMap(({ commands }) => commands))
        after = page.next
      }
      const kept = new Set(
        stored.document.lines.flatMap(({ posts }) =>
          posts.flatMap((post) => (post.readings ?? []).map((reading) => reading.id)),
        ),
      )
      const trays = await Promise.all(devices.map((device) => device.storage.tray.toArray()))
      const aside = JSON.stringify([trays, sessions.map((session) => session.conflicts.value)])
      const where = { kept: 0, aside: 0, withItsPost: 0, lost: 0 }
      for (const reading of made.flat()) {
        if (kept.has(reading)) where.kept++
        else if (aside.includes(`"${reading}"`)) where.aside++
        else if (wentWithItsPost(history, reading)) where.withItsPost++
        else where.lost++
      }
      expect(where.lost).toBe(0)
      expect(where.kept).toBeGreaterThan(made.flat().length / 2)
      // What the history says is what stands.
      for (const tray of trays)
        for (const { body, why } of tray)
          expect([(body as VersionedBatch).commands.length > 0, why.length > 0]).toEqual([true, true])
    },
  )
})

/** Somebody took the post out, with all that was on it: that is in the history, and can be taken back. */
function wentWithItsPost(history: readonly Command[], reading: string): boolean {
  const at = history.findIndex((command) => command.name === 'setReading' && command.reading?.id === reading)
  if (at < 0) return false
  const { post } = history[at] as { post: string }
  return history
    .slice(at)
    .some((command) => command.name === 'putPost' && command.post === post && command.value === null)
}
