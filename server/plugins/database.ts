import { defineNitroPlugin } from 'nitropack/runtime'
import { database } from '../database'
/** Opens the database at start, so that the first request does not wait for migrations. */
export default defineNitroPlugin((nitro) => {
  database().catch((error: unknown) => console.error('The database cannot be opened:', error))
  nitro.hooks.hook('close', async () => {
    const opened = await database().catch(() => undefined)
    await opened?.destroy()
  })
})
