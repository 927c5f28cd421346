import type { Knex } from 'knex'
import type { Workspace } from '../workspace/workspace'

/** What the database knows of a picture. */
export interface KnownPhotograph {
  mediaType: string
  pixelWidth: number
  pixelHeight: number
  checksum: string
  /** SHA-256 of what was sent; of pictures stored by an earlier version it is not known. */
  sentChecksum?: string
}

/** Stores a picture under its job; one that is there already stays as it is. */
export async function insertPhotograph(
  workspace: Workspace,
  jobId: string,
  id: string,
  { mediaType, pixelWidth, pixelHeight, checksum, sentChecksum }: KnownPhotograph,
  now: Date,
): Promise<void> {
  await workspace
    .database('photograph')
    .insert({
      job_id: jobId,
      id,
      media_type: mediaType,
      pixel_width: pixelWidth,
      pixel_height: pixelHeight,
      checksum,
      sent_checksum: sentChecksum ?? null,
      stored_at: now,
    })
    .onConflict(['job_id', 'id'])
    .ignore()
}

export async function findPhotograph(
  workspace: Workspace,
  jobId: string,
  id: string,
): Promise<KnownPhotograph | undefined> {
  const row = await photographOf(workspace, jobId, id).first(
    'media_type',
    'pixel_width',
    'pixel_height',
    'checksum',
    'sent_checksum',
  )
  return (
    row && {
      mediaType: row.media_type,
      pixelWidth: row.pixel_width,
      pixelHeight: row.pixel_height,
      checksum: row.checksum,
      ...(row.sent_checksum === null ? {} : { sentChecksum: row.sent_checksum }),
    }
  )
}

/** The bytes themselves, of a picture that an earlier version put into the database. */
export async function bytesInDatabase(workspace: Workspace, jobId: string, id: string): Promise<Buffer | undefined> {
  return (await photographOf(workspace, jobId, id).first('data'))?.data ?? undefined
}

const photographOf = (workspace: Workspace, jobId: string, id: string) =>
  workspace
    .database('photograph')
    .join('job', 'job.id', 'photograph.job_id')
    .where({ job_id: jobId, 'photograph.id': id, workspace: workspace.id })

/** Identities of a job's pictures. */
export const picturesIn = (workspace: Workspace, jobId: string): Promise<string[]> =>
  workspace
    .database('photograph')
    .join('job', 'job.id', 'photograph.job_id')
    .where({ job_id: jobId, workspace: workspace.id })
    .pluck('photograph.id')

/** A picture in the store. */
export interface KeptPicture {
  workspace: string
  checksum: string
}

/** Each picture of some jobs, of every workspace. */
export const picturesOf = (database: Knex, jobs: readonly string[]): Promise<KeptPicture[]> =>
  database('photograph')
    .join('job', 'job.id', 'photograph.job_id')
    .whereIn('job_id', jobs)
    .distinct('workspace', 'checksum')

/** Whether a job still shows it. */
export const isNeeded = async (database: Knex, { workspace, checksum }: KeptPicture): Promise<boolean> =>
  Boolean(
    await database('photograph')
      .join('job', 'job.id', 'photograph.job_id')
      .where({ workspace, checksum })
      .first('photograph.id'),
  )
