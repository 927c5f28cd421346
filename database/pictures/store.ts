import { createHash } from 'node:crypto'

/**
 * Where the bytes of photographs lie. Each lies under the checksum of what it is: what is put there twice is there
 * once, nothing is ever written over, and what comes back is held against its name.
 */
export interface PictureStore {
  put: (key: string, bytes: Buffer) => Promise<void>
  has: (key: string) => Promise<boolean>
  /** @returns nothing where it is not there */
  get: (key: string) => Promise<Buffer | undefined>
  /** What is not there is none either. */
  remove: (key: string) => Promise<void>
}

/** The store does not answer, or has not what it should have. */
export class StoreFailure extends Error {}

export const checksumOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex')

/**
 * The name of a picture in the store: each workspace has its own, though the pictures be the same.
 *
 * @example pictureKey('home', '9fcf…') // 'home/9f/9fcf…'
 */
export function pictureKey(workspace: string, checksum: string): string {
  if (!/^[\w-]{1,36}$/.test(workspace) || !/^[0-9a-f]{64}$/.test(checksum))
    throw new StoreFailure(`"${workspace}/${checksum}" is no name of a picture`)
  return `${workspace}/${checksum.slice(0, 2)}/${checksum}`
}

/**
 * A picture as it was put there.
 *
 * @throws StoreFailure when it is not there, or is not what it was
 */
export async function wholePicture(store: PictureStore, workspace: string, checksum: string): Promise<Buffer> {
  const key = pictureKey(workspace, checksum)
  const bytes = await store.get(key)
  if (!bytes) throw new StoreFailure(`the picture ${key} is not in the store`)
  if (checksumOf(bytes) !== checksum) throw new StoreFailure(`the picture ${key} is damaged in the store`)
  return bytes
}
