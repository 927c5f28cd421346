import { useRuntimeConfig } from 'nitropack/runtime'
import { pictureStore, type PictureStore } from '../database/pictures/store'

let opened: PictureStore | undefined

/** Where the photographs of this server lie. */
export function pictures(): PictureStore {
  opened ??= pictureStore(useRuntimeConfig().photographs)
  return opened
}
