import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, describe, expect, it } from 'vitest'
import { problemOf } from '../../server/http/answering'
import { threadsOf } from '../../server/worker/pool'
import type { Asked } from '../../server/worker/work'

/* Works that would never end, or eat all there is: whoever asked is told, and the next one is answered. */

const folder = mkdtempSync(join(tmpdir(), 'vindex-pool-'))
const program = join(folder, 'worker.mjs')
writeFileSync(
  program,
  `export default ({ work, given }) => {
    if (work === 'forever') for (;;) {}
    if (work === 'greedy') { const all = []; for (;;) all.push(new Array(1e5).fill({})) }
    return { done: given[0] }
  }`,
)
afterAll(() => rmSync(folder, { recursive: true }))

let threads: ReturnType<typeof threadsOf>
afterEach(() => threads.close())
let askers = 0
const ask = (work: string, value = 0, asker = `asker-${++askers}`) =>
  threads.ask({ work, given: [value] } as unknown as Asked, asker)
const statusOf = (asked: Promise<unknown>) =>
  asked.then(
    () => 200,
    (error: unknown) => problemOf(error).status,
  )

describe('threads', () => {
  it('give up what takes too long, and go on', async () => {
    threads = threadsOf(program, { deadline: 500 })
    const [one, two] = [statusOf(ask('forever')), statusOf(ask('forever'))]
    // Both threads are held: waiting for one does not count.
    const echo = ask('echo', 7)
    expect([await one, await two]).toEqual([503, 503])
    expect(await echo).toEqual({ done: 7 })
  })
  it('are never all held by one asker', async () => {
    threads = threadsOf(program, { deadline: 1_000 })
    const held = ['forever', 'forever', 'forever'].map((work) => statusOf(ask(work, 0, 'one')))
    expect(await ask('echo', 7, 'another')).toEqual({ done: 7 })
    expect(await Promise.race([...held, 'still held'])).toBe('still held')
    expect(await Promise.all(held)).toEqual([503, 503, 503])
  })
  it('outlive one that eats its memory', async () => {
    threads = threadsOf(program, { memory: 32 })
    expect(await statusOf(ask('greedy'))).toBe(413)
    expect(await ask('echo', 8)).toEqual({ done: 8 })
  })
  it('say that they are busy before they take more than they can do', async () => {
    threads = threadsOf(program, { deadline: 500, waiting: 1 })
    expect(await ask('echo', 9)).toEqual({ done: 9 })
    const statuses = await Promise.all(Array.from({ length: 9 }, () => statusOf(ask('forever'))))
    // Those that run and those that wait are given up in their time; the others are refused at once.
    expect(new Set(statuses)).toEqual(new Set([503]))
    expect(statuses).toHaveLength(9)
  })
})
