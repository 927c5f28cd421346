import { together, type Workspace } from '../workspace/workspace'
import { demoJobs } from '../../data/demo/jobs'
import { markOnce } from './repository'
import { importJob } from '../jobs/service'

/** Writes the demo jobs once in the life of a database: deleted ones do not come back. */
export async function seedDemo(workspace: Workspace): Promise<void> {
  await together(workspace, async (inside) => {
    if (!(await markOnce(inside, 'demo-seeded'))) return
    for (const job of demoJobs()) await importJob(inside, job)
  })
}
