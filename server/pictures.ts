import { useRuntimeConfig } from 'nitropack/runtime'
import { pictureStore } from '../database/pictures/open'
import type { PictureStore } from '../database/pictures/store'

let opened: PictureStore | undefined

/** Where the photographs of this server lie. */
export function pictures(): PictureStore {
  opened ??= pictureStore(useRuntimeConfig().photographs)
  return opened
}
