import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import type { Job } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { newDevice } from '~~/tests/device/device'
import { fakeServer } from '~~/tests/device/fakeServer'
import { jobIdentity } from '~~/shared/jobIdentity'
import { Refusal } from './api'
import { NEW_JOB } from './newJobs'

const job = (name = 'Found in the hollow'): Job => ({ ...jobOf(runOfPosts(3, 2.4)), name })
const soil = (value: string): Command => ({ name: 'setPost', line: 'A', post: 'A1', key: 'soil', value }) as Command

describe('a job that is made on the device', () => {
  it('opens at once without a signal, and again after a reload; nothing of it is called saved', async () => {
    const server = fakeServer({})
    server.away = true
    const device = newDevice(server)
    const id = await device.newJobs.make(job(), 'home')
    const session = await device.open(id)
    await session.refresh()
    expect(session.failure.value).toBe('')
    expect(session.saveSign.value).toBe('waiting')
    await session.edit([soil('gravel')])
    const again = await device.again()
    const later = await again.open(id)
    expect(later.job.value?.lines[0]!.posts[0]!.soil).toBe('gravel')
    expect(later.saveSign.value).toBe('waiting')
  })

  it('comes to the server before what was entered in it, in whichever order they wait', async () => {
    const server = fakeServer({})
    server.away = true
    const device = newDevice(server)
    const id = await device.newJobs.make(job(), 'home')
    const session = await device.open(id)
    await session.edit([soil('gravel')])
    await device.pictures.keep(id, 'picture-of-it', new Blob(['x'], { type: 'image/jpeg' }))
    await session.edit([soil('rock')])
    server.away = false
    await device.queue.wake()
    await vi.waitFor(() => expect(device.queue.waiting('picture', id)).toBe(0), 5_000)
    await vi.waitFor(() => expect(session.saveSign.value).toBe('saved'), 5_000)
    expect(server.of(id).job.lines[0]!.posts[0]!.soil).toBe('rock')
    expect(server.pictures.has('picture-of-it')).toBe(true)
    expect(await device.storage.tray.count()).toBe(0)
  })

  it('is made once, though its answer was lost and two windows send', async () => {
    const server = fakeServer({})
    const made = vi.spyOn(server.api, 'importJob')
    server.losesAnswer = true
    const device = newDevice(server)
    const window = newDevice(server, device.storage.name)
    const id = await device.newJobs.make(job(), 'home')
    await vi.waitFor(() => expect(made.mock.calls.length).toBeGreaterThan(1), 5_000)
    await vi.waitFor(() => expect(device.queue.waiting(NEW_JOB)).toBe(0), 5_000)
    await window.queue.idle()
    expect(server.ids()).toEqual([id])
    expect(await device.storage.outbox.count()).toBe(0)
  })

  it('lies in the tray when the server will not have it, and what was entered in it after it; it opens as before', async () => {
    const server = fakeServer({})
    server.away = true
    vi.spyOn(server.api, 'importJob').mockImplementation(async () => {
      throw server.away ? new Refusal(0, 'away') : new Refusal(422, 'soil is "peat"; it must be a soil of the yard')
    })
    const device = newDevice(server)
    const id = await device.newJobs.make(job(), 'home')
    const session = await device.open(id)
    await session.edit([soil('gravel')])
    server.away = false
    await device.queue.wake()
    await vi.waitFor(async () => expect(await device.storage.tray.count()).toBe(2), 5_000)
    await device.tray.load()
    expect(device.tray.items.value.map(({ kind, topic }) => [kind, topic])).toEqual([
      [NEW_JOB, id],
      ['edits', id],
    ])
    expect((await device.open(id)).job.value?.name).toBe('Found in the hollow')
    // Sent again it is tried again; thrown away, no copy of it is left.
    const [made] = device.tray.items.value
    await device.tray.sendAgain(made!)
    expect(await device.storage.jobs.get(id)).toBeDefined()
    await vi.waitFor(async () => expect(await device.storage.tray.count()).toBe(2), 5_000)
    await device.tray.load()
    await device.tray.throwAway(device.tray.items.value.find(({ kind }) => kind === NEW_JOB)!)
    expect(await device.storage.jobs.get(id)).toBeUndefined()
  })

  it('has a name that is its own in its workspace, and says nothing of another one’s', async () => {
    expect(await jobIdentity('home', 'one-wish-of-somebody')).toBe('0544deb71002975d01408b61a3b683af')
    expect(await jobIdentity('other', 'one-wish-of-somebody')).not.toBe('0544deb71002975d01408b61a3b683af')
  })
})
