import type { Knex } from 'knex'
import { pictureKey, type PictureStore } from '../../database/pictures/store'
import { isNeeded, type KeptPicture } from './repository'

/** Takes a picture out of the store, unless some job shows it: one that has just begun to is given it back. */
export async function dropUnneeded(database: Knex, pictures: PictureStore, picture: KeptPicture): Promise<void> {
  if (await isNeeded(database, picture)) return
  const key = pictureKey(picture.workspace, picture.checksum)
  const bytes = await pictures.get(key)
  await pictures.remove(key)
  if (bytes && (await isNeeded(database, picture))) await pictures.put(key, bytes)
}
