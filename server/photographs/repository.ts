import type { Knex } from 'knex'

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
  database: Knex,
  jobId: string,
  id: string,
  { mediaType, pixelWidth, pixelHeight, checksum, sentChecksum, data }: StoredPhotograph,
  now: Date,
): Promise<void> {
  await database('photograph')
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

export async function findPhotograph(database: Knex, jobId: string, id: string): Promise<StoredPhotograph | undefined> {
  const row = await database('photograph').where({ job_id: jobId, id }).first()
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
