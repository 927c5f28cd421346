import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import type { Command } from '../../core/edit/commands'
import { demoJobs } from '../../data/demo/jobs'
import { backup, restore } from '../../database/backup'
import { pictureKey } from '../../database/pictures/store'
import { checkAll } from '../../server/jobs/consistency'
import { applyBatch, importJob, listJobs, readHistory, readStoredJob } from '../../server/jobs/service'
import { storePhotograph } from '../../server/photographs/service'
import { pictureFolder } from '../support/pictureFolder'
import { sidewaysPhotograph } from '../support/pictures'
import { ownDatabase } from './ownDatabase'

/* A backup that is made while eight people edit and photograph, put back into another database. */

const worked = ownDatabase('worked_on')
const other = ownDatabase('put_back')
const { pictures } = pictureFolder()
const elsewhere = pictureFolder()
const folder = mkdtempSync(join(tmpdir(), 'vindex-load-'))
afterAll(() => rmSync(folder, { recursive: true }))
const [demo] = demoJobs()
const [line] = demo!.lines

const soils = ['gravel', 'rock', 'firm-clay']
const edit = (i: number): Command =>
  ({ name: 'setPost', line: line!.id, post: line!.posts[i % 5]!.id, key: 'soil', value: soils[i % 3] }) as Command

describe('a backup under load', () => {
  it('is put back as one moment of each job, with everything that was acknowledged before it began', async () => {
    const here = worked.workspace()
    const done = new Map<string, number>()
    let goesOn = true
    const work = async (person: number) => {
      const { id } = await importJob(here, { ...demo, name: `Job of ${person}` })
      done.set(id, 1)
      for (let i = 1; goesOn; i++) {
        if (i % 15 === 0)
          await storePhotograph(
            here,
            pictures,
            id,
            `picture-${i}-of-${person}`,
            await sidewaysPhotograph(40 + 4 * person, 40 + 4 * (i % 7)),
          )
        await applyBatch(here, id, { id: `edit-${i}-of-${person}`, version: i, commands: [edit(i)] })
        done.set(id, i + 1)
      }
    }
    const working = Promise.all(Array.from({ length: 8 }, (_each, i) => work(i)))
    while ([...done.values()].filter((version) => version > 20).length < 8)
      await new Promise((next) => setTimeout(next, 5))
    const before = new Map(done)
    const file = join(folder, 'busy.backup')
    const { counts, missing } = await backup(worked.database(), pictures, file)
    const after = new Map(done)
    goesOn = false
    await working
    expect(missing).toEqual([])
    // It went on meanwhile.
    expect([...after.values()].reduce((sum, each) => sum + each, 0)).toBeGreaterThan(
      [...before.values()].reduce((sum, each) => sum + each, 0),
    )

    expect(await restore(other.database(), elsewhere.pictures, file)).toEqual(counts)
    expect(await checkAll(other.database(), elsewhere.pictures)).toEqual({ jobs: 8, wrong: [] })
    const there = other.workspace()
    for (const [id, version] of before) {
      const kept = await readStoredJob(there, id)
      expect(kept.version).toBeGreaterThanOrEqual(version)
      expect(kept.version).toBeLessThanOrEqual(after.get(id)! + 1)
      // The same edits lead to the same document here and there.
      const { entries } = await readHistory(there, id)
      const theirs = (await readHistory(here, id)).entries.slice(0, entries.length)
      expect(entries).toEqual(theirs)
    }
  }, 120_000)

  it('is looked at closely: what is missing, said wrong or damaged is named', async () => {
    const database = other.database()
    await listJobs(other.workspace())
    const [first, second, third] = await database('job').orderBy('id').select('id')
    await database('job_history').where({ job_id: first.id, version: 5 }).delete()
    await database('job')
      .where({ id: second.id })
      .update({ document: JSON.stringify({ ...demo, lines: [] }) })
    const { checksum } = await database('photograph').where({ job_id: third.id }).first('checksum')
    await elsewhere.pictures.remove(pictureKey('home', checksum))
    const { wrong } = await checkAll(database, elsewhere.pictures)
    expect(wrong.some((each) => each.startsWith(`job ${first.id}: its history has`))).toBe(true)
    expect(wrong.some((each) => each.startsWith(`job ${second.id}: `))).toBe(true)
    expect(
      wrong.some((each) => each.startsWith(`job ${third.id}: the picture `) && each.endsWith('is not in the store')),
    ).toBe(true)
  })
})
