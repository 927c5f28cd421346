import { describe, expect, it } from 'vitest'
import type { Job } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { InputError } from '~~/core/errors'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { newDevice } from '~~/tests/device/device'
import { fakeServer } from '~~/tests/device/fakeServer'
import { heldHere, holdUnsent, takeBackHeld } from './heldWork'
import { sendUnsentFile, unsentFile } from './unsentFile'

/* A device changes hands while somebody's work still waits on it. */

const ROBIN = { id: 'robin-1', name: 'Robin' }
const WREN = { id: 'wren-1', name: 'Wren' }
const job = (name: string): Job => ({ ...jobOf(runOfPosts(3, 2.4)), name })
const fact = (value: string, post = 'A1'): Command =>
  ({ name: 'setPost', line: 'A', post, key: 'soil', value }) as Command

/** Robin has entered two things of one job without a signal, and only looked at another one. */
async function cutOff() {
  const server = fakeServer({ one: job('One'), two: job('Two') })
  const device = newDevice(server)
  const session = await device.open('one')
  await session.refresh()
  await (await device.open('two')).refresh()
  server.away = true
  await session.edit([fact('rock')])
  await session.edit([fact('gravel', 'A2')])
  // As before every sign-out.
  await device.queue.close()
  return { server, device, session, backInReach: () => void (server.away = false) }
}
const soils = ({ server }: { server: ReturnType<typeof fakeServer> }, id = 'one') =>
  server.of(id).job.lines[0]!.posts.map(({ soil }) => soil)

describe('work that was not sent', () => {
  it('is held for its account, with the job it stands on and without what the server has', async () => {
    const { device } = await cutOff()
    expect(await holdUnsent(device.storage, ROBIN)).toBe(2)
    expect(await heldHere(device.storage)).toEqual([{ ...ROBIN, count: 2 }])
    expect(await device.storage.outbox.count()).toBe(0)
    expect(await device.storage.jobs.count()).toBe(0)
    expect((await device.storage.held.get(ROBIN.id))!.jobs.map(({ id }) => id)).toEqual(['one'])
  })
  it('is sent after the next sign-in of the same account, in its order', async () => {
    const made = await cutOff()
    await holdUnsent(made.device.storage, ROBIN)
    made.backInReach()
    const again = await made.device.again()
    expect(await takeBackHeld(again.storage, ROBIN.id)).toBe(2)
    await again.queue.idle()
    expect(soils(made).slice(0, 2)).toEqual(['rock', 'gravel'])
    expect(await again.storage.outbox.count()).toBe(0)
    expect(await heldHere(again.storage)).toEqual([])
  })
  it('is nothing of another account that signs in meanwhile', async () => {
    const { device } = await cutOff()
    await holdUnsent(device.storage, ROBIN)
    expect(await takeBackHeld(device.storage, WREN.id)).toBe(0)
    expect(await device.storage.outbox.count()).toBe(0)
    // Wren leaves with nothing unsent, and deletes nothing of Robin's.
    expect(await holdUnsent(device.storage, WREN)).toBe(0)
    expect(await heldHere(device.storage)).toEqual([{ ...ROBIN, count: 2 }])
  })
  it('adds up when an account is signed out twice before it sends', async () => {
    const { device, session } = await cutOff()
    await holdUnsent(device.storage, ROBIN)
    await takeBackHeld(device.storage, ROBIN.id)
    await session.edit([fact('peat', 'A3')])
    await holdUnsent(device.storage, ROBIN)
    const first = (await device.storage.held.get(ROBIN.id))!
    expect(first.outbox).toHaveLength(3)
    await device.queue.put('edits', 'one', { id: 'later', version: 1, commands: [fact('clay')] }, 'later')
    expect(await holdUnsent(device.storage, ROBIN)).toBe(4)
    expect((await device.storage.held.get(ROBIN.id))!.outbox.map(({ id }) => id)).toEqual([
      ...first.outbox.map(({ id }) => id),
      'later',
    ])
  })
  it('takes along what was not accepted, and pictures that are not sent', async () => {
    const { device } = await cutOff()
    await device.storage.pictures.put({ id: 'sent', jobId: 'one', picture: new Blob(['old']) })
    await device.pictures.keep('one', 'mine', new Blob(['picture'], { type: 'image/jpeg' }))
    await device.storage.tray.add({ id: 't', kind: 'edits', topic: 'two', body: {}, why: 'not today' })
    expect(await holdUnsent(device.storage, ROBIN)).toBe(4)
    const held = (await device.storage.held.get(ROBIN.id))!
    expect(held.pictures.map(({ id }) => id)).toEqual(['mine'])
    expect(held.jobs.map(({ id }) => id)).toEqual(['one', 'two'])
    await takeBackHeld(device.storage, ROBIN.id)
    expect((await device.storage.tray.toArray()).map(({ why }) => why)).toEqual(['not today'])
  })
  it('holds a choice between two edits that is still to be made', async () => {
    const { device } = await opened()
    await device.storage.conflicts.put({ jobId: 'one', conflicts: [{} as never] })
    expect(await holdUnsent(device.storage, ROBIN)).toBe(1)
    expect((await device.storage.held.get(ROBIN.id))!.jobs).toHaveLength(1)
  })
})
async function opened() {
  const server = fakeServer({ one: job('One') })
  const device = newDevice(server)
  await (await device.open('one')).refresh()
  return { server, device }
}

describe('a file of what was not sent', () => {
  const file = async () => {
    const made = await cutOff()
    await made.device.pictures.keep('one', 'mine', new Blob(['picture'], { type: 'image/jpeg' }))
    await holdUnsent(made.device.storage, ROBIN)
    made.backInReach()
    return { ...made, text: await unsentFile((await made.device.storage.held.get(ROBIN.id))!) }
  }
  it('goes out from the device of a lead', async () => {
    const made = await file()
    const lead = newDevice(made.server)
    const { name, count } = await sendUnsentFile(JSON.parse(made.text), lead.storage, lead.queue)
    expect([name, count]).toEqual(['Robin', 3])
    await lead.queue.idle()
    expect(soils(made).slice(0, 2)).toEqual(['rock', 'gravel'])
    expect(await (await lead.storage.pictures.get('mine'))!.picture.text()).toBe('picture')
  })
  it('is refused whole where one entry is of no kind that is known', async () => {
    const made = await file()
    const lead = newDevice(made.server)
    const data = JSON.parse(made.text) as { entries: { kind: string }[] }
    data.entries[1]!.kind = 'people'
    await expect(sendUnsentFile(data, lead.storage, lead.queue)).rejects.toThrow(
      new InputError('file.entries[1].kind', 'people', 'one of job, edits, picture'),
    )
    expect(await lead.storage.outbox.count()).toBe(0)
    await expect(sendUnsentFile({ entries: 1 }, lead.storage, lead.queue)).rejects.toThrow(InputError)
  })
})
