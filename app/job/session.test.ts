import { describe, expect, it, vi } from 'vitest'
import type { Job } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { applyCommands } from '~~/core/edit/apply'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { EditsNews } from '~/sync/edits'
import { newDevice } from '~~/tests/device/device'
import { fakeServer } from '~~/tests/device/fakeServer'
import { openSession } from './session'

const jobCalled = (name: string): Job => ({ ...jobOf(runOfPosts(3, 2.4)), name })
const reading = (key: string, value: unknown, post = 'A1'): Command =>
  ({ name: 'setReading', line: 'A', post, key, value }) as Command
const takeOut = (post: string): Command => ({ name: 'putPost', line: 'A', post, value: null }) as Command
const seen = (job: Job | undefined, post = 0) => job?.lines[0]!.posts[post]!.observations ?? {}

async function opened(id = 'one') {
  const server = fakeServer({ one: jobCalled('One'), two: jobCalled('Two') })
  const device = newDevice(server)
  const session = await device.open(id)
  await session.refresh()
  return { server, device, session }
}
const saved = (session: { saveSign: { value: string } }) =>
  vi.waitFor(() => expect(session.saveSign.value).toBe('saved'))

describe('an edit', () => {
  it('is shown at once, and called saved after the answer of the server', async () => {
    const { server, session } = await opened()
    const go = server.hold()
    const made = session.edit([reading('tap', 'dull')])
    expect(seen(session.job.value)).toEqual({ tap: 'dull' })
    expect(session.saveSign.value).toBe('waiting')
    await made
    expect(session.saveSign.value).toBe('waiting')
    go()
    await saved(session)
    expect(seen(server.of('one').job)).toEqual({ tap: 'dull' })
    expect(session.version.value).toBe(2)
  })

  it('that would spoil the job is answered at once and changes nothing', async () => {
    const { server, session } = await opened()
    const error = await session.edit([reading('probeAtGround', -1)])
    expect(error).toMatchObject({ key: expect.stringContaining('probeAtGround'), value: -1 })
    expect(session.job.value).toEqual(server.of('one').job)
    expect(session.saveSign.value).toBe('saved')
    await session.undo()
    expect(server.sent).toEqual([])
  })

  it('that is taken just while its job is opened is not waited for afterwards; what was read already is not taken twice', async () => {
    const { server, device, session } = await opened()
    server.away = true
    await session.edit([reading('tap', 'dull')])
    const later = await device.again()
    const { body } = (await later.storage.outbox.toCollection().first())!
    const batch = body as VersionedBatch
    const before = server.of('one').job
    const news: EditsNews[] = [
      // Older than what the device has: it was read with it.
      { what: 'merged', version: 1, before, job: before, theirs: [...batch.commands], writers: [] },
      { what: 'taken', batch: batch.id, at: 2, version: 2, job: applyCommands(before, batch.commands) },
    ]
    const edits = {
      listen: (_id: string, hear: (said: EditsNews) => void) => (news.forEach(hear), () => {}),
      tellOthers() {},
    }
    const { storage, queue } = later
    const again = openSession('one', { storage, queue, edits, api: server.api, tables: () => tables })
    await again.opened
    expect(again.waiting.value).toEqual([])
    expect(again.conflicts.value).toEqual([])
    expect(again.merged.value).toBe(false)
    expect([again.version.value, again.saveSign.value]).toEqual([2, 'saved'])
    expect(seen(again.job.value)).toEqual({ tap: 'dull' })
  })

  it('made without a signal outlives a reload and goes when there is one', async () => {
    const { server, device, session } = await opened()
    server.away = true
    await session.edit([reading('tap', 'dull')])
    await session.edit([reading('comesUpright', 'easily')])
    await vi.waitFor(() => expect(device.queue.reachable.value).toBe(false))
    const later = await device.again()
    const again = await later.open('one')
    expect(seen(again.job.value)).toEqual({ tap: 'dull', comesUpright: 'easily' })
    expect(again.saveSign.value).toBe('waiting')
    server.away = false
    await later.queue.wake()
    await saved(again)
    expect(seen(server.of('one').job)).toEqual({ tap: 'dull', comesUpright: 'easily' })
    expect(server.sent.map(({ batch }) => batch.version)).toEqual([1, 2])
  })

  it('of a job that is not open any more goes too, beside those of the one that is', async () => {
    const { server, device, session } = await opened('one')
    const two = await device.open('two')
    await two.refresh()
    server.away = true
    await session.edit([reading('tap', 'dull')])
    session.close()
    await two.edit([reading('tap', 'rings')])
    server.away = false
    await device.queue.idle()
    expect(seen(server.of('one').job)).toEqual({ tap: 'dull' })
    expect(seen(server.of('two').job)).toEqual({ tap: 'rings' })
    expect(await device.storage.outbox.count()).toBe(0)
    expect(await device.storage.jobs.get('one')).toMatchObject({ version: 2, job: { name: 'One' } })
  })

  it('made while the job is asked for anew is not overwritten by the answer', async () => {
    const { server, session } = await opened()
    server.others('one', reading('wrap', 'tight'))
    const go = server.hold()
    const refreshed = session.refresh()
    const made = session.edit([reading('tap', 'dull')])
    go()
    await Promise.all([refreshed, made])
    await saved(session)
    expect(seen(session.job.value)).toEqual({ wrap: 'tight', tap: 'dull' })
    expect(session.job.value).toEqual(server.of('one').job)
  })

  it('is on the device when the server has been asked, not some time later', async () => {
    const { server, device, session } = await opened()
    server.others('one', reading('wrap', 'tight'))
    const version = session.version.value
    await session.refresh()
    expect(session.version.value).toBe(version + 1)
    expect(await device.storage.jobs.get(session.id)).toMatchObject({
      version: version + 1,
      job: session.job.value,
    })
  })

  it('of others is taken only where the server is ahead, and says then that the server answers', async () => {
    const { server, device, session } = await opened()
    const [shown, version] = [session.job.value, session.version.value]
    server.away = true
    await session.refresh()
    expect(device.queue.reachable.value).toBe(false)
    // A job that is shown needs no word on why it could not be opened.
    expect(session.failure.value).toBe('')
    server.away = false
    await session.refresh()
    expect(device.queue.reachable.value).toBe(true)
    expect([session.job.value, session.version.value]).toEqual([shown, version])
    session.close()
    server.others('one', reading('wrap', 'tight'))
    await session.refresh()
    expect(session.version.value).toBe(version)
  })

  it('whose answer was lost is not made twice', async () => {
    const { server, session } = await opened()
    server.losesAnswer = true
    await session.edit([reading('tap', 'dull')])
    await saved(session)
    expect(server.sent).toHaveLength(2)
    expect(server.of('one').version).toBe(2)
    // Others wrote between the two.
    server.losesAnswer = true
    server.away = false
    const made = session.edit([reading('tap', 'rings')])
    await made
    await saved(session)
    expect(session.version.value).toBe(server.of('one').version)
    expect(session.job.value).toEqual(server.of('one').job)
  })

  it('that the server refuses is taken off the screen, said, and kept in the tray', async () => {
    const { server, device, session } = await opened()
    const lineKey = (key: string, value: number) => ({ name: 'setLine', line: 'A', key, value }) as Command
    // Each by itself is right; both together are no fence.
    server.others('one', lineKey('height', 0.5))
    await session.edit([lineKey('gap', 0.6)])
    await session.edit([reading('tap', 'rings')])
    await saved(session)
    expect(session.refused.value).toContain('gap is 0.6; it must be less than the height of the fence')
    expect(seen(server.of('one').job)).toEqual({ tap: 'rings' })
    expect(session.job.value).toEqual(server.of('one').job)
    const tray = await device.storage.tray.toArray()
    expect(tray.map(({ topic, body }) => [topic, (body as { commands: Command[] }).commands])).toEqual([
      ['one', [lineKey('gap', 0.6)]],
    ])
  })
})

describe('one job opened twice on a device', () => {
  it('shows in both what came of an edit, without asking for the job anew', async () => {
    const { server, device, session } = await opened()
    const other = await device.open('one')
    const read = vi.spyOn(server.api, 'readJob')
    await session.edit([reading('tap', 'dull')])
    await saved(session)
    expect(seen(other.job.value)).toEqual({ tap: 'dull' })
    expect([session.version.value, other.version.value]).toEqual([2, 2])
    expect(read).not.toHaveBeenCalled()
  })
})

describe('two jobs', () => {
  it('a slow answer for one is never shown or kept under the other', async () => {
    const server = fakeServer({ one: jobCalled('One'), two: jobCalled('Two') })
    const device = newDevice(server)
    const go = server.hold()
    const one = await device.open('one')
    const slow = one.refresh()
    server.held = undefined
    one.close()
    const two = await device.open('two')
    await two.refresh()
    go()
    await slow
    expect(two.job.value!.name).toBe('Two')
    expect(one.job.value).toBeUndefined()
    expect((await device.storage.jobs.toArray()).map(({ id, job }) => [id, job.name])).toEqual([['two', 'Two']])
  })

  it('keep each their own version and way back', async () => {
    const { server, device, session } = await opened('one')
    await session.edit([reading('tap', 'dull')])
    await saved(session)
    const two = await device.open('two')
    await two.refresh()
    expect([session.version.value, two.version.value]).toEqual([2, 1])
    await two.undo()
    expect(server.of('two').version).toBe(1)
    await two.edit([reading('tap', 'hollow')])
    await saved(two)
    await session.undo()
    await saved(session)
    expect([seen(session.job.value), seen(two.job.value)]).toEqual([{}, { tap: 'hollow' }])
  })

  it('one that cannot be opened says why, and opens when the signal is back', async () => {
    const server = fakeServer({ one: jobCalled('One') })
    server.away = true
    const session = await newDevice(server).open('one')
    await session.refresh()
    expect(session.failure.value).toBe('No connection.')
    server.away = false
    await session.refresh()
    expect([session.failure.value, session.job.value?.name]).toEqual(['', 'One'])
  })
})

describe('the way back', () => {
  it('goes edit by edit and forward again, after a reload too', async () => {
    const { device, session } = await opened()
    await session.edit([reading('tap', 'dull')])
    await session.edit([reading('tap', 'rings'), reading('wrap', 'tight')])
    await saved(session)
    const again = await (await device.again()).open('one')
    await again.undo()
    expect(seen(again.job.value)).toEqual({ tap: 'dull' })
    await again.undo()
    expect(seen(again.job.value)).toEqual({})
    await again.undo()
    await again.redo()
    await again.redo()
    expect(seen(again.job.value)).toEqual({ tap: 'rings', wrap: 'tight' })
    await again.redo()
    await saved(again)
  })

  it('a new edit ends what could be done again', async () => {
    const { session } = await opened()
    await session.edit([reading('tap', 'dull')])
    await session.undo()
    await session.edit([reading('tap', 'rings')])
    await session.redo()
    expect(seen(session.job.value)).toEqual({ tap: 'rings' })
  })

  it('over a post that others took out says so, and goes on with the step before', async () => {
    const { server, session } = await opened()
    await session.edit([reading('tap', 'dull')])
    await session.edit([reading('tap', 'rings', 'A3')])
    await saved(session)
    server.others('one', takeOut('A3'))
    await session.refresh()
    expect(session.job.value!.lines[0]!.posts).toHaveLength(2)
    await session.undo()
    expect(session.refused.value).toBe('Others have been at it since, so it stays: A3 › observations › tap.')
    expect(seen(session.job.value)).toEqual({ tap: 'dull' })
    await session.undo()
    expect(seen(session.job.value)).toEqual({})
    await saved(session)
  })

  it('is two hundred steps long', async () => {
    const { device, session } = await opened()
    await Promise.all(Array.from({ length: 203 }, (_, i) => session.edit([reading('moisturePercent', i % 2)])))
    const kept = await device.storage.wayBack.get('one')
    expect(kept!.undo).toHaveLength(200)
  })
})

describe('edits from both sides', () => {
  it('of different keys are both in, and said', async () => {
    const { server, session } = await opened()
    server.others('one', reading('wrap', 'tight'))
    await session.edit([reading('tap', 'dull')])
    await saved(session)
    expect(session.merged.value).toBe(true)
    expect(session.conflicts.value).toEqual([])
    expect(seen(server.of('one').job)).toEqual({ wrap: 'tight', tap: 'dull' })
    expect(session.job.value).toEqual(server.of('one').job)
  })

  it('of one key are kept for a person to choose, over a reload', async () => {
    const { server, device, session } = await opened()
    server.others('one', reading('tap', 'hollow'))
    await session.edit([reading('tap', 'dull')])
    await vi.waitFor(() => expect(session.saveSign.value).toBe('conflict'))
    expect(seen(session.job.value)).toEqual({ tap: 'hollow' })
    const later = await device.again()
    const again = await later.open('one')
    expect(again.conflicts.value).toEqual([{ mine: reading('tap', 'dull'), theirs: reading('tap', 'hollow') }])
    await again.resolve(again.conflicts.value[0]!, 'mine')
    await saved(again)
    expect(seen(server.of('one').job)).toEqual({ tap: 'dull' })
    expect((await later.storage.conflicts.get('one'))!.conflicts).toEqual([])
  })

  it('a choice that cannot be done stays open; theirs is taken without an edit', async () => {
    const { server, session } = await opened()
    server.others('one', reading('tap', 'hollow', 'A3'))
    await session.edit([reading('tap', 'dull', 'A3')])
    await vi.waitFor(() => expect(session.conflicts.value).toHaveLength(1))
    server.others('one', takeOut('A3'))
    await session.refresh()
    await session.resolve(session.conflicts.value[0]!, 'mine')
    expect(session.conflicts.value).toHaveLength(1)
    expect(session.refused.value).not.toBe('')
    const before = server.sent.length
    await session.resolve(session.conflicts.value[0]!, 'theirs')
    expect(session.conflicts.value).toEqual([])
    expect(server.sent).toHaveLength(before)
  })

  it('a later edit that waits stands on what came of the merge', async () => {
    const { server, session } = await opened()
    server.others('one', reading('wrap', 'tight'))
    server.away = true
    await session.edit([reading('tap', 'dull')])
    await session.edit([reading('comesUpright', 'easily')])
    server.away = false
    await saved(session)
    expect(seen(server.of('one').job)).toEqual({ wrap: 'tight', tap: 'dull', comesUpright: 'easily' })
    expect(session.version.value).toBe(4)
  })
})
