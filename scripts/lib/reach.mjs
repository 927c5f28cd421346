// The database of this checkout for a command that works on it: the one that runs, or one started for the while.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { startDatabase } from './database.mjs'
import { requireDatabase } from './givenDatabase.mjs'
import { askHolder } from './oneAtATime.mjs'
import { state } from './paths.mjs'
import { DATABASE_PROGRAMS, ensurePrograms } from './setup.mjs'

/**
 * Works with the address of the database, and stops what was started for it.
 *
 * @template T
 * @param {(url: string) => Promise<T>} work
 */
export async function withDatabase(work) {
  if (process.env.DATABASE_URL) {
    await requireDatabase(process.env.DATABASE_URL)
    return work(process.env.DATABASE_URL)
  }
  if (await askHolder()) return work(JSON.parse(readFileSync(join(state, 'running.json'), 'utf8')).databaseUrl)
  await ensurePrograms(DATABASE_PROGRAMS)
  const database = await startDatabase(join(state, 'database'))
  try {
    return await work(database.url('vindex'))
  } finally {
    await database.stop()
  }
}
