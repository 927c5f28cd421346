import { describe, expect, it } from 'vitest'
import { applyCommands } from '../../core/edit/apply'
import { InputError } from '../../core/errors'
import { LARGEST } from '../../core/limits'
import type { Job } from '../../core/document/job'
import { newJob } from '../../core/document/newJob'
import { demoJobs } from '../../data/demo/jobs'
import {
  applyBatch,
  deleteJob,
  forgetDeleted,
  importJob,
  listJobs,
  readHistory,
  readStoredJob,
  restoreJob,
} from '../../server/jobs/service'
import { addAtOnce, jobsBehind } from '../../server/jobs/repository'
import { NotFound, StaleVersion, Taken, TooLarge } from '../../server/http/failures'
import { jobIdentity } from '../../shared/jobIdentity'
import { pictureFolder } from '../support/pictureFolder'
import { bankSide, bankSideJobs, batch, reading } from './bankSideJobs'
import { ownDatabase } from './ownDatabase'

const { database, workspace } = ownDatabase('jobs')
const { pictures } = pictureFolder()
const [longBank] = demoJobs()
const { newBankSide, count } = bankSideJobs(database, workspace)
const b7 = async (id: string) => (await readStoredJob(workspace(), id)).document.lines[0]!.posts[6]!

describe('jobs in the database', () => {
  it('come back as they went in, unknown keys and all', async () => {
    const document = { ...longBank, 'x-note': { kept: ['ä', '½', 1e-9] } }
    const { id } = await importJob(workspace(), document)
    expect((await readStoredJob(workspace(), id)).document).toEqual(document)
  })

  it('are listed with their lines, newest first', async () => {
    const { id } = await importJob(workspace(), newJob({ name: 'Newest', tape: '2 x 2', height: 1.5 }))
    const [first] = (await listJobs(workspace())).jobs
    expect(first).toMatchObject({ id, name: 'Newest', version: 1, summary: { posts: 3, failed: 0 } })
  })

  it('say when there is none', async () => {
    await expect(readStoredJob(workspace(), 'nobody')).rejects.toBeInstanceOf(NotFound)
    await expect(applyBatch(workspace(), 'nobody', batch(1, reading('tap', 'dull')))).rejects.toBeInstanceOf(NotFound)
  })
})

describe('commands', () => {
  it('raise the version and leave an entry in the history', async () => {
    const id = await newBankSide()
    const sent = batch(1, reading('pushPivot', 'in-the-soil'), reading('probeAtGround', null))
    expect(await applyBatch(workspace(), id, sent)).toEqual({ batch: sent.id, version: 2, at: 2 })
    expect((await b7(id)).observations).toMatchObject({ pushPivot: 'in-the-soil', comesUpright: 'easily' })
    expect((await b7(id)).observations).not.toHaveProperty('probeAtGround')
    expect(await readHistory(workspace(), id)).toEqual({
      entries: [{ version: 2, batchId: sent.id, commands: sent.commands, madeAt: expect.any(String) as string }],
    })
  })

  it('on an old version are answered with both sides', async () => {
    const id = await newBankSide()
    const theirs = reading('tap', 'hollow')
    const mine = reading('tap', 'rings')
    await applyBatch(workspace(), id, batch(1, theirs))
    const refused = await applyBatch(workspace(), id, batch(1, mine)).catch((error: unknown) => error)
    expect(refused).toBeInstanceOf(StaleVersion)
    expect(refused).toMatchObject({ version: 2, mine: [mine], theirs: [theirs], writers: [{ at: expect.any(String) }] })
    expect((await b7(id)).observations!.tap).toBe('hollow')
  })

  it('are told with who wrote them, where somebody is signed in', async () => {
    const id = await newBankSide()
    const robin = { ...workspace(), person: { id: 'robin', name: 'Robin', role: 'technician' as const } }
    await applyBatch(robin, id, batch(1, reading('tap', 'hollow'), reading('pushPivot', 'in-the-soil')))
    const refused = (await applyBatch(workspace(), id, batch(1, reading('tap', 'rings'))).catch(
      (error: unknown) => error,
    )) as StaleVersion
    expect(refused.writers.map(({ by }) => by)).toEqual(['Robin', 'Robin'])
    expect((await readHistory(workspace(), id)).entries).toMatchObject([{ version: 2, madeBy: 'Robin' }])
  })

  it('that arrive twice are applied once', async () => {
    const id = await newBankSide()
    const sent = batch(1, reading('tap', 'dull'))
    await applyBatch(workspace(), id, sent)
    await applyBatch(workspace(), id, batch(2, reading('comesUpright', 'easily')))
    const again = await applyBatch(workspace(), id, sent)
    expect(again).toEqual({ batch: sent.id, version: 3, at: 2 })
    expect((await b7(id)).observations!.tap).toBe('dull')
    expect((await readHistory(workspace(), id)).entries).toHaveLength(2)
  })

  it('that would spoil the job change nothing', async () => {
    const id = await newBankSide()
    const wrong = batch(1, reading('tap', 'dull'), reading('probeAtGround', -1))
    await expect(applyBatch(workspace(), id, wrong)).rejects.toMatchObject({
      key: 'probeAtGround',
      value: -1,
    })
    expect((await readStoredJob(workspace(), id)).version).toBe(1)
    expect((await b7(id)).observations!.tap).toBeUndefined()
  })

  it('from many at once are applied one after the other, each exactly once', async () => {
    const id = await newBankSide()
    const results = await Promise.allSettled(
      Array.from({ length: 8 }, (_, i) => applyBatch(workspace(), id, batch(1, reading('moisturePercent', i)))),
    )
    const applied = results.filter((result) => result.status === 'fulfilled')
    const stale = results.filter((result) => result.status === 'rejected' && result.reason instanceof StaleVersion)
    expect([applied.length, stale.length]).toEqual([1, 7])
    expect((await readStoredJob(workspace(), id)).version).toBe(2)
  })
})

describe('an edit', () => {
  it('writes itself alone: the document is written whole now and then, and reads the same always', async () => {
    const id = await newBankSide()
    const kept = async () =>
      (await database()('job').where({ id }).first('kept_version', 'is_behind', 'version'))! as Record<string, number>
    for (let version = 1; version <= 70; version++) {
      await applyBatch(workspace(), id, batch(version, reading('moisturePercent', version)))
      if (version === 10) expect(await kept()).toEqual({ kept_version: 1, is_behind: 1, version: 11 })
    }
    expect(await kept()).toEqual({ kept_version: 65, is_behind: 1, version: 71 })
    expect((await b7(id)).observations!.moisturePercent).toBe(70)
    // Another server knows nothing of it but what is written.
    const [{ document }] = (await database()('job').where({ id }).select('document')) as [{ document: Job }]
    const since = (await readHistory(workspace(), id, 65)).entries.flatMap(({ commands }) => commands)
    expect(applyCommands(document, since)).toEqual((await readStoredJob(workspace(), id)).document)
  })

  it('is in the list as soon as somebody looks', async () => {
    const id = await newBankSide()
    await applyBatch(workspace(), id, batch(1, { name: 'renameJob', value: 'Renamed just now' }))
    const [found] = (await listJobs(workspace(), { search: 'renamed just' })).jobs
    expect(found).toMatchObject({ id, name: 'Renamed just now', version: 2 })
  })

  it('by another server is seen, whatever this one remembers', async () => {
    const id = await newBankSide()
    await applyBatch(workspace(), id, batch(1, reading('tap', 'dull')))
    const theirs = [reading('tap', 'rings')]
    await database()('job_history').insert({
      job_id: id,
      version: 3,
      batch_id: 'of-another-server',
      commands: JSON.stringify(theirs),
      made_at: new Date(),
    })
    await database()('job').where({ id }).update({ version: 3, is_behind: true })
    expect((await b7(id)).observations!.tap).toBe('rings')
    await expect(applyBatch(workspace(), id, batch(2, reading('tap', 'hollow')))).rejects.toMatchObject({ theirs })
  })

  it('after which the job would be larger than a document may be is refused', async () => {
    const id = await newBankSide()
    await database()('job').where({ id }).update({ size: LARGEST.document })
    // It was only thought to be: measured, it is small.
    expect(await applyBatch(workspace(), id, batch(1, reading('tap', 'dull')))).toMatchObject({ version: 2 })
    const note = { 'x-note': Array.from({ length: 110 }, () => 'ä'.repeat(25_000)) }
    await expect(importJob(workspace(), { ...bankSide, ...note })).rejects.toBeInstanceOf(TooLarge)
  })
})

describe('an edit that is taken in one go', () => {
  const at = (id: string, version: number, name = `edit-at-${version}`): [string, Parameters<typeof addAtOnce>[2]] => [
    id,
    { version, batch: { id: name, commands: [] }, text: '[]', size: 100, now: new Date() },
  ]
  const stands = async (id: string) => [
    (await database()('job').where({ id }).first('version')).version,
    (await database()('job_history').where({ job_id: id })).length,
  ]

  it('is taken at the version that it was made on, and at no other; what is refused leaves nothing behind', async () => {
    const id = await newBankSide()
    expect(await addAtOnce(workspace(), ...at(id, 3))).toBe(false)
    expect(await addAtOnce(workspace(), ...at(id, 2))).toBe(true)
    expect(await stands(id)).toEqual([2, 1])
    // The same one again, under the next version: the history has it.
    expect(await addAtOnce(workspace(), ...at(id, 3, 'edit-at-2'))).toBe(false)
    expect(await addAtOnce({ ...workspace(), id: 'elsewhere' }, ...at(id, 3))).toBe(false)
    await deleteJob(workspace(), id)
    expect(await addAtOnce(workspace(), ...at(id, 3))).toBe(false)
    expect(await stands(id)).toEqual([2, 1])
    await restoreJob(workspace(), id)
  })

  it('that many send at once, each is taken once and the others hear what was done', async () => {
    const id = await newBankSide()
    const sent = await Promise.allSettled(
      Array.from({ length: 12 }, (_each, i) =>
        applyBatch(workspace(), id, { ...batch(1, reading('tap', 'dull')), id: `edit-of-${i}` }),
      ),
    )
    expect(sent.filter(({ status }) => status === 'fulfilled')).toHaveLength(1)
    for (const each of sent)
      if (each.status === 'rejected')
        expect(each.reason).toMatchObject({ version: 2, theirs: [reading('tap', 'dull')] })
    expect(await stands(id)).toEqual([2, 1])
  })
})

describe('a new job', () => {
  it('that is asked for twice is made once', async () => {
    const made = await importJob(workspace(), bankSide, { madeBy: 'asked-for-once' })
    // The device knows it by this name before the server does.
    expect(made.id).toBe(await jobIdentity('home', 'asked-for-once'))
    const before = await count()
    expect(await importJob(workspace(), bankSide, { madeBy: 'asked-for-once' })).toEqual(made)
    expect(await count()).toBe(before)
    expect((await importJob(workspace(), bankSide, { madeBy: 'Asked-for-once' })).id).not.toBe(made.id)
  })
  it('of another document is not the one that was made for its key', async () => {
    const made = await importJob(workspace(), bankSide, { madeBy: 'two-documents' })
    const other = { ...bankSide, name: 'Another' }
    await expect(importJob(workspace(), other, { madeBy: 'two-documents' })).rejects.toThrow(Taken)
    // Edited since, it is still the one that was asked for.
    await applyBatch(workspace(), made.id, batch(1, { name: 'renameJob', value: 'Renamed since' }))
    expect((await importJob(workspace(), bankSide, { madeBy: 'two-documents' })).id).toBe(made.id)
    // A version before this one did not write down what a job was made of.
    await database()('job').where({ id: made.id }).update({ made_of: null })
    expect((await importJob(workspace(), other, { madeBy: 'two-documents' })).id).toBe(made.id)
  })
})

describe('a job that was deleted', () => {
  it('is gone for everybody, comes back as it was, and is forgotten after thirty days', async () => {
    const id = await newBankSide()
    await applyBatch(workspace(), id, batch(1, reading('tap', 'dull')))
    const before = await readStoredJob(workspace(), id)
    await deleteJob(workspace(), id, new Date('2026-03-01T12:00:00Z'))
    await expect(readStoredJob(workspace(), id)).rejects.toBeInstanceOf(NotFound)
    await expect(deleteJob(workspace(), id)).rejects.toBeInstanceOf(NotFound)
    await expect(applyBatch(workspace(), id, batch(2, reading('tap', 'rings')))).rejects.toBeInstanceOf(NotFound)
    expect((await listJobs(workspace(), { deleted: true })).jobs.map((job) => job.id)).toEqual([id])
    expect((await listJobs(workspace())).jobs.map((job) => job.id)).not.toContain(id)
    // It stays behind, and stands in the way of no other that is.
    expect(await jobsBehind(workspace(), 1_000)).toEqual([])
    await restoreJob(workspace(), id)
    expect(await readStoredJob(workspace(), id)).toEqual(before)
    await expect(restoreJob(workspace(), id)).rejects.toBeInstanceOf(NotFound)

    await deleteJob(workspace(), id, new Date('2026-03-01T12:00:00Z'))
    expect(await forgetDeleted(database(), pictures, new Date('2026-03-31T11:00:00Z'))).toBe(0)
    expect(await forgetDeleted(database(), pictures, new Date('2026-03-31T13:00:00Z'))).toBe(1)
    await expect(restoreJob(workspace(), id)).rejects.toBeInstanceOf(NotFound)
  })
})

describe('bad documents', () => {
  it.each([
    ['a negative height', { ...bankSide, lines: [{ ...bankSide!.lines[0], height: -1 }] }, 'lines[0].height'],
    ['no posts', { ...bankSide, lines: [{ ...bankSide!.lines[0], posts: [] }] }, 'lines[0].posts'],
    [
      'an unknown soil',
      { ...bankSide, lines: [{ ...bankSide!.lines[0], posts: [{ id: 'x', station: 0, soil: 'custard' }] }] },
      'lines[0].posts[0].soil',
    ],
    ['not an object', 'job', 'document'],
  ])('%s: refused, and nothing is stored', async (_name, document, key) => {
    const before = await count()
    const error = await importJob(workspace(), document).catch((caught: unknown) => caught)
    expect(error).toBeInstanceOf(InputError)
    expect((error as InputError).key).toBe(key)
    expect(await count()).toBe(before)
  })
})
