import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Refusal } from './api'
import { usePhotographsStore } from './photographs'

/** A server that can be out of reach or refuse, and a device that outlives the store. */
const server = vi.hoisted(() => ({ got: [] as string[], failure: undefined as Error | undefined }))
const device = vi.hoisted(() => new Map<string, { id: string; jobId: string; picture: Blob; sent: 0 | 1 }>())

vi.mock('./api', async (original) => ({
  ...(await original<typeof import('./api')>()),
  api: {
    sendPhotograph: async (_job: string, id: string) => {
      if (server.failure) throw server.failure
      server.got.push(id)
    },
  },
}))
vi.mock('./storage', () => {
  type Row = { id: string; jobId: string; picture: Blob; sent: 0 | 1 }
  const where = (wanted: Partial<Row>) => {
    const match = () =>
      [...device.values()].filter((row) =>
        Object.entries(wanted).every(([key, value]) => row[key as keyof Row] === value),
      )
    return { toArray: async () => match(), count: async () => match().length }
  }
  return {
    storage: {
      photographs: {
        where,
        put: async (row: Row) => void device.set(row.id, row),
        update: async (id: string, change: Partial<Row>) => void Object.assign(device.get(id)!, change),
      },
    },
  }
})

const picture = new Blob(['picture'], { type: 'image/jpeg' })
const away = new Refusal(0, 'No connection.')
const freshStore = () => {
  setActivePinia(createPinia())
  return usePhotographsStore()
}

beforeEach(() => {
  vi.useFakeTimers()
  device.clear()
  server.got = []
  server.failure = undefined
  vi.stubGlobal('URL', { createObjectURL: () => 'blob:here' })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('photographs on the device', () => {
  it('are kept, shown from here and sent', async () => {
    const store = freshStore()
    await store.keep('job', 'picture-1', picture)
    await vi.waitFor(() => expect(store.waiting).toBe(0))
    expect(server.got).toEqual(['picture-1'])
    expect(store.addressOf('job', 'picture-1')).toBe('blob:here')
    expect(store.addressOf('job', 'of-others')).toBe('/api/jobs/job/photographs/of-others')
  })

  it('wait while there is no signal, and are sent when there is one', async () => {
    server.failure = away
    const store = freshStore()
    await store.keep('job', 'picture-1', picture)
    await store.keep('job', 'picture-2', picture)
    await vi.waitFor(() => expect(store.waiting).toBe(2))
    server.failure = undefined
    await vi.advanceTimersByTimeAsync(60_000)
    expect(store.waiting).toBe(0)
    expect(server.got.sort()).toEqual(['picture-1', 'picture-2'])
  })

  it('outlive the store', async () => {
    server.failure = away
    await freshStore().keep('job', 'picture-1', picture)
    server.failure = undefined
    const store = freshStore()
    await store.open('job')
    expect(store.waiting).toBe(1)
    expect(store.addressOf('job', 'picture-1')).toBe('blob:here')
    await store.send()
    expect(server.got).toEqual(['picture-1'])
  })

  it('that the server will not have are not sent for ever, and it is said', async () => {
    server.failure = new Refusal(422, 'photograph is "12 bytes"; it must be a picture')
    const store = freshStore()
    await store.keep('job', 'picture-1', picture)
    await vi.waitFor(() => expect(store.refused).toContain('it must be a picture'))
    expect(store.waiting).toBe(0)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(server.got).toEqual([])
  })

  it('that were sent are not sent again', async () => {
    const store = freshStore()
    await store.keep('job', 'picture-1', picture)
    await vi.waitFor(() => expect(store.waiting).toBe(0))
    await store.send()
    expect(server.got).toEqual(['picture-1'])
  })
})
