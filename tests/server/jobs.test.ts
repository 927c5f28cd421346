import { describe, expect, it } from 'vitest'
import type { Command } from '../../core/edit/commands'
import { InputError } from '../../core/errors'
import { demoJobs } from '../../data/demo/jobs'
import { seedDemo } from '../../server/demo/service'
import { applyBatch, createJob, importJob, listJobs, readHistory, readStoredJob } from '../../server/jobs/service'
import { NotFound, StaleVersion } from '../../server/http/failures'
import { connect, migrate } from '../../database/connect'
import { ownDatabase } from './ownDatabase'

const { database, url } = ownDatabase('jobs')
const [longBank] = demoJobs()
const bankSide = demoJobs().at(-1)!

const reading = (key: string, value: unknown): Command =>
  ({ name: 'setReading', line: 'B', post: 'B7', key, value }) as Command
let counter = 0
const batch = (version: number, ...commands: Command[]) => ({ id: `batch-${++counter}-x`, version, commands })
const newBankSide = async () => (await importJob(database(), bankSide)).id
const b7 = async (id: string) => (await readStoredJob(database(), id)).document.lines[0]!.posts[6]!

describe('jobs in the database', () => {
  it('come back as they went in, unknown keys and all', async () => {
    const document = { ...longBank, 'x-note': { kept: ['ä', '½', 1e-9] } }
    const { id } = await importJob(database(), document)
    expect((await readStoredJob(database(), id)).document).toEqual(document)
  })

  it('are listed with their lines, newest first', async () => {
    const { id } = await createJob(database(), { name: 'Newest', tape: '2 x 2', height: 1.5 })
    const [first] = await listJobs(database())
    expect(first).toMatchObject({ id, name: 'Newest', version: 1, summary: { posts: 3, failed: 0 } })
  })

  it('say when there is none', async () => {
    await expect(readStoredJob(database(), 'nobody')).rejects.toBeInstanceOf(NotFound)
    await expect(applyBatch(database(), 'nobody', batch(1, reading('tap', 'dull')))).rejects.toBeInstanceOf(NotFound)
  })
})

describe('commands', () => {
  it('raise the version and leave an entry in the history', async () => {
    const id = await newBankSide()
    const sent = batch(1, reading('pushPivot', 'in-the-soil'), reading('probeAtGround', null))
    expect(await applyBatch(database(), id, sent)).toEqual({ version: 2, at: 2 })
    expect((await b7(id)).observations).toMatchObject({ pushPivot: 'in-the-soil', comesUpright: 'easily' })
    expect((await b7(id)).observations).not.toHaveProperty('probeAtGround')
    expect(await readHistory(database(), id)).toMatchObject([{ version: 2, batchId: sent.id, commands: sent.commands }])
  })

  it('on an old version are answered with both sides', async () => {
    const id = await newBankSide()
    const theirs = reading('tap', 'hollow')
    const mine = reading('tap', 'rings')
    await applyBatch(database(), id, batch(1, theirs))
    const refused = await applyBatch(database(), id, batch(1, mine)).catch((error: unknown) => error)
    expect(refused).toBeInstanceOf(StaleVersion)
    expect(refused).toMatchObject({ version: 2, mine: [mine], theirs: [theirs] })
    expect((await b7(id)).observations!.tap).toBe('hollow')
  })

  it('that arrive twice are applied once', async () => {
    const id = await newBankSide()
    const sent = batch(1, reading('tap', 'dull'))
    await applyBatch(database(), id, sent)
    await applyBatch(database(), id, batch(2, reading('comesUpright', 'easily')))
    const again = await applyBatch(database(), id, sent)
    expect(again).toMatchObject({ version: 3, at: 2 })
    expect(again.job!.lines[0]!.posts[6]!.observations!.tap).toBe('dull')
    expect(await readHistory(database(), id)).toHaveLength(2)
  })

  it('that would spoil the job change nothing', async () => {
    const id = await newBankSide()
    const wrong = batch(1, reading('tap', 'dull'), reading('probeAtGround', -1))
    await expect(applyBatch(database(), id, wrong)).rejects.toMatchObject({
      key: 'lines[0].posts[6].observations.probeAtGround',
      value: -1,
    })
    expect((await readStoredJob(database(), id)).version).toBe(1)
    expect((await b7(id)).observations!.tap).toBeUndefined()
  })

  it('from many at once are applied one after the other, each exactly once', async () => {
    const id = await newBankSide()
    const results = await Promise.allSettled(
      Array.from({ length: 8 }, (_, i) => applyBatch(database(), id, batch(1, reading('moisturePercent', i)))),
    )
    const applied = results.filter((result) => result.status === 'fulfilled')
    const stale = results.filter((result) => result.status === 'rejected' && result.reason instanceof StaleVersion)
    expect([applied.length, stale.length]).toEqual([1, 7])
    expect((await readStoredJob(database(), id)).version).toBe(2)
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
    const before = (await listJobs(database())).length
    const error = await importJob(database(), document).catch((caught: unknown) => caught)
    expect(error).toBeInstanceOf(InputError)
    expect((error as InputError).key).toBe(key)
    expect(await listJobs(database())).toHaveLength(before)
  })
})

describe('the database itself', () => {
  it('gets the demo jobs once', async () => {
    const before = (await listJobs(database())).length
    await Promise.all([seedDemo(database()), seedDemo(database())])
    await seedDemo(database())
    expect(await listJobs(database())).toHaveLength(before + demoJobs().length)
  })

  it('migrates there and back, and by several servers at once', async () => {
    const others = [connect(url()), connect(url())]
    await database().migrate.rollback(undefined, true)
    expect(await database().schema.hasTable('job')).toBe(false)
    await Promise.all(others.map(migrate))
    expect(await database().schema.hasTable('job_history')).toBe(true)
    await Promise.all(others.map((other) => other.destroy()))
  })
})
