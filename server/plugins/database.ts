import { defineNitroPlugin } from 'nitropack/runtime'
import { database } from '../database'
import { logFault } from '../http/log'
import { forgetDeleted } from '../jobs/service'
import { closePool } from '../worker/pool'
/** Opens the database at start, so that the first request does not wait for migrations. */
export default defineNitroPlugin((nitro) => {
  database()
    .then(forgetDeleted)
    .catch((error: unknown) => logFault(error))
  nitro.hooks.hook('close', async () => {
    const opened = await database().catch(() => undefined)
    await opened?.destroy()
    await closePool()
  })
})
