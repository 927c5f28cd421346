import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { InputError } from '../../core/errors'
import type { PictureAnswer } from '../../shared/contract'
import { findPhotograph, insertPhotograph, type StoredPhotograph } from './repository'
import { NotFound } from '../http/failures'
import { readStoredJob } from '../jobs/service'

/** Longest edge that is kept, pixels: enough to see a crack at the foot of a post. */
const LONGEST_EDGE = 2048
/** A picture that would unfold to more is no photograph. */
const MOST_PIXELS = 120e6
const QUALITY = 82

/**
 * Stores a photograph: turned upright, made small, and without what the camera wrote into it, its place above all.
 *
 * @throws InputError when it is no picture that can be read; nothing is stored then
 * @throws NotFound for an unknown job
 */
export async function storePhotograph(
  database: Knex,
  jobId: string,
  id: string,
  original: Buffer,
): Promise<PictureAnswer> {
  await readStoredJob(database, jobId)
  const picture = await upright(original)
  await database.transaction((transaction) => insertPhotograph(transaction, jobId, id, picture, new Date()))
  const { data: _data, ...kept } = await readPhotograph(database, jobId, id)
  return kept
}

export async function readPhotograph(database: Knex, jobId: string, id: string): Promise<StoredPhotograph> {
  const found = await findPhotograph(database, jobId, id)
  if (!found) throw new NotFound('photograph', id)
  return found
}

async function upright(original: Buffer): Promise<StoredPhotograph> {
  try {
    // Without `keepMetadata` nothing of EXIF, GPS among it, is written.
    const { data, info } = await sharp(original, { limitInputPixels: MOST_PIXELS })
      .rotate()
      .resize({ width: LONGEST_EDGE, height: LONGEST_EDGE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true })
    const checksum = createHash('sha256').update(data).digest('hex')
    return { mediaType: 'image/jpeg', pixelWidth: info.width, pixelHeight: info.height, checksum, data }
  } catch {
    throw new InputError('photograph', `${original.length} bytes`, 'a picture: JPEG, PNG, WebP or AVIF')
  }
}
