import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
/** Everything that running leaves behind; not in the repository. */
export const state = process.env.VINDEX_STATE ?? join(root, '.vindex')
/** Where the photographs of this checkout's jobs lie: a folder, or a store that speaks S3. */
export const photographs = process.env.NUXT_PHOTOGRAPHS || join(state, 'photographs')
