import { describe, expect, it, vi } from 'vitest'
import { connect } from '../../database/connect'
import { applyBatch, deleteJob } from '../../server/jobs/service'
import { lookingWatch, versionWatch } from '../../server/jobs/versionWatch'
import { bankSideJobs, batch, reading } from './bankSideJobs'
import { ownDatabase } from './ownDatabase'

const { database, workspace, url } = ownDatabase('versions')
const { newBankSide } = bankSideJobs(database, workspace)
const edit = (id: string, version: number) =>
  applyBatch(workspace(), id, batch(version, reading('tap', version % 2 ? 'dull' : 'rings')))

describe('versions of a job that is open on a device', () => {
  it('are heard when another server has written, once each, and no more after leaving', async () => {
    const id = await newBankSide()
    const other = await newBankSide()
    // Another server has a connection of its own.
    const elsewhere = connect(url())
    const { watch, look } = versionWatch(async () => elsewhere)
    const [one, two] = [vi.fn(), vi.fn()]
    const leave = watch(id, one)
    await look()
    expect(one.mock.calls).toEqual([[1]])
    // Whoever comes later hears at once where it stands.
    const leaveTwo = watch(id, two)
    expect(two.mock.calls).toEqual([[1]])
    await edit(id, 1)
    await edit(other, 1)
    await look()
    await look()
    expect(one.mock.calls).toEqual([[1], [2]])
    leave()
    await edit(id, 2)
    await look()
    expect(one.mock.calls).toHaveLength(2)
    expect(two.mock.calls).toEqual([[1], [2], [3]])
    leaveTwo()
    await elsewhere.destroy()
  })

  it('asks the database nothing where nobody watches, and of a deleted job hears no more', async () => {
    const id = await newBankSide()
    const asked = vi.fn(async () => database())
    const { watch, look } = versionWatch(asked)
    await look()
    expect(asked).not.toHaveBeenCalled()
    const heard = vi.fn()
    const leave = watch(id, heard)
    await look()
    await deleteJob(workspace(), id)
    await look()
    expect(heard.mock.calls).toEqual([[1]])
    leave()
    asked.mockClear()
    await look()
    expect(asked).not.toHaveBeenCalled()
  })

  it('are looked for while anybody watches, through a database that is away for a while', async () => {
    const id = await newBankSide()
    let isAway = false
    const faults: unknown[] = []
    const watch = lookingWatch(
      async () => {
        if (isAway) throw new Error('away')
        return database()
      },
      (fault) => faults.push(fault),
    )
    const heard = vi.fn()
    const leave = watch(id, heard)
    await expect.poll(() => heard.mock.calls).toEqual([[1]])
    isAway = true
    await expect.poll(() => faults.length).toBeGreaterThan(0)
    isAway = false
    await edit(id, 1)
    await expect.poll(() => heard.mock.calls, { timeout: 2_000 }).toEqual([[1], [2]])
    leave()
  })
})
