import { answering } from '../../../http/answering'
import { readJson } from '../../../http/body'
import { database } from '../../../database'
import { getRouterParam } from 'h3'
import { readBatch } from '../../../../core/edit/batch'
import { applyBatch } from '../../../jobs/service'

export default answering(async (event) => {
  const batch = readBatch(await readJson(event))
  return applyBatch(await database(), getRouterParam(event, 'id')!, batch)
})
