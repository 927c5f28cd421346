import { together, type Workspace } from '../workspace/workspace'
import { demoJobs } from '../../data/demo/jobs'
import { OFFERED } from '../../data/demo/rails'
import { BY } from '../../data/demo/setting'
import { keepOffer } from '../offers/service'
import { demoOffer } from './offer'
import { markOnce } from './repository'
import { importJob } from '../jobs/service'

/**
 * Writes the demo jobs once in the life of a database, as they stand on the day: deleted ones do not come back. One of
 * them has an offer out.
 */
export async function seedDemo(workspace: Workspace, now = new Date()): Promise<void> {
  await together(workspace, async (inside) => {
    if (!(await markOnce(inside, 'demo-seeded'))) return
    for (const job of demoJobs(now)) {
      const { id } = await importJob(inside, job)
      if (job.name === OFFERED) await keepOffer(inside, id, demoOffer(job, BY, now))
    }
  })
}
