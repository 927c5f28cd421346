import sharp from 'sharp'
import type { Workspace } from '../workspace/workspace'
import { InputError } from '../../core/errors'
import { checksumOf, pictureKey, wholePicture, type PictureStore } from '../../database/pictures/store'
import type { PictureAnswer } from '../../shared/contract'
import { NotFound, Taken } from '../http/failures'
import { formatOf, MOST_PIXELS } from './format'
import { bytesInDatabase, findPhotograph, insertPhotograph, type KnownPhotograph } from './repository'
import { turns } from '../http/turns'

/** Longest edge that is kept, pixels: enough to see a crack at the foot of a post. */
const LONGEST_EDGE = 2048
const QUALITY = 82
/** A photograph that takes longer to make small is none, s. */
const LONGEST_WORK = 20

// One thread a picture, two pictures at once, nothing kept of them: a burst of pictures takes time, not memory.
sharp.concurrency(1)
sharp.cache(false)
const turn = turns({ atOnce: 2, waiting: 40, busy: 'The server is busy with other pictures.' })

/**
 * Stores a photograph: turned upright, made small, and without what the camera wrote into it, its place above all.
 * The same picture sent again is the one that is there.
 *
 * @throws InputError when it is no picture that can be read; nothing is stored then
 * @throws NotFound for an unknown job
 * @throws Taken when another picture is there under this identity
 */
export async function storePhotograph(
  workspace: Workspace,
  pictures: PictureStore,
  jobId: string,
  id: string,
  original: Buffer,
): Promise<PictureAnswer> {
  const sentChecksum = checksumOf(original)
  const known = await findPhotograph(workspace, jobId, id)
  const stored = known ?? (await storeNew(workspace, pictures, jobId, id, original, sentChecksum))
  if ((stored.sentChecksum ?? sentChecksum) !== sentChecksum)
    throw new Taken(`Another picture is there under the identity "${id}".`)
  const { mediaType, pixelWidth, pixelHeight, checksum } = stored
  return { id, mediaType, pixelWidth, pixelHeight, checksum, sentBytes: original.length, sentChecksum }
}

async function storeNew(
  workspace: Workspace,
  pictures: PictureStore,
  jobId: string,
  id: string,
  original: Buffer,
  sentChecksum: string,
): Promise<KnownPhotograph> {
  const { data, ...picture } = await turn(() => upright(original), workspace.person?.id ?? workspace.id)
  const key = pictureKey(workspace.id, picture.checksum)
  // The bytes first: what the database knows of is there.
  await pictures.put(key, data)
  await insertPhotograph(workspace, jobId, id, { ...picture, sentChecksum }, new Date())
  // The last job that showed the same picture may have been forgotten just now; from here on it is needed.
  if (!(await pictures.has(key))) await pictures.put(key, data)
  // The one that came first stands, where two came at once.
  return knownPhotograph(workspace, jobId, id)
}

/** @throws NotFound */
export async function knownPhotograph(workspace: Workspace, jobId: string, id: string): Promise<KnownPhotograph> {
  const found = await findPhotograph(workspace, jobId, id)
  if (!found) throw new NotFound('photograph', id)
  return found
}

/**
 * The picture itself.
 *
 * @throws NotFound
 * @throws StoreFailure when the store has it not, or not as it was
 */
export async function readPhotograph(
  workspace: Workspace,
  pictures: PictureStore,
  jobId: string,
  id: string,
): Promise<KnownPhotograph & { data: Buffer }> {
  const known = await knownPhotograph(workspace, jobId, id)
  const inDatabase = await bytesInDatabase(workspace, jobId, id)
  return { ...known, data: inDatabase ?? (await wholePicture(pictures, workspace.id, known.checksum)) }
}

async function upright(original: Buffer): Promise<KnownPhotograph & { data: Buffer }> {
  const format = formatOf(original)
  const none = () => new InputError('photograph', `${original.length} bytes`, 'a picture: JPEG, PNG, WebP or AVIF')
  if (!format) throw none()
  const most = MOST_PIXELS[format]
  const { width = 0, height = 0 } = await sharp(original)
    .metadata()
    .catch(() => Promise.reject(none()))
  if (width * height > most)
    throw new InputError(
      'photograph',
      `${width} × ${height} pixels`,
      `a picture of at most ${most / 1e6} million pixels`,
    )
  try {
    // Without `keepMetadata` nothing of EXIF, GPS among it, is written.
    const { data, info } = await sharp(original, { limitInputPixels: most, pages: 1 })
      .rotate()
      .resize({ width: LONGEST_EDGE, height: LONGEST_EDGE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .timeout({ seconds: LONGEST_WORK })
      .toBuffer({ resolveWithObject: true })
    return {
      mediaType: 'image/jpeg',
      pixelWidth: info.width,
      pixelHeight: info.height,
      checksum: checksumOf(data),
      data,
    }
  } catch {
    throw none()
  }
}
