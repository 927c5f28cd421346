import { randomUUID } from 'node:crypto'
import mysql from 'mysql2/promise'
import type { Knex } from 'knex'
import type { Job } from '../core/document/job'
import type { Command } from '../core/edit/commands'
import { jobSummary } from '../core/document/summary'
import { tables } from '../data/tables'
import { demoJobs } from '../data/demo/jobs'
import { connect, migrate } from '../database/connect'
import { HOME } from '../server/workspace/workspace'
import { recreate } from '../scripts/lib/schemas.mjs'
import { applyBatch, importJob, listJobs } from '../server/jobs/service'

/* What the server does for an edit and for a list, beside what the driver alone takes for the same statements. */

/** How many of each in turn, and how often. */
const EACH = 20
const ROUNDS = 20

export interface EditFigures {
  posts: number
  /** Edits each second, and how many the bare driver writes. */
  edits: number
  driver: number
}

const jobOf = (posts: number): Job => ({
  format: 'vindex-job',
  version: 1,
  name: `Bench of ${posts}`,
  lines: [
    {
      id: 'A',
      length: posts * 2,
      posts: Array.from({ length: posts }, (_, i) => ({ id: `A${i + 1}`, station: i * 2, soil: 'firm-clay' })),
    },
  ],
})

export async function editFigures(
  url: string,
): Promise<{ edits: EditFigures[]; lists: [jobs: number, ms: number][]; others: AmongOthers }> {
  await recreate(url)
  const database = connect(url)
  try {
    await migrate(database)
    const edits: EditFigures[] = []
    for (const posts of [20, 120, 500, 2_000]) edits.push(await editsOf(database, url, posts))
    const lists: [number, number][] = []
    for (const jobs of [10, 1_000, 10_000]) {
      await fillTo(database, jobs)
      lists.push([jobs, await medianOf(() => listJobs({ id: HOME, database }))])
    }
    const others = await listsAmong(database)
    return { edits, lists, others }
  } finally {
    await database.destroy()
  }
}

/** A page of a workspace with 1 000 jobs among 100 000 of others, and a search in it, ms. */
export interface AmongOthers {
  page: number
  search: number
}
async function listsAmong(database: Knex): Promise<AmongOthers> {
  const ids = ['firm', ...Array.from({ length: 99 }, (_, i) => `firm-${i}`)]
  await database('workspace').insert(ids.map((id) => ({ id, name: id, made_at: new Date() })))
  const summary = JSON.stringify({ posts: 1, failed: 0, undecided: 0, lines: [] })
  for (const workspace of ids) {
    const rows = Array.from({ length: 1_000 }, (_, i) => ({
      id: randomUUID(),
      workspace,
      name: `Job ${i}`,
      site_name: 'Sedgewater',
      version: 1,
      document: '{}',
      summary,
      created_at: new Date(),
      updated_at: new Date(Date.now() - i * 1e3),
    }))
    await database('job').insert(rows)
  }
  const firm = { id: 'firm', database }
  return {
    page: await medianOf(() => listJobs(firm)),
    search: await medianOf(() => listJobs(firm, { search: 'Job 99' })),
  }
}

async function editsOf(database: Knex, url: string, posts: number): Promise<EditFigures> {
  const workspace = { id: HOME, database }
  const { id } = await importJob(workspace, jobOf(posts))
  const bare = await driverAlone(url, (await importJob(workspace, jobOf(posts))).id)
  let version = 1
  const edit = async () => {
    const post = `A${(version % posts) + 1}`
    const command = { name: 'setPost', line: 'A', post, key: 'ageYears', value: version % 60 } as Command
    version = (await applyBatch(workspace, id, { id: randomUUID(), version, commands: [command] })).version
  }
  const times = { edits: 0, driver: 0 }
  // In turn, a few of each: a disk that is slow for a while is slow for both.
  for (let round = 0; round < ROUNDS; round++) {
    times.edits += await timeOf(EACH, edit)
    times.driver += await timeOf(EACH, bare.write)
  }
  await bare.end()
  const rate = (time: number) => (ROUNDS * EACH) / (time / 1e3)
  return { posts, edits: rate(times.edits), driver: rate(times.driver) }
}

/** The same statements with nothing around them: what the database itself allows. */
async function driverAlone(url: string, id: string) {
  const connection = await mysql.createConnection(url)
  let version = 1
  return {
    end: () => connection.end(),
    async write() {
      await connection.beginTransaction()
      await connection.query('select id, version from job where id = ? for update', [id])
      version++
      await connection.query('update job set version = ?, updated_at = ? where id = ?', [version, new Date(), id])
      await connection.query('insert into job_history (job_id, version, batch_id, commands, made_at) values (?)', [
        [id, version, randomUUID(), COMMAND, new Date()],
      ])
      await connection.commit()
    },
  }
}
const COMMAND = '[{"name":"setPost","line":"A","post":"A1","key":"ageYears","value":1}]'

/** @returns ms for all of them */
async function timeOf(times: number, work: () => Promise<void>): Promise<number> {
  const began = performance.now()
  for (let i = 0; i < times; i++) await work()
  return performance.now() - began
}

/** Demo jobs under new names, written as rows. */
async function fillTo(database: Knex, jobs: number): Promise<void> {
  const demo = demoJobs().at(-1)!
  const [document, summary] = [JSON.stringify(demo), JSON.stringify(jobSummary(demo, tables.causes))]
  const [{ there }] = (await database('job').count({ there: '*' })) as [{ there: number }]
  const rows = Array.from({ length: Math.max(0, jobs - Number(there)) }, (_, i) => ({
    id: randomUUID(),
    name: `Job ${i}`,
    site_name: 'Sedgewater',
    version: 1,
    document,
    summary,
    undecided: i % 7,
    created_at: new Date(),
    updated_at: new Date(Date.now() - i * 1e3),
  }))
  for (let i = 0; i < rows.length; i += 100) await database('job').insert(rows.slice(i, i + 100))
}

async function medianOf(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < 9; i++) {
    const began = performance.now()
    await work()
    times.push(performance.now() - began)
  }
  return times.sort((a, b) => a - b)[4]!
}
