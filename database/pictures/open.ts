import { folderStore } from './folder'
import { s3Store } from './s3'
import type { PictureStore } from './store'

/**
 * @param address a folder, or `s3://bucket/prefix?endpoint=https://…&region=…`; who asks there is in the environment,
 * as for every program that speaks to such a store
 * @throws Error when it is neither
 */
export function pictureStore(address: string): PictureStore {
  if (!address) throw new Error('say where photographs are kept: a folder, or s3://bucket/prefix')
  return address.startsWith('s3://') ? s3Store(new URL(address)) : folderStore(address)
}
