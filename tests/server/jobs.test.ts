import { describe, expect, it } from 'vitest'
import type { Command } from '../../core/edit/commands'
import { applyCommands } from '../../core/edit/apply'
import { InputError } from '../../core/errors'
import { LARGEST } from '../../core/limits'
import type { Job } from '../../core/document/job'
import { newJob } from '../../core/document/newJob'
import { demoJobs } from '../../data/demo/jobs'
import { seedDemo } from '../../server/demo/service'
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
import { NotFound, StaleVersion, TooLarge } from '../../server/http/failures'
import { readPhotograph, storePhotograph } from '../../server/photographs/service'
import { sidewaysPhotograph } from '../support/pictures'
import { jobIdentity } from '../../shared/jobIdentity'
import { connect, migrate } from '../../database/connect'
import { together, type Workspace } from '../../server/workspace/workspace'
import { pictureFolder } from '../support/pictureFolder'
import { ownDatabase } from './ownDatabase'

const { database, workspace, url } = ownDatabase('jobs')
const { pictures } = pictureFolder()
const [longBank] = demoJobs()
const bankSide = demoJobs().at(-1)!

const reading = (key: string, value: unknown): Command =>
  ({ name: 'setReading', line: 'B', post: 'B7', key, value }) as Command
let counter = 0
const batch = (version: number, ...commands: Command[]) => ({ id: `batch-${++counter}-x`, version, commands })
const newBankSide = async () => (await importJob(workspace(), bankSide)).id
const count = async () => Number((await database()('job').count({ of: '*' }))[0]!.of)
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

describe('pages', () => {
  it('of the list follow each other without a gap, newest first', async () => {
    const now = Date.now()
    for (let i = 0; i < 120; i++) {
      const { id } = await importJob(workspace(), { ...bankSide, name: `Paged ${i}` })
      // Several of one moment among them.
      await database()('job')
        .where({ id })
        .update({ updated_at: new Date(now + Math.floor(i / 7) * 1_000) })
    }
    const seen: string[] = []
    let after: string | undefined
    do {
      const page = await listJobs(workspace(), { search: 'Paged', ...(after === undefined ? {} : { after }) })
      expect(page.jobs.length).toBeLessThanOrEqual(50)
      seen.push(...page.jobs.map(({ name }) => name))
      after = page.next
    } while (after !== undefined)
    expect(new Set(seen).size).toBe(120)
    const moments = seen.map((name) => Math.floor(Number(name.slice(6)) / 7))
    expect(moments).toEqual([...moments].sort((a, b) => b - a))
    await expect(listJobs(workspace(), { after: "1'; drop table job" })).rejects.toThrow('the next of a page before')
  })

  it('of what needs somebody begin with what needs most', async () => {
    const { jobs } = await listJobs(workspace(), { needing: true })
    const undecided = jobs.map(({ summary }) => summary.undecided)
    expect(undecided.length).toBeGreaterThan(0)
    expect(Math.min(...undecided)).toBeGreaterThan(0)
    expect(undecided).toEqual([...undecided].sort((a, b) => b - a))
  })

  it('of a search take signs for what they are', async () => {
    await importJob(workspace(), { ...bankSide, name: '100 % oak_posts' })
    const named = async (search: string) => (await listJobs(workspace(), { search })).jobs.map(({ name }) => name)
    expect(await named('100 % oak_')).toEqual(['100 % oak_posts'])
    expect(await named('100_%')).toEqual([])
    expect(await named('\\')).toEqual([])
  })

  it('of the history follow each other', async () => {
    const id = await newBankSide()
    const rows = Array.from({ length: 250 }, (_, i) => ({
      job_id: id,
      version: i + 2,
      batch_id: `page-${i}`,
      commands: JSON.stringify([reading('moisturePercent', i % 90)]),
      made_at: new Date(),
    }))
    await database()('job_history').insert(rows)
    const first = await readHistory(workspace(), id)
    expect([first.entries.length, first.next]).toEqual([200, 201])
    const second = await readHistory(workspace(), id, first.next)
    expect([second.entries.length, second.entries[0]!.version, second.next]).toEqual([50, 202, undefined])
  })
})

describe('identities', () => {
  it('compare letter by letter', async () => {
    const { id } = await importJob(workspace(), bankSide, { id: 'abcdefgh-1' })
    await expect(readStoredJob(workspace(), id.toUpperCase())).rejects.toBeInstanceOf(NotFound)
    const picture = await sidewaysPhotograph(40, 30)
    const other = await sidewaysPhotograph(60, 30)
    await storePhotograph(workspace(), pictures, id, 'IMG_00001', picture)
    await storePhotograph(workspace(), pictures, id, 'img_00001', other)
    const [upper, lower] = await Promise.all(
      ['IMG_00001', 'img_00001'].map((each) => readPhotograph(workspace(), pictures, id, each)),
    )
    expect(upper!.checksum).not.toBe(lower!.checksum)
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

describe('the database itself', () => {
  it('gets the demo jobs once', async () => {
    const before = await count()
    await Promise.all([seedDemo(workspace()), seedDemo(workspace())])
    await seedDemo(workspace())
    expect(await count()).toBe(before + demoJobs().length)
  })

  it('is brought up to date though a server died while it did so', async () => {
    await database()('knex_migrations_lock').update({ is_locked: 1 })
    await migrate(database())
    expect(await database()('knex_migrations_lock').pluck('is_locked')).toEqual([0])
  })

  it('of a newer version is left alone, in one sentence', async () => {
    await database()('knex_migrations').insert({ name: '9999_later', batch: 9, migration_time: new Date() })
    await expect(migrate(database())).rejects.toThrow(
      'this database belongs to a newer Vindex (9999_later): start that',
    )
    await database()('knex_migrations').where({ name: '9999_later' }).delete()
  })

  it('migrates there and back, and by several servers at once', async () => {
    const others = [connect(url()), connect(url())]
    // Letters that were told apart would meet again.
    await database()('photograph').delete()
    while ((await database()('job').where({ is_behind: true })).length > 0) await listJobs(workspace())
    await database().migrate.rollback(undefined, true)
    expect(await database().schema.hasTable('job')).toBe(false)
    await Promise.all(others.map((each) => migrate(each)))
    expect(await database().schema.hasTable('job_history')).toBe(true)
    await Promise.all(others.map((other) => other.destroy()))
  })
})

describe('another workspace', () => {
  const elsewhere = () => ({ ...workspace(), id: 'elsewhere' })
  it('sees none of it, whichever way it asks', async () => {
    const id = await newBankSide()
    const none = { ...elsewhere() }
    await expect(readStoredJob(none, id)).rejects.toThrow(NotFound)
    await expect(readHistory(none, id)).rejects.toThrow(NotFound)
    await expect(applyBatch(none, id, batch(1, reading('tap', 'dull')))).rejects.toThrow(NotFound)
    await expect(deleteJob(none, id)).rejects.toThrow(NotFound)
    await expect(restoreJob(none, id)).rejects.toThrow(NotFound)
    expect((await listJobs(none)).jobs).toEqual([])
    expect((await readStoredJob(workspace(), id)).version).toBe(1)
  })
  it('makes a job of its own by the same key', async () => {
    await database()('workspace').insert({ id: 'elsewhere', name: 'Elsewhere', made_at: new Date() })
    const [ours, theirs] = [
      await importJob(workspace(), bankSide, { madeBy: 'wish-of-both' }),
      await importJob(elsewhere(), bankSide, { madeBy: 'wish-of-both' }),
    ]
    expect(theirs.id).not.toBe(ours.id)
    expect((await importJob(elsewhere(), bankSide, { madeBy: 'wish-of-both' })).id).toBe(theirs.id)
    expect((await listJobs(elsewhere())).jobs.map(({ id }) => id)).toEqual([theirs.id])
  })
})

describe('what is done together', () => {
  const tap = async (here: Workspace, id: string) => {
    await here
      .database('job')
      .where({ id })
      .update({ undecided: here.database.raw('undecided + 1') })
  }
  it('goes again where another writer was faster, and is done once', async () => {
    const [one, other] = [await newBankSide(), await newBankSide()]
    let tries = 0
    const both = (first: string, second: string) =>
      together(workspace(), async (inside) => {
        tries++
        await tap(inside, first)
        await inside.database.raw('select sleep(0.2)')
        await tap(inside, second)
      })
    // Each holds what the other wants: the database sends one of them back.
    await Promise.all([both(one, other), both(other, one)])
    expect(tries).toBe(3)
    const counts = await database()('job').whereIn('id', [one, other]).pluck('undecided')
    const { undecided } = (await database()('job')
      .where({ id: await newBankSide() })
      .first('undecided'))!
    expect(counts).toEqual([undecided + 2, undecided + 2])
  })
  it('is not done at all where it fails, and is not tried again', async () => {
    const id = await newBankSide()
    let tries = 0
    const failing = together(workspace(), async (inside) => {
      tries++
      await tap(inside, id)
      throw new Error('spoilt')
    })
    await expect(failing).rejects.toThrow('spoilt')
    expect(tries).toBe(1)
    expect((await readStoredJob(workspace(), id)).version).toBe(1)
  })
})
