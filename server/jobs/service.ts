import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { readJob } from '../../core/document/check'
import type { Job } from '../../core/document/job'
import { applyCommands, type CommandBatch } from '../../core/edit/apply'
import type { VersionedBatch } from '../../core/edit/batch'
import type { Writer } from '../../core/edit/rebase'
import { checkEdit } from '../../core/edit/check'
import type { Command } from '../../core/edit/commands'
import { LARGEST } from '../../core/limits'
import { tables } from '../../data/tables'
import type { PictureStore } from '../../database/pictures/store'
import { tablesHere, tablesKnown } from '../yard/service'
import { jobIdentity } from '../../shared/jobIdentity'
import type { AppliedAnswer, CreatedJob, HistoryPage, ListedJob, ListPage } from '../../shared/contract'
import { NotFound, StaleVersion, Taken, TooLarge } from '../http/failures'
import { together, type Workspace } from '../workspace/workspace'
import { documentMemory } from './memory'
import { pageToken, readPageToken } from './paging'
import { dropUnneeded } from '../photographs/forget'
import { picturesOf } from '../photographs/repository'
import { packHistory } from './packs'
import * as jobs from './repository'
import { whole, type WholeJob } from './whole'

/** Edits after which the document is written whole again: what a reader has to replay stays short. */
const EDITS_BETWEEN = 64
const JOB_SPLIT = 'make two jobs of it'
/** Entries of the list, and of the history, that one answer brings. */
const PAGE = 50
const HISTORY_PAGE = 200
/** How long a deleted job can come back, ms. */
const KEPT_DELETED = 30 * 24 * 3600e3
/** So long nobody has changed a job that rests, ms. */
const RESTS = 30 * 24 * 3600e3

const memory = documentMemory()

/** A job as it is now. */
export interface StoredJob {
  id: string
  version: number
  document: Job
  updatedAt: Date
}

export async function listJobs(
  workspace: Workspace,
  options: { after?: string; search?: string; deleted?: boolean; needing?: boolean } = {},
): Promise<ListPage> {
  await bringUp(workspace)
  const { after, ...rest } = options
  const rows = await jobs.listJobs(workspace, {
    ...rest,
    limit: PAGE + 1,
    ...(after === undefined ? {} : { after: readPageToken(after) }),
  })
  const page = rows.slice(0, PAGE)
  return {
    jobs: page.map((row): ListedJob => ({ ...row, updatedAt: row.updatedAt.toISOString() })),
    ...(rows.length > PAGE ? { next: pageToken(page.at(-1)!) } : {}),
  }
}

/** What lists show follows the history: of jobs edited since somebody looked. */
export async function bringUp(workspace: Workspace): Promise<void> {
  for (const id of await jobs.jobsBehind(workspace, PAGE)) {
    await together(workspace, async (inside) => {
      const head = await jobs.findHead(inside, id, true)
      // Deleted meanwhile, or brought up by another server.
      if (!head || head.keptVersion === head.version) return
      const { version, job } = await documentAt(inside, head)
      await jobs.keepWhole(inside, id, version, whole(job))
    })
  }
}

export async function readStoredJob(workspace: Workspace, id: string): Promise<StoredJob> {
  const head = await jobs.findHead(workspace, id)
  if (!head) throw new NotFound('job', id)
  const { version, job } = await documentAt(workspace, head)
  return { id, version, document: job, updatedAt: head.updatedAt }
}

/** @throws NotFound */
export async function requireJob(workspace: Workspace, id: string): Promise<void> {
  if (!(await jobs.findHead(workspace, id))) throw new NotFound('job', id)
}

/**
 * The document at the version of its head, or a later one: as it was kept, or as this server knows it, with the
 * history since.
 */
async function documentAt(
  workspace: Workspace,
  { id, version: wanted, keptVersion }: jobs.JobHead,
): Promise<{ version: number; job: Job }> {
  const known = memory.get(id, wanted)
  const from = known && known.version >= keptVersion ? known : await jobs.readKept(workspace, id)
  const since = from.version < wanted ? await jobs.historySince(workspace, id, from.version) : []
  const now = {
    version: since.at(-1)?.version ?? from.version,
    job: since.reduce((at, { commands }) => applyCommands(at, commands), from.job),
  }
  memory.set(id, now)
  return now
}

export interface ImportOptions {
  id?: string
  /** Given by the device: asked for again, it is the job that was made the first time. */
  madeBy?: string
}

/** @throws InputError for the first thing that is wrong with the document; nothing is stored then */
export async function importJob(
  workspace: Workspace,
  document: unknown,
  options: ImportOptions = {},
): Promise<CreatedJob> {
  return insertWhole(workspace, whole(readJob(document, tables)), options)
}

/**
 * Stores a job that was checked before.
 *
 * @throws Taken where another document was sent with the same key
 */
export async function insertWhole(
  workspace: Workspace,
  ready: WholeJob,
  { id, madeBy }: ImportOptions = {},
): Promise<CreatedJob> {
  if (Buffer.byteLength(ready.text) > LARGEST.document) throw new TooLarge(LARGEST.document, JOB_SPLIT)
  const made = madeBy === undefined ? {} : { madeBy }
  // The device that gave the key has opened the job under this name already.
  const named = id ?? (madeBy === undefined ? randomUUID() : await jobIdentity(workspace.id, madeBy))
  try {
    await jobs.insertJob(workspace, { id: named, whole: ready, now: new Date(), ...made })
    return { id: named, version: 1 }
  } catch (error) {
    const before =
      madeBy === undefined || !isDuplicate(error) ? undefined : await jobs.findMadeBy(workspace, madeBy, ready)
    if (before === undefined) throw error
    if (!before.isSame) throw new Taken('Another job was made for this key before.')
    return { id: before.id, version: 1 }
  }
}

const isDuplicate = (error: unknown) => (error as { code?: string }).code === 'ER_DUP_ENTRY'

/** @throws InputError when an edit would spoil the job */
export type EditCheck = (job: Job, commands: readonly Command[], workspace: Workspace) => Promise<void>

/** Rows that jobs name are never taken out: only what fails by the tables known so far is asked of those of now. */
const checkHere: EditCheck = async (job, commands, inside) => {
  if (!checkEdit(job, commands, tablesKnown(inside))) return
  const error = checkEdit(job, commands, (await tablesHere(inside)).tables)
  if (error) throw error
}

/**
 * Applies a batch on the version that it was made on. Its cost is that of what it touches, not of the job.
 *
 * @throws StaleVersion with what others have done since
 * @throws InputError when the job would not be valid any more; nothing is written then
 */
export async function applyBatch(
  workspace: Workspace,
  id: string,
  batch: VersionedBatch,
  check: EditCheck = checkHere,
): Promise<AppliedAnswer> {
  const applied =
    (await applyAtOnce(workspace, id, batch, check)) ?? (await applyCarefully(workspace, id, batch, check))
  // Only what was committed is remembered.
  if (applied.job) memory.set(id, { version: applied.answer.version, job: applied.job })
  return applied.answer
}

/** What became of a batch: the job with it, unless it was there before. */
interface Applied {
  answer: AppliedAnswer
  job?: Job
}

/**
 * Most edits are made on the job as it is: they are read, checked and written without a lock, and taken only if nobody
 * was faster.
 *
 * @returns undefined where it is to be looked at closer
 */
async function applyAtOnce(
  workspace: Workspace,
  id: string,
  batch: VersionedBatch,
  check: EditCheck,
): Promise<Applied | undefined> {
  if (workspace.database.isTransaction) return undefined
  const head = await jobs.findHead(workspace, id)
  if (!head) throw new NotFound('job', id)
  const text = JSON.stringify(batch.commands)
  const size = head.size + Buffer.byteLength(text)
  const version = head.version + 1
  if (head.version !== batch.version || isDueWhole(head, version, size)) return undefined
  const { job: before } = await documentAt(workspace, head)
  await check(before, batch.commands, workspace)
  const job = applyCommands(before, batch.commands)
  if (!(await jobs.addAtOnce(workspace, id, { version, batch, text, size, now: new Date() }))) return undefined
  return { answer: { batch: batch.id, version, at: version }, job }
}

const isDueWhole = ({ keptVersion }: jobs.JobHead, version: number, size: number): boolean =>
  version - keptVersion >= EDITS_BETWEEN || size > LARGEST.document

/** With the job locked: what others did meanwhile, what came before, and the document that is due whole. */
async function applyCarefully(
  workspace: Workspace,
  id: string,
  batch: VersionedBatch,
  check: EditCheck,
): Promise<Applied> {
  return together(workspace, async (inside): Promise<Applied> => {
    const head = await jobs.findHead(inside, id, true)
    if (!head) throw new NotFound('job', id)
    try {
      if (head.version === batch.version) return await applyNext(inside, head, batch, check)
    } catch (error) {
      if (!isDuplicate(error)) throw error
    }
    const before = await jobs.findBatch(inside, id, batch.id)
    if (before !== undefined) return { answer: { batch: batch.id, version: head.version, at: before } }
    const since = await jobs.historySince(inside, id, batch.version)
    throw new StaleVersion(
      head.version,
      batch.commands,
      since.flatMap(({ commands }) => commands),
      since.flatMap(({ commands, madeBy, madeAt }) =>
        commands.map((): Writer => ({ ...(madeBy === undefined ? {} : { by: madeBy }), at: madeAt.toISOString() })),
      ),
    )
  })
}

async function applyNext(
  inside: Workspace,
  head: jobs.JobHead,
  batch: CommandBatch,
  check: EditCheck,
): Promise<Applied> {
  const { id } = head
  const now = new Date()
  const { job: before } = await documentAt(inside, head)
  await check(before, batch.commands, inside)
  const job = applyCommands(before, batch.commands)
  const version = head.version + 1
  const text = JSON.stringify(batch.commands)
  const size = head.size + Buffer.byteLength(text)
  // First, since it is this that refuses an edit that came before.
  await jobs.insertHistory(inside, id, { version, batch, text, now })
  await jobs.raiseVersion(inside, id, { version, size, now })
  if (isDueWhole(head, version, size)) {
    const ready = whole(job)
    if (Buffer.byteLength(ready.text) > LARGEST.document) throw new TooLarge(LARGEST.document, JOB_SPLIT)
    await jobs.keepWhole(inside, id, version, ready)
  }
  return { answer: { batch: batch.id, version, at: version }, job }
}

/** A page of the history, oldest first. */
export async function readHistory(workspace: Workspace, id: string, after = 0): Promise<HistoryPage> {
  await requireJob(workspace, id)
  const rows = await jobs.historySince(workspace, id, after, HISTORY_PAGE + 1)
  const page = rows.slice(0, HISTORY_PAGE)
  return {
    entries: page.map(({ madeAt, ...entry }) => ({ ...entry, madeAt: madeAt.toISOString() })),
    ...(rows.length > HISTORY_PAGE ? { next: page.at(-1)!.version } : {}),
  }
}

/** Puts a job away; for thirty days it can come back. */
export async function deleteJob(workspace: Workspace, id: string, now = new Date()): Promise<void> {
  if (!(await jobs.setDeleted(workspace, id, now))) throw new NotFound('job', id)
  memory.forget(id)
}

export async function restoreJob(workspace: Workspace, id: string): Promise<void> {
  if (!(await jobs.setDeleted(workspace, id, null))) throw new NotFound('deleted job', id)
}

/**
 * Takes away for good what was deleted thirty days ago, pictures and all.
 *
 * @returns how many jobs
 */
export async function forgetDeleted(database: Knex, pictures: PictureStore, now = new Date()): Promise<number> {
  const ids = await jobs.longDeleted(database, new Date(now.getTime() - KEPT_DELETED))
  if (ids.length === 0) return 0
  const theirs = await picturesOf(database, ids)
  const gone = await jobs.forgetJobs(database, ids)
  for (const each of theirs) await dropUnneeded(database, pictures, each)
  return gone
}

/** Packs the edits of jobs that rest. @returns how many edits */
export const packResting = (database: Knex, now = new Date()): Promise<number> =>
  packHistory(database, new Date(now.getTime() - RESTS))
