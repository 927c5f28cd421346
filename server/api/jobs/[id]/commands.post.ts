import { getRouterParam } from 'h3'
import { readBatch } from '../../../../core/job/commandSchema'
import { applyBatch } from '../../../services/jobs'

export default answering(async (event) => {
  const batch = readBatch(await readJson(event))
  return applyBatch(await database(), getRouterParam(event, 'id')!, batch)
})
