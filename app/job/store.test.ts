import { applyCommands, type CommandBatch } from '~~/core/edit/apply'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type Command } from '~~/core/edit/commands'
import type { Job } from '~~/core/document/job'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { Refusal } from '~/sync/api'
import { useJobStore } from './store'

/** A server that can be out of reach, refuse, or be ahead; and a device that outlives the store. */
const server = vi.hoisted(() => ({
  job: undefined as unknown as Job,
  version: 1,
  seen: new Set<string>(),
  history: [] as Command[],
  failure: undefined as Error | undefined,
  losesAnswer: false,
}))
const device = vi.hoisted(() => ({
  jobs: new Map<string, { id: string }>(),
  waiting: new Map<number, { id: string; jobId: string; order?: number }>(),
  conflicts: new Map<string, { jobId: string }>(),
  wayBack: new Map<string, { jobId: string }>(),
  order: 0,
}))

vi.mock('~/sync/api', async (original) => ({
  ...(await original<typeof import('~/sync/api')>()),
  api: {
    readJob: async (id: string) => {
      if (server.failure) throw server.failure
      return { id, version: server.version, job: server.job }
    },
    send: async (_id: string, version: number, batch: CommandBatch) => {
      if (server.failure) throw server.failure
      if (server.seen.has(batch.id)) return { version: server.version, job: server.job }
      if (version !== server.version) {
        throw new Refusal(409, 'changed', {
          version: server.version,
          job: server.job,
          theirs: server.history.slice(version - 1),
        })
      }
      take(batch.commands)
      server.seen.add(batch.id)
      if (!server.losesAnswer) return { version: server.version }
      server.losesAnswer = false
      throw new Refusal(0, 'gone')
    },
  },
}))

vi.mock('~/sync/storage', () => {
  const byJob = <T extends { jobId: string }>(rows: Map<string, T>) => ({
    get: async (id: string) => rows.get(id),
    put: async (row: T) => void rows.set(row.jobId, row),
  })
  type Row = { id: string; jobId: string; order?: number }
  const where = (wanted: Partial<Row>) => {
    const match = () =>
      [...device.waiting.values()].filter((row) =>
        Object.entries(wanted).every(([key, value]) => row[key as keyof Row] === value),
      )
    return {
      sortBy: async () => match(),
      delete: async () => match().forEach((row) => device.waiting.delete(row.order!)),
      modify: async (change: Partial<Row>) => match().forEach((row) => Object.assign(row, change)),
    }
  }
  const add = async (row: Row) => {
    const order = ++device.order
    device.waiting.set(order, { ...row, order })
    return order
  }
  return {
    plain: <T>(value: T) => structuredClone(value),
    storage: {
      jobs: {
        get: async (id: string) => device.jobs.get(id),
        put: async (row: { id: string }) => void device.jobs.set(row.id, row),
      },
      waiting: { add, where },
      conflicts: byJob(device.conflicts),
      wayBack: byJob(device.wayBack),
      transaction: async (...parts: unknown[]) => (parts.at(-1) as () => Promise<void>)(),
    },
  }
})

/** Somebody else, or the server itself, applies commands. */
function take(commands: Command[]): void {
  server.job = applyCommands(server.job, commands)
  server.version += 1
  server.history.push(...commands)
}

const reading = (key: 'tap' | 'onset', value: string | null): Command => ({
  name: 'setReading',
  line: 'A',
  post: 'A2',
  key,
  value,
})
const readings = (job: Job | undefined) => job?.lines[0]!.posts[1]!.observations ?? {}
const unreachable = new Refusal(0, 'No connection.')

/** A browser that is opened anew: the store is empty, the device is not. */
async function openStore() {
  setActivePinia(createPinia())
  const store = useJobStore()
  await store.open('job')
  return store
}
const settled = () => vi.waitFor(() => undefined)

beforeEach(() => {
  vi.useFakeTimers()
  Object.assign(server, {
    job: jobOf(runOfPosts(3)),
    version: 1,
    seen: new Set(),
    history: [],
    failure: undefined,
    losesAnswer: false,
  })
  for (const rows of [device.jobs, device.waiting, device.conflicts, device.wayBack]) rows.clear()
})
afterEach(() => vi.useRealTimers())

describe('an edit', () => {
  it('is shown at once, and called saved only after the answer', async () => {
    const store = await openStore()
    await store.edit([reading('tap', 'dull')])
    expect(readings(store.job)).toEqual({ tap: 'dull' })
    await vi.waitFor(() => expect(store.saveSign).toBe('saved'))
    expect(readings(server.job)).toEqual({ tap: 'dull' })
    expect(device.waiting.size).toBe(0)
  })

  it('that cannot be is refused with its key, and changes nothing', async () => {
    const store = await openStore()
    const error = await store.edit([{ name: 'setHole', line: 'A', post: 'A2', key: 'depth', value: -1 }])
    expect(error).toMatchObject({ key: 'depth', value: -1, range: 'a number from 0.2 to 4 m' })
    expect(store.saveSign).toBe('saved')
    expect(device.waiting.size).toBe(0)
  })

  it('waits on the device without a signal, through a new start, and goes when it is back', async () => {
    const store = await openStore()
    server.failure = unreachable
    await store.edit([reading('tap', 'dull')])
    await store.edit([reading('onset', 'slowly')])
    await vi.waitFor(() => expect(store.reachable).toBe(false))
    expect(store.saveSign).toBe('waiting')

    const again = await openStore()
    expect(readings(again.job)).toEqual({ tap: 'dull', onset: 'slowly' })
    expect(again.waiting).toHaveLength(2)
    server.failure = undefined
    await vi.advanceTimersByTimeAsync(20_000)
    await vi.waitFor(() => expect(again.saveSign).toBe('saved'))
    expect(readings(server.job)).toEqual({ tap: 'dull', onset: 'slowly' })
  })

  it('whose answer was lost is sent again and applied once', async () => {
    const store = await openStore()
    server.losesAnswer = true
    await store.edit([reading('tap', 'dull')])
    await vi.advanceTimersByTimeAsync(5_000)
    await vi.waitFor(() => expect(store.saveSign).toBe('saved'))
    expect(server.version).toBe(2)
    expect(store.version).toBe(2)
  })

  it('that the server refuses goes with a word, and what follows it stands', async () => {
    const store = await openStore()
    server.failure = unreachable
    await store.edit([reading('tap', 'dull')])
    await store.edit([reading('onset', 'slowly')])
    await settled()
    server.failure = new Refusal(422, 'tap is wrong')
    const flushing = store.flush()
    await vi.waitFor(() => expect(store.refused).toBe('tap is wrong'))
    server.failure = undefined
    await flushing
    await vi.advanceTimersByTimeAsync(20_000)
    expect(store.saveSign).toBe('saved')
    expect(readings(store.job)).toEqual(readings(server.job))
  })
})

describe('others', () => {
  it('who wrote something else are merged in', async () => {
    const store = await openStore()
    take([reading('onset', 'after-storm')])
    await store.edit([reading('tap', 'dull')])
    await vi.waitFor(() => expect(store.saveSign).toBe('saved'))
    expect(readings(server.job)).toEqual({ onset: 'after-storm', tap: 'dull' })
    expect(store.merged).toBe(true)
  })

  it('merged in while somebody goes on editing take nothing from the device', async () => {
    const store = await openStore()
    take([reading('tap', 'rings')])
    const first = store.edit([reading('tap', 'dull')])
    const second = store.edit([reading('onset', 'slowly')])
    await Promise.all([first, second])
    await vi.waitFor(() => expect(store.waiting).toHaveLength(0))
    expect(readings(server.job)).toEqual({ tap: 'rings', onset: 'slowly' })
    expect(store.conflicts).toHaveLength(1)
    await vi.waitFor(() => expect(device.waiting.size).toBe(0))
  })

  it.each([
    ['mine', 'dull'],
    ['theirs', 'rings'],
  ] as const)('who wrote the same key are a choice that outlives a new start: %s', async (keep, value) => {
    const store = await openStore()
    take([reading('tap', 'rings')])
    await store.edit([reading('tap', 'dull')])
    await vi.waitFor(() => expect(store.saveSign).toBe('conflict'))
    expect(readings(store.job)).toEqual({ tap: 'rings' })

    const again = await openStore()
    expect(again.conflicts).toEqual([{ mine: reading('tap', 'dull'), theirs: reading('tap', 'rings') }])
    await again.resolve(again.conflicts[0]!, keep)
    await vi.waitFor(() => expect(again.saveSign).toBe('saved'))
    expect(readings(server.job)).toEqual({ tap: value })
  })
})

it('steps back and forth through a new start', async () => {
  const store = await openStore()
  await store.edit([reading('tap', 'dull')])
  await store.edit([reading('tap', 'hollow')])
  await vi.waitFor(() => expect(store.saveSign).toBe('saved'))
  const again = await openStore()
  await again.undo()
  expect(readings(again.job)).toEqual({ tap: 'dull' })
  await again.undo()
  expect(readings(again.job)).toEqual({})
  await again.undo()
  await again.redo()
  await again.redo()
  await vi.waitFor(() => expect(again.saveSign).toBe('saved'))
  expect(readings(server.job)).toEqual({ tap: 'hollow' })
})

it('a job that was here before opens without a signal; one that was not says why', async () => {
  await openStore()
  server.failure = unreachable
  expect((await openStore()).job).toEqual(server.job)
  device.jobs.clear()
  expect((await openStore()).failure).toBe('No connection.')
})
