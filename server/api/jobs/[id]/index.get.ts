import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { database } from '../../../database'
import type { JobAnswer } from '../../../../shared/contract'
import { readStoredJob } from '../../../jobs/service'

export default answering(async (event): Promise<JobAnswer> => {
  const { id, version, document, updatedAt } = await readStoredJob(await database(), jobIdentity(event))
  return { id, version, job: document, updatedAt: updatedAt.toISOString() }
})
