import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Job } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { newDevice } from '~~/tests/device/device'
import { fakeServer } from '~~/tests/device/fakeServer'
import { Refusal } from './api'

/* What a device does when nobody lets it do what it should: networks, browsers, other people. */

const job = (): Job => ({ ...jobOf(runOfPosts(3, 2.4)), name: 'One' })
const fact = (value: string, post = 'A1', key = 'soil'): Command =>
  ({ name: 'setPost', line: 'A', post, key, value }) as Command
const addPost = (id: string, station: number): Command => ({
  name: 'putPost',
  line: 'A',
  post: id,
  value: { id, station },
})
let readings = 0
const read = (value: unknown, post = 'A1'): Command =>
  ({
    name: 'setReading',
    line: 'A',
    post,
    key: 'tap',
    value,
    reading: {
      id: `reading-${++readings}`,
      at: `2026-03-14T08:${String(readings % 60).padStart(2, '0')}:00Z`,
      by: 'I. Aalder',
    },
  }) as Command
const saved = (session: { saveSign: { value: string } }) =>
  vi.waitFor(() => expect(session.saveSign.value).toBe('saved'), 5_000)

async function opened(name?: string, server = fakeServer({ one: job() })) {
  const device = newDevice(server, name)
  const session = await device.open('one')
  await session.refresh()
  return { server, device, session }
}
afterEach(() => vi.restoreAllMocks())

describe('a network that answers in the place of the server', () => {
  it('never has anything called saved', async () => {
    const { server, device, session } = await opened()
    const real = server.api.sendEdits
    const page = new Refusal(200, 'a sign-in page', {}, true)
    const sends = vi.spyOn(server.api, 'sendEdits').mockRejectedValue(page)
    await session.edit([fact('rock')])
    await session.edit([fact('gravel', 'A2')])
    // However often it is tried.
    await vi.waitFor(() => expect(sends.mock.calls.length).toBeGreaterThan(12))
    expect(session.saveSign.value).toBe('waiting')
    expect(await device.storage.outbox.count()).toBe(2)
    expect(await device.storage.tray.count()).toBe(0)
    sends.mockImplementation(real)
    await device.queue.wake()
    await saved(session)
    expect(server.of('one').job.lines[0]!.posts.map(({ soil }) => soil)).toEqual(['rock', 'gravel', undefined])
  })

  it('that never lets a picture through holds up nothing else: it steps aside, and is kept', async () => {
    const { server, device } = await opened()
    const real = server.api.sendPicture
    vi.spyOn(server.api, 'sendPicture').mockImplementation((id, picture, bytes) =>
      picture === 'large-one' ? Promise.reject(new Refusal(413, 'too large', {}, true)) : real(id, picture, bytes),
    )
    for (const id of ['large-one', 'small-one']) await device.pictures.keep('one', id, new Blob([id]))
    await vi.waitFor(() => expect([...server.pictures.keys()]).toEqual(['small-one']), 5_000)
    expect(await device.storage.tray.toArray()).toMatchObject([{ kind: 'picture', body: { id: 'large-one' } }])
    expect(await device.storage.pictures.get('large-one')).toBeDefined()
  })
})

describe('the tray', () => {
  it('is sent again on the job as it is now, or thrown away by hand', async () => {
    const { server, device, session } = await opened()
    const real = server.api.sendEdits
    const sends = vi.spyOn(server.api, 'sendEdits').mockRejectedValue(new Refusal(422, 'not today'))
    await session.edit([fact('rock')])
    await session.edit([fact('gravel', 'A2')])
    await vi.waitFor(async () => expect(await device.storage.tray.count()).toBe(2))
    await saved(session)
    expect(session.job.value).toEqual(server.of('one').job)
    sends.mockImplementation(real)
    server.others('one', fact('peat', 'A3'))

    await device.tray.load()
    expect(device.tray.items.value.map(({ why }) => why)).toEqual(['not today', 'not today'])
    expect(device.tray.asFile()).toContain('"gravel"')
    await device.tray.sendAgain(device.tray.items.value[0]!)
    await device.queue.idle()
    await device.tray.throwAway(device.tray.items.value[0]!)
    expect(device.tray.items.value).toEqual([])
    expect(server.of('one').job.lines[0]!.posts.map(({ soil }) => soil)).toEqual(['rock', undefined, 'peat'])
    await saved(session)
  })

  it('takes what cannot be sent at all, a picture that is gone among it, and goes on', async () => {
    const { server, device } = await opened()
    await device.queue.put('picture', 'one', { id: 'gone-one' }, 'gone-one')
    await device.pictures.keep('one', 'there-one', new Blob(['x']))
    await device.queue.idle()
    expect([...server.pictures.keys()]).toEqual(['there-one'])
    expect(await device.storage.tray.toArray()).toMatchObject([
      { id: 'gone-one', why: 'The picture is not on this device any more.' },
    ])
  })
})

describe('two people without a signal', () => {
  it('who both add a post keep both, with what they read at it', async () => {
    const { server, session: mine } = await opened()
    const { session: theirs } = await opened(undefined, server)
    server.away = true
    await mine.edit([addPost('A4', 9)])
    await mine.edit([read('dull', 'A4')])
    await theirs.edit([addPost('A4', 10)])
    await theirs.edit([read('rings', 'A4')])
    server.away = false
    await saved(mine)
    await saved(theirs)
    await mine.refresh()
    const posts = server.of('one').job.lines[0]!.posts.slice(3)
    expect(posts.map(({ station, readings: all }) => [station, all!.map(({ value }) => value)])).toEqual([
      [9, [expect.stringMatching(/dull|rings/)]],
      [10, [expect.stringMatching(/dull|rings/)]],
    ])
    expect(new Set(posts.map(({ id }) => id))).toEqual(new Set(['A4', 'A4b']))
    const renamed = [mine, theirs].filter((session) => session.renamed.value.get('A4') === 'A4b')
    expect(renamed).toHaveLength(1)
    // The way back of the one whose post it is speaks of it by its new name.
    await renamed[0]!.undo()
    await renamed[0]!.undo()
    await saved(renamed[0]!)
    expect(server.of('one').job.lines[0]!.posts.map(({ id }) => id)).toEqual(['A1', 'A2', 'A3', 'A4'])
  })

  it('who read the same thing three times leave six readings', async () => {
    const { server, session: mine } = await opened()
    const { session: theirs } = await opened(undefined, server)
    server.away = true
    for (const session of [mine, theirs])
      for (const value of ['dull', 'rings', 'dull']) await session.edit([read(value)])
    server.away = false
    await saved(mine)
    await saved(theirs)
    expect(server.of('one').job.lines[0]!.posts[0]!.readings).toHaveLength(6)
    expect([mine, theirs].flatMap((session) => session.conflicts.value)).toEqual([])
  })
})

describe('two windows of one browser', () => {
  it('show each other’s edits, and send each of them once', async () => {
    const server = fakeServer({ one: job() })
    const name = `windows-${process.pid}-a`
    const { session: left } = await opened(name, server)
    const { session: right } = await opened(name, server)
    await left.edit([fact('rock')])
    await saved(left)
    await vi.waitFor(() => expect(right.job.value!.lines[0]!.posts[0]!.soil).toBe('rock'))
    await right.edit([fact('gravel', 'A2')])
    await saved(right)
    await vi.waitFor(() => expect(left.job.value).toEqual(server.of('one').job))
    expect(left.version.value).toBe(3)
  })

  it('choose one after the other, and neither writes over the other’s choice', async () => {
    const server = fakeServer({ one: job() })
    const name = `windows-${process.pid}-b`
    const { device, session: left } = await opened(name, server)
    const { session: right } = await opened(name, server)
    server.others('one', fact('peat'), fact('peat', 'A2'))
    await left.edit([fact('rock'), fact('gravel', 'A2')])
    for (const session of [left, right])
      await vi.waitFor(() => expect(session.conflicts.value).toHaveLength(session === left ? 2 : 0))
    const again = await device.open('one')
    await vi.waitFor(() => expect(again.conflicts.value).toHaveLength(2))
    await left.resolve(left.conflicts.value[0]!, 'theirs')
    await again.resolve(again.conflicts.value[1]!, 'theirs')
    expect((await device.storage.conflicts.get('one'))!.conflicts).toEqual([])
  })
})

describe('a browser that keeps nothing', () => {
  it('full: said at once, still sent, and what was kept before is still there', async () => {
    const { server, device, session } = await opened()
    await session.edit([fact('rock')])
    await saved(session)
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' })
    vi.spyOn(device.storage.outbox, 'add').mockRejectedValueOnce(full)
    server.away = true
    await session.edit([fact('gravel', 'A2')])
    expect(device.storage.failure.value).toBe('The room for this site on the device is full.')
    expect(session.saveSign.value).toBe('waiting')
    expect(await device.storage.jobs.get('one')).toMatchObject({ version: 2 })
    server.away = false
    await device.queue.wake()
    await saved(session)
    expect(server.of('one').job.lines[0]!.posts.map(({ soil }) => soil)).toEqual(['rock', 'gravel', undefined])
  })

  it('full, without a signal to load what it goes on in: the same edit goes out when there is one', async () => {
    const server = fakeServer({ one: job() })
    let hasSignal = false
    const load = vi.fn(() => (hasSignal ? import('fake-indexeddb') : Promise.reject(new TypeError('Failed to fetch'))))
    const device = newDevice(server, undefined, load)
    const session = await device.open('one')
    await session.refresh()
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' })
    vi.spyOn(device.storage.outbox, 'add').mockRejectedValueOnce(full)
    server.away = true
    const edited = session.edit([fact('rock')])
    await vi.waitFor(() => expect(load.mock.calls.length).toBeGreaterThan(2), 5_000)
    expect(session.saveSign.value).not.toBe('saved')
    hasSignal = true
    server.away = false
    await edited
    await saved(session)
    expect(server.of('one').job.lines[0]!.posts[0]!.soil).toBe('rock')
  })

  it('from the start: a job opens, is worked on, and is sent', async () => {
    const server = fakeServer({ one: job() })
    const denied = Object.assign(new Error('denied'), { name: 'SecurityError' })
    const opens = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw denied
    })
    const device = newDevice(server)
    // Everything at once, as a page does that opens.
    const [session] = await Promise.all([device.open('one'), device.queue.wake(), device.tray.load()])
    await session.refresh()
    await session.edit([fact('rock')])
    await saved(session)
    expect(opens).toHaveBeenCalled()
    expect(device.storage.failure.value).toBe('This browser does not let anything be kept here.')
    expect(server.of('one').job.lines[0]!.posts[0]!.soil).toBe('rock')
  })
})
