import 'fake-indexeddb/auto'
import { Dexie } from 'dexie'
import { describe, expect, it, vi } from 'vitest'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { newDevice } from '~~/tests/device/device'
import { fakeServer } from '~~/tests/device/fakeServer'
import { Refusal } from './api'
import { createQueue, type Sender } from './queue'
import { DeviceStorage } from './storage'
import { createTabs } from './tabs'

let made = 0
const newStorage = () => new DeviceStorage(`queue-${process.pid}-${++made}`)
const QUICK = { first: 1, longest: 4 }
const tabsOf = () => `windows-${process.pid}-${++made}`

/** Sends notes; `refuses` says what happens to one before it is taken. */
function noteSender(refuses: (topic: string, text: string) => Refusal | undefined = () => undefined) {
  const taken: string[] = []
  const refused: string[] = []
  const sender: Sender<string> = {
    kind: 'note',
    async send(topic, text) {
      const refusal = refuses(topic, text)
      if (refusal) throw refusal
      taken.push(`${topic} ${text}`)
      return 'taken'
    },
    async refused(topic, text, { message }) {
      refused.push(`${topic} ${text}: ${message}`)
    },
  }
  return { sender, taken, refused }
}

describe('the queue', () => {
  it('sends what belongs to one thing in order, whatever came first', async () => {
    const { sender, taken } = noteSender()
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), QUICK)
    await Promise.all([queue.put('note', 'a b', '1'), queue.put('note', 'c', '1')])
    await queue.put('note', 'a b', '2')
    await queue.idle()
    expect(taken.filter((each) => each.startsWith('a b'))).toEqual(['a b 1', 'a b 2'])
    expect(taken).toHaveLength(3)
    expect(queue.waiting('note')).toBe(0)
  })

  it('counts what waits, by kind and by topic, from the moment it is handed over', async () => {
    const { sender } = noteSender(() => new Refusal(0, 'away'))
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), { first: 10_000, longest: 10_000 })
    const putting = queue.put('note', 'a b', '1')
    expect(queue.waiting('note', 'a b')).toBe(1)
    await putting
    await queue.put('note', 'a b', '2')
    expect(queue.waiting('note', 'a b')).toBe(2)
    await queue.put('note', 'c', '1')
    expect([
      queue.waiting('note'),
      queue.waiting('note', 'a b'),
      queue.waiting('note', 'b'),
      queue.waiting('other'),
    ]).toEqual([3, 2, 0, 0])
  })

  it('tries again while the server does not answer, and says that it does not', async () => {
    const said: boolean[] = []
    const { sender, taken } = noteSender(() => {
      said.push(queue.reachable.value)
      return said.length < 4 ? new Refusal(said.length === 2 ? 503 : 0, 'away') : undefined
    })
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(queue.waiting('note')).toBe(0))
    expect(taken).toEqual(['a 1'])
    expect(said).toEqual([true, false, false, false])
    expect(queue.reachable.value).toBe(true)
  })

  it('that is woken does not wait for the end of its pause', async () => {
    let away = true
    const { sender, taken } = noteSender(() => (away ? new Refusal(0, 'away') : undefined))
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), { first: 1e7, longest: 1e7 })
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(queue.reachable.value).toBe(false))
    away = false
    await queue.idle()
    expect(taken).toEqual(['a 1'])
  })

  it('that is woken in the middle of a good attempt does not say that there is no signal', async () => {
    let go = () => {}
    const held = new Promise<void>((resolve) => (go = resolve))
    const sending: string[] = []
    const sender: Sender<string> = {
      kind: 'note',
      async send(_, text) {
        sending.push(text)
        await held
        return 'taken'
      },
      refused: async () => {},
    }
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(sending).toEqual(['1']))
    const idle = queue.idle()
    go()
    await idle
    expect(sending).toEqual(['1'])
    expect(queue.reachable.value).toBe(true)
  })

  it('puts what is refused into the tray, says so, and goes on', async () => {
    const storage = newStorage()
    const { sender, taken, refused } = noteSender((_, text) => (text === 'bad' ? new Refusal(422, 'no') : undefined))
    const queue = createQueue(storage, [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', 'bad', 'first')
    await queue.put('note', 'a', 'good')
    await queue.idle()
    expect([taken, refused]).toEqual([['a good'], ['a bad: no']])
    expect(await storage.tray.toArray()).toMatchObject([
      { id: 'first', kind: 'note', topic: 'a', body: 'bad', why: 'no' },
    ])
    expect(queue.waiting('note')).toBe(0)
  })

  it('steps aside after six tries with what nobody lets through, and tries for ever what the server is away for', async () => {
    const tries: Record<string, number> = {}
    const counted = (text: string, refusal: Refusal, until = Infinity) => {
      tries[text] = (tries[text] ?? 0) + 1
      return tries[text] > until ? undefined : refusal
    }
    const { sender, taken, refused } = noteSender((_topic, text) => {
      // An answer that is not the server's own: something between here and there turns it away.
      if (text === 'stubborn') return counted(text, new Refusal(413, 'too large for this network', {}, true))
      if (text === 'away') return counted(text, new Refusal(503, 'away'), 9)
      return undefined
    })
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', 'stubborn')
    await queue.put('note', 'a', 'after it')
    await queue.put('note', 'b', 'away')
    await vi.waitFor(() => expect(taken.toSorted()).toEqual(['a after it', 'b away']))
    expect(tries).toEqual({ stubborn: 6, away: 10 })
    expect(refused).toEqual(['a stubborn: too large for this network'])
  })

  it('says that nothing waits only when the device has forgotten it', async () => {
    const storage = newStorage()
    let letGo = () => {}
    const held = new Promise<void>((resolve) => (letGo = resolve))
    const forget = storage.outbox.delete.bind(storage.outbox)
    vi.spyOn(storage.outbox, 'delete').mockImplementation(((key: number) => held.then(() => forget(key))) as never)
    const { sender, taken } = noteSender()
    const queue = createQueue(storage, [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(taken).toEqual(['a 1']))
    expect(queue.waiting('note', 'a')).toBe(1)
    letGo()
    await vi.waitFor(() => expect(queue.waiting('note', 'a')).toBe(0))
    expect(await storage.outbox.count()).toBe(0)
  })

  it('says that something was refused only when it lies in the tray', async () => {
    const storage = newStorage()
    const lying: number[] = []
    const { sender } = noteSender(() => new Refusal(422, 'no'))
    sender.refused = async () => void lying.push(await storage.tray.count(), await storage.outbox.count())
    const queue = createQueue(storage, [sender], createTabs(tabsOf()), QUICK)
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(lying).toEqual([1, 0]))
  })

  it('sends what was put there just as the last one had gone', async () => {
    const storage = newStorage()
    const { sender, taken } = noteSender()
    const tabs = createTabs(tabsOf())
    let isPut = false
    // The lane has found nothing more to send, and has not ended yet.
    const alone: typeof tabs.alone = async (_what, work) => {
      const done = await work()
      if (!isPut) {
        isPut = true
        await queue.put('note', 'a', '2')
      }
      return done
    }
    const queue: ReturnType<typeof createQueue> = createQueue(storage, [sender], { ...tabs, alone }, QUICK)
    await queue.put('note', 'a', '1')
    await vi.waitFor(() => expect(taken).toEqual(['a 1', 'a 2']))
    await vi.waitFor(async () => expect(await storage.outbox.count()).toBe(0))
  })

  it('takes up what an earlier visit left', async () => {
    const storage = newStorage()
    await storage.outbox.bulkAdd(['1', '2'].map((body) => ({ id: `left-${body}`, kind: 'note', topic: 'a', body })))
    const { sender, taken } = noteSender()
    await createQueue(storage, [sender], createTabs(tabsOf()), QUICK).idle()
    expect(taken).toEqual(['a 1', 'a 2'])
  })

  it('one thing that is held up holds up no other', async () => {
    const { sender, taken } = noteSender((topic) => (topic === 'a' ? new Refusal(0, 'away') : undefined))
    const queue = createQueue(newStorage(), [sender], createTabs(tabsOf()), { first: 1e7, longest: 1e7 })
    await queue.put('note', 'a', '1')
    await queue.put('note', 'b', '1')
    await vi.waitFor(() => expect(taken).toEqual(['b 1']))
    expect(queue.waiting('note', 'a')).toBe(1)
  })
})

describe('pictures', () => {
  const picture = () => new Blob(['picture'], { type: 'image/jpeg' })
  const start = () => {
    const server = fakeServer({ one: jobOf(runOfPosts(2, 2)) })
    return { server, device: newDevice(server) }
  }

  it('are kept first, shown from the device, and sent', async () => {
    const { server, device } = start()
    server.away = true
    await device.pictures.keep('one', 'p-1', picture())
    expect(device.pictures.addressOf('one', 'p-1')).toMatch(/^blob:/)
    expect(device.queue.waiting('picture', 'one')).toBe(1)
    const later = await device.again()
    expect(later.pictures.addressOf('one', 'p-1')).toBe('/api/jobs/one/photographs/p-1')
    await later.pictures.open('one')
    expect(later.pictures.addressOf('one', 'p-1')).toMatch(/^blob:/)
    server.away = false
    await later.queue.idle()
    expect(await server.pictures.get('p-1')!.text()).toBe('picture')
    expect(later.queue.waiting('picture')).toBe(0)
  })

  it('that are refused stay on the device, in the tray, and it is said why', async () => {
    const { server, device } = start()
    server.refusedPictures.set('p-1', 'no picture')
    await device.pictures.keep('one', 'p-1', picture())
    await device.pictures.keep('one', 'p-2', picture())
    await device.queue.idle()
    expect(device.pictures.refused.value).toBe('no picture')
    expect([...server.pictures.keys()]).toEqual(['p-2'])
    expect(await device.storage.pictures.get('p-1')).toBeDefined()
    expect(await device.storage.tray.toArray()).toMatchObject([{ kind: 'picture', topic: 'one', body: { id: 'p-1' } }])
  })
})

describe('what an earlier version of the application kept', () => {
  it('is taken over: edits with the version they stand on, pictures with whether they were sent', async () => {
    const name = `earlier-${process.pid}`
    const earlier = new Dexie(name)
    earlier.version(1).stores({ jobs: 'id', waiting: '++order, jobId, id', conflicts: 'jobId', wayBack: 'jobId' })
    earlier.version(2).stores({ photographs: 'id, jobId, sent' })
    const commands = [{ name: 'renameJob', value: 'Later' }]
    await earlier.table('jobs').put({ id: 'one', version: 7, job: { name: 'One' } })
    await earlier.table('waiting').bulkAdd(['b-1', 'b-2'].map((id) => ({ id, jobId: 'one', commands })))
    await earlier.table('photographs').bulkAdd([
      { id: 'p-1', jobId: 'one', sent: 0, picture: 'bytes' },
      { id: 'p-2', jobId: 'one', sent: 1, picture: 'bytes' },
    ])
    earlier.close()
    const storage = new DeviceStorage(name)
    const rows = (await storage.outbox.toArray()).map(({ order: _order, ...row }) => row)
    expect(rows).toEqual([
      { id: 'b-1', kind: 'edits', topic: 'one', body: { id: 'b-1', commands, version: 7 } },
      { id: 'b-2', kind: 'edits', topic: 'one', body: { id: 'b-2', commands, version: 7 } },
      { id: 'p-1', kind: 'picture', topic: 'one', body: { id: 'p-1' } },
    ])
    expect((await storage.pictures.toArray()).map(({ id }) => id)).toEqual(['p-1', 'p-2'])
    expect(await storage.jobs.get('one')).toMatchObject({ version: 7 })
    storage.close()
  })
})
