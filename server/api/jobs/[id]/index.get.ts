import { answering } from '../../../http/answering'
import { database } from '../../../database'
import { getRouterParam } from 'h3'
import { readStoredJob } from '../../../jobs/service'

export default answering(async (event) => {
  const { id, version, document, updatedAt } = await readStoredJob(await database(), getRouterParam(event, 'id')!)
  return { id, version, job: document, updatedAt }
})
