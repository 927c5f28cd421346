import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { seedDemo } from '../../server/demo/service'
import {
  applyBatch,
  deleteJob,
  importJob,
  listJobs,
  readHistory,
  readStoredJob,
  restoreJob,
} from '../../server/jobs/service'
import { NotFound } from '../../server/http/failures'
import { readPhotograph, storePhotograph } from '../../server/photographs/service'
import { sidewaysPhotograph } from '../support/pictures'
import { connect, migrate } from '../../database/connect'
import { together, type Workspace } from '../../server/workspace/workspace'
import { pictureFolder } from '../support/pictureFolder'
import { bankSide, bankSideJobs, batch, reading } from './bankSideJobs'
import { ownDatabase } from './ownDatabase'

const { database, workspace, url } = ownDatabase('jobs_kept')
const { pictures } = pictureFolder()
const { newBankSide, count } = bankSideJobs(database, workspace)

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
