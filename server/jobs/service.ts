import { readJob } from '../../core/document/check'
import { applyCommands, type CommandBatch } from '../../core/edit/apply'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Command } from '../../core/edit/commands'
import { newJob } from '../../core/document/newJob'
import { jobSummary } from '../../core/document/summary'
import { tables } from '../../data/tables'
import type { AppliedAnswer, CreatedJob, ListedJob } from '../../shared/contract'
import * as jobs from './repository'
import { NotFound, StaleVersion } from '../http/failures'

export async function listJobs(database: Knex): Promise<ListedJob[]> {
  const rows = await jobs.listJobs(database)
  return rows.map((row) => ({ ...row, updatedAt: row.updatedAt.toISOString() }))
}

export async function readStoredJob(database: Knex, id: string): Promise<jobs.StoredJob> {
  const job = await jobs.findJob(database, id)
  if (!job) throw new NotFound('job', id)
  return job
}

/** @throws InputError for the first thing that is wrong with the document; nothing is stored then */
export async function importJob(database: Knex, document: unknown, id: string = randomUUID()): Promise<CreatedJob> {
  const job = readJob(document, tables)
  await database.transaction((transaction) => jobs.insertJob(transaction, id, job, jobSummary(job), new Date()))
  return { id, version: 1 }
}

export async function createJob(database: Knex, wanted: unknown): Promise<CreatedJob> {
  return importJob(database, newJob(wanted))
}

/**
 * Applies a batch on the version that it was made on.
 *
 * @throws StaleVersion with both sides when others have written since
 * @throws InputError when the job would not be valid any more; nothing is written then
 */
export async function applyBatch(
  database: Knex,
  id: string,
  batch: CommandBatch & { version: number },
): Promise<AppliedAnswer> {
  return database.transaction(async (transaction) => {
    const stored = await jobs.findJob(transaction, id, true)
    if (!stored) throw new NotFound('job', id)
    const before = await jobs.findBatch(transaction, id, batch.id)
    if (before !== undefined) return { version: stored.version, at: before, job: stored.document }
    if (stored.version !== batch.version) {
      throw new StaleVersion(
        stored.version,
        stored.document,
        batch.commands,
        await commandsSince(transaction, id, batch.version),
      )
    }
    const job = readJob(applyCommands(stored.document, batch.commands), tables)
    const version = stored.version + 1
    const now = new Date()
    await jobs.updateJob(transaction, id, version, job, jobSummary(job), now)
    await jobs.insertHistory(transaction, id, version, batch, now)
    return { version, at: version }
  })
}

async function commandsSince(database: Knex, id: string, version: number): Promise<Command[]> {
  return (await jobs.historySince(database, id, version)).flatMap((entry) => entry.commands)
}

export async function readHistory(database: Knex, id: string): Promise<jobs.HistoryEntry[]> {
  await readStoredJob(database, id)
  return jobs.historySince(database, id, 0)
}
