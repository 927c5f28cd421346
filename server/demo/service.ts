import type { Knex } from 'knex'
import { demoJobs } from '../../data/demo/jobs'
import { markOnce } from './repository'
import { importJob } from '../jobs/service'

/** Writes the demo jobs once in the life of a database: deleted ones do not come back. */
export async function seedDemo(database: Knex): Promise<void> {
  await database.transaction(async (transaction) => {
    if (!(await markOnce(transaction, 'demo-seeded'))) return
    for (const job of demoJobs()) await importJob(transaction, job)
  })
}
