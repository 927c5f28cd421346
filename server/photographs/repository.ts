import type { Workspace } from '../workspace/workspace'

export interface StoredPhotograph {
  mediaType: string
  pixelWidth: number
  pixelHeight: number
  checksum: string
  /** SHA-256 of what was sent; of pictures stored by an earlier version it is not known. */
  sentChecksum?: string
  data: Buffer
}

/** Stores a picture under its job; one that is there already stays as it is. */
export async function insertPhotograph(
  workspace: Workspace,
  jobId: string,
  id: string,
  { mediaType, pixelWidth, pixelHeight, checksum, sentChecksum, data }: StoredPhotograph,
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
      data,
      stored_at: now,
    })
    .onConflict(['job_id', 'id'])
    .ignore()
}

export async function findPhotograph(
  workspace: Workspace,
  jobId: string,
  id: string,
): Promise<StoredPhotograph | undefined> {
  const row = await workspace
    .database('photograph')
    .join('job', 'job.id', 'photograph.job_id')
    .where({ job_id: jobId, 'photograph.id': id, workspace: workspace.id })
    .first('photograph.*')
  return (
    row && {
      mediaType: row.media_type,
      pixelWidth: row.pixel_width,
      pixelHeight: row.pixel_height,
      checksum: row.checksum,
      ...(row.sent_checksum === null ? {} : { sentChecksum: row.sent_checksum }),
      data: row.data,
    }
  )
}
