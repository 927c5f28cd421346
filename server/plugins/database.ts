import type { Knex } from 'knex'
import { defineNitroPlugin } from 'nitropack/runtime'
import { database } from '../database'
import { logFault } from '../http/log'
import { watchPool } from '../http/metrics'
import { forgetDeleted, packResting } from '../jobs/service'
import { pictures } from '../pictures'
import { forgetAudit } from '../people/audit'
import { firstLeadCode } from '../people/codes'
import { forgetOver } from '../people/repository'
import { closePool } from '../worker/pool'
const DAY = 24 * 3600e3
/** So long it is known who did and saw what, and that a device was signed in. Working values. */
const AUDIT_KEPT = 730 * DAY
const SIGN_INS_KEPT = 90 * DAY

async function forgetOld(database: Knex): Promise<void> {
  const now = Date.now()
  await forgetDeleted(database, pictures())
  await forgetOver(database, new Date(now), new Date(now - SIGN_INS_KEPT))
  await forgetAudit(database, new Date(now - AUDIT_KEPT))
}

/** Whoever sees the terminal may make the first account. */
async function sayFirstCode(database: Knex): Promise<void> {
  const code = await firstLeadCode(database)
  if (code) console.error(`vindex: the first account is made at /sign-in with the code ${code}, within a day`)
}

/** Opens the database at start, so that the first request does not wait for migrations. */
export default defineNitroPlugin((nitro) => {
  let daily: NodeJS.Timeout | undefined
  database()
    .then(async (opened) => {
      watchPool(opened)
      await sayFirstCode(opened)
      await forgetOld(opened)
      daily = setInterval(() => {
        forgetOld(opened)
          .then(() => packResting(opened))
          .catch(logFault)
      }, DAY)
    })
    .catch((error: unknown) => logFault(error))
  nitro.hooks.hook('close', async () => {
    clearInterval(daily)
    const opened = await database().catch(() => undefined)
    await opened?.destroy()
    await closePool()
  })
})
