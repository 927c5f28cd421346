import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import type { CommandBatch } from '../../core/edit/apply'
import type { Command } from '../../core/edit/commands'
import type { JobSummary } from '../../core/document/summary'
import type { Job } from '../../core/document/job'
import type { Workspace } from '../workspace/workspace'
import { unpacked } from './packs'
import type { WholeJob } from './whole'

/** What an edit needs to know of a job, without its document. */
export interface JobHead {
  id: string
  version: number
  /** Version that the document and the summary speak of. */
  keptVersion: number
  /** Bytes of the document, at most. */
  size: number
  updatedAt: Date
}

/** A job's document as it was last written whole. */
export interface KeptDocument {
  version: number
  job: Job
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
  /** Who it was, where somebody was signed in. */
  madeBy?: string
  madeAt: Date
}

/** MariaDB keeps JSON as text; some drivers parse it, some do not. */
const parsed = <T>(value: unknown): T => (typeof value === 'string' ? JSON.parse(value) : value) as T

/** Where a page of the list goes on: after this job. */
export interface Place {
  updatedAt: Date
  id: string
}

export interface ListOptions {
  limit: number
  after?: Place
  /** Words of the job's or the place's name. */
  search?: string
  /** Those that were deleted and can come back. */
  deleted?: boolean
  /** Only those with posts that wait for a repair, most of them first. */
  needing?: boolean
}

export async function listJobs(workspace: Workspace, options: ListOptions): Promise<JobRow[]> {
  const { limit, after, search, deleted = false, needing = false } = options
  const query = workspace
    .database('job')
    .select('id', 'name', 'site_name', 'version', 'summary', 'updated_at')
    .where({ workspace: workspace.id })
    .where((rows) => void (deleted ? rows.whereNotNull('deleted_at') : rows.whereNull('deleted_at')))
    .limit(limit)
  if (needing) query.where('undecided', '>', 0).orderBy('undecided', 'desc')
  query.orderBy([
    { column: 'updated_at', order: 'desc' },
    { column: 'id', order: 'desc' },
  ])
  if (search) {
    const like = `%${search.replace(/[\\%_]/g, '\\$&')}%`
    query.whereRaw('(name like ? or site_name like ?)', [like, like])
  }
  if (after) query.whereRaw('(updated_at, id) < (?, ?)', [after.updatedAt, after.id])
  return (await query).map((row) => ({
    id: row.id,
    name: row.name,
    siteName: row.site_name,
    version: row.version,
    summary: parsed<JobSummary>(row.summary),
    updatedAt: row.updated_at,
  }))
}

/** Jobs whose list entry speaks of an earlier version. */
export async function jobsBehind(workspace: Workspace, limit: number): Promise<string[]> {
  return workspace
    .database('job')
    .where({ workspace: workspace.id, is_behind: true })
    .whereNull('deleted_at')
    .limit(limit)
    .pluck('id')
}

/*
 * What every edit asks and writes is said in SQL: building it anew each time takes as long as the database takes to
 * do it.
 */
const HEAD =
  'select id, version, kept_version, size, updated_at from job where id = ? and workspace = ? and deleted_at is null'
const RAISE = 'update job set version = ?, size = ?, is_behind = true, updated_at = ? where id = ? and workspace = ?'
const ADD =
  'insert into job_history (job_id, version, batch_id, commands, made_at, person_id, made_by) values (?, ?, ?, ?, ?, ?, ?)'

/** The same two writes as one statement, where the job still is at the version that the edit was made on. */
const ADD_AT = `begin not atomic
  declare exit handler for sqlexception begin rollback; resignal; end;
  start transaction;
  update job set version = ?, size = ?, is_behind = true, updated_at = ?
    where id = ? and workspace = ? and version = ? and deleted_at is null;
  if row_count() = 0 then signal sqlstate '45000' set message_text = 'the job is at another version'; end if;
  ${ADD};
  commit;
end`

/** @param lock keeps other writers off until the transaction ends */
export async function findHead(workspace: Workspace, id: string, lock = false): Promise<JobHead | undefined> {
  const [[row]] = await workspace.database.raw(lock ? `${HEAD} for update` : HEAD, [id, workspace.id])
  return (
    row && {
      id: row.id,
      version: row.version,
      keptVersion: row.kept_version,
      size: row.size,
      updatedAt: row.updated_at,
    }
  )
}

/** Where jobs stand; those that were deleted are left out. */
export const versionsOf = (database: Knex, ids: readonly string[]): Promise<{ id: string; version: number }[]> =>
  database('job').whereIn('id', ids).whereNull('deleted_at').select('id', 'version')

export async function readKept(workspace: Workspace, id: string): Promise<KeptDocument> {
  const row = await workspace.database('job').where({ id, workspace: workspace.id }).first('kept_version', 'document')
  return { version: row.kept_version, job: parsed<Job>(row.document) }
}

export async function insertJob(
  workspace: Workspace,
  { id, whole, madeBy, now }: { id: string; whole: WholeJob; madeBy?: string; now: Date },
): Promise<void> {
  await workspace.database('job').insert({
    id,
    workspace: workspace.id,
    version: 1,
    made_by: madeBy ?? null,
    made_of: madeBy === undefined ? null : digestOf(whole),
    created_at: now,
    updated_at: now,
    ...columns(whole, 1),
  })
}

const digestOf = ({ text }: WholeJob) => createHash('sha256').update(text).digest('hex')

/** The job that was made for this key before, and whether of the same document. */
export async function findMadeBy(
  workspace: Workspace,
  madeBy: string,
  whole: WholeJob,
): Promise<{ id: string; isSame: boolean } | undefined> {
  const row = await workspace.database('job').where({ workspace: workspace.id, made_by: madeBy }).first('id', 'made_of')
  // An earlier version did not write down what a job was made of.
  return row && { id: row.id, isSame: row.made_of === null || row.made_of === digestOf(whole) }
}

/** Writes the document whole, as it is at a version. */
export async function keepWhole(workspace: Workspace, id: string, version: number, whole: WholeJob): Promise<void> {
  await workspace.database('job').where({ id, workspace: workspace.id }).update(columns(whole, version))
}

function columns({ name, siteName, place, text, summary }: WholeJob, version: number) {
  return {
    name,
    site_name: siteName,
    place: place ?? null,
    document: text,
    summary: JSON.stringify(summary),
    undecided: summary.undecided,
    visit_due: summary.visits?.[0] ? new Date(summary.visits[0].due) : null,
    is_watched: (summary.watched ?? []).length > 0,
    teaches: summary.teaches ?? false,
    kept_version: version,
    is_behind: false,
    size: Buffer.byteLength(text),
  }
}

/** The history holds one version more. */
export async function raiseVersion(
  workspace: Workspace,
  id: string,
  { version, size, now }: { version: number; size: number; now: Date },
): Promise<void> {
  await workspace.database.raw(RAISE, [version, size, now, id, workspace.id])
}

export async function insertHistory(
  workspace: Workspace,
  id: string,
  { version, batch, text, now }: { version: number; batch: CommandBatch; text: string; now: Date },
): Promise<void> {
  await workspace.database.raw(ADD, [
    id,
    version,
    batch.id,
    text,
    now,
    workspace.person?.id ?? null,
    workspace.person?.name ?? null,
  ])
}

/** What keeps a batch from being taken in one go: others were faster, or it came before. */
const NOT_AT_ONCE = ['ER_SIGNAL_EXCEPTION', 'ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK']

/**
 * Adds a batch to the history of a job that is at the version before, in one go with the database.
 *
 * @returns false where it has to be looked at closer; nothing is written then
 */
export async function addAtOnce(
  workspace: Workspace,
  id: string,
  { version, batch, text, size, now }: { version: number; batch: CommandBatch; text: string; size: number; now: Date },
): Promise<boolean> {
  const { person, database } = workspace
  const entry = [id, version, batch.id, text, now, person?.id ?? null, person?.name ?? null]
  try {
    await database.raw(ADD_AT, [version, size, now, id, workspace.id, version - 1, ...entry])
    return true
  } catch (error) {
    if (NOT_AT_ONCE.includes((error as { code?: string }).code ?? '')) return false
    throw error
  }
}

export async function findBatch(workspace: Workspace, id: string, batchId: string): Promise<number | undefined> {
  const row = await historyOf(workspace, id).andWhere({ batch_id: batchId }).first('job_history.version')
  return row?.version
}

/** Entries after `version`, oldest first. */
export async function historySince(
  workspace: Workspace,
  id: string,
  version: number,
  limit?: number,
): Promise<HistoryEntry[]> {
  const query = historyOf(workspace, id)
    .andWhere('job_history.version', '>', version)
    .orderBy('job_history.version')
    .select('job_history.version', 'batch_id', 'commands', 'made_at', 'job_history.made_by')
  if (limit !== undefined) query.limit(limit)
  const rows = await query
  const inPacks = rows.filter(({ commands }) => commands === null).map((row): number => row.version)
  const packs = inPacks.length > 0 ? await unpacked(workspace.database, id, [inPacks[0]!, inPacks.at(-1)!]) : undefined
  return rows.map((row) => ({
    version: row.version,
    batchId: row.batch_id,
    commands: row.commands === null ? packs!.get(row.version)! : parsed<Command[]>(row.commands),
    ...(row.made_by === null ? {} : { madeBy: row.made_by }),
    madeAt: row.made_at,
  }))
}

const historyOf = (workspace: Workspace, id: string) =>
  workspace
    .database('job_history')
    .join('job', 'job.id', 'job_history.job_id')
    .where({ job_id: id, workspace: workspace.id })

/** @returns whether there was such a job, deleted or not as `deleted` wants it */
export async function setDeleted(workspace: Workspace, id: string, at: Date | null): Promise<boolean> {
  const query = workspace.database('job').where({ id, workspace: workspace.id })
  if (at) query.whereNull('deleted_at')
  else query.whereNotNull('deleted_at')
  return (await query.update({ deleted_at: at })) > 0
}

/** Jobs of every workspace that were deleted before; what somebody was offered is kept. */
export const longDeleted = (database: Knex, before: Date): Promise<string[]> =>
  database('job').where('deleted_at', '<', before).whereNotIn('id', database('offer').select('job_id')).pluck('id')

/** Takes jobs away for good, with their history and what is known of their pictures. */
export async function forgetJobs(database: Knex, ids: readonly string[]): Promise<number> {
  return database('job').whereIn('id', ids).delete()
}
