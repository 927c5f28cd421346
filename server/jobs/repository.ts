import type { CommandBatch } from '../../core/edit/apply'
import type { Knex } from 'knex'
import type { Command } from '../../core/edit/commands'
import type { JobSummary } from '../../core/document/summary'
import type { Job } from '../../core/document/job'

export interface StoredJob {
  id: string
  version: number
  document: Job
  updatedAt: Date
}

/** What a list shows of a job, without its document. */
export interface JobRow {
  id: string
  name: string
  siteName: string
  version: number
  summary: JobSummary
  updatedAt: Date
}

export interface HistoryEntry {
  version: number
  batchId: string
  commands: Command[]
  madeAt: Date
}

/** MariaDB keeps JSON as text; some drivers parse it, some do not. */
const parsed = <T>(value: unknown): T => (typeof value === 'string' ? JSON.parse(value) : value) as T

export async function listJobs(database: Knex): Promise<JobRow[]> {
  const rows = await database('job')
    .select('id', 'name', 'site_name', 'version', 'summary', 'updated_at')
    .orderBy([{ column: 'updated_at', order: 'desc' }, { column: 'name' }])
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    siteName: row.site_name,
    version: row.version,
    summary: parsed<JobSummary>(row.summary),
    updatedAt: row.updated_at,
  }))
}

/** @param lock keeps other writers off until the transaction ends */
export async function findJob(database: Knex, id: string, lock = false): Promise<StoredJob | undefined> {
  const query = database('job').where({ id }).first('id', 'version', 'document', 'updated_at')
  const row = await (lock ? query.forUpdate() : query)
  return row && { id: row.id, version: row.version, document: parsed<Job>(row.document), updatedAt: row.updated_at }
}

export async function insertJob(
  database: Knex,
  id: string,
  document: Job,
  summary: JobSummary,
  now: Date,
): Promise<void> {
  await database('job').insert({ id, version: 1, created_at: now, ...columns(document, summary, now) })
}

export async function updateJob(
  database: Knex,
  id: string,
  version: number,
  document: Job,
  summary: JobSummary,
  now: Date,
): Promise<void> {
  await database('job')
    .where({ id })
    .update({ version, ...columns(document, summary, now) })
}

function columns(document: Job, summary: JobSummary, now: Date) {
  return {
    name: document.name,
    site_name: document.site?.name ?? '',
    document: JSON.stringify(document),
    summary: JSON.stringify(summary),
    updated_at: now,
  }
}

export async function insertHistory(
  database: Knex,
  id: string,
  version: number,
  batch: CommandBatch,
  now: Date,
): Promise<void> {
  await database('job_history').insert({
    job_id: id,
    version,
    batch_id: batch.id,
    commands: JSON.stringify(batch.commands),
    made_at: now,
  })
}

export async function findBatch(database: Knex, id: string, batchId: string): Promise<number | undefined> {
  const row = await database('job_history').where({ job_id: id, batch_id: batchId }).first('version')
  return row?.version
}

/** Entries after `version`, oldest first. */
export async function historySince(database: Knex, id: string, version: number): Promise<HistoryEntry[]> {
  const rows = await database('job_history')
    .where({ job_id: id })
    .andWhere('version', '>', version)
    .orderBy('version')
    .select('version', 'batch_id', 'commands', 'made_at')
  return rows.map((row) => ({
    version: row.version,
    batchId: row.batch_id,
    commands: parsed<Command[]>(row.commands),
    madeAt: row.made_at,
  }))
}
