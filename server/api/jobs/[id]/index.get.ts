import { answering } from '../../../http/answering'
import { database } from '../../../database'
import { getRouterParam } from 'h3'
import type { JobAnswer } from '../../../../shared/contract'
import { readStoredJob } from '../../../jobs/service'

export default answering(async (event): Promise<JobAnswer> => {
  const { id, version, document, updatedAt } = await readStoredJob(await database(), getRouterParam(event, 'id')!)
  return { id, version, job: document, updatedAt: updatedAt.toISOString() }
})
