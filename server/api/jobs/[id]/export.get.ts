import { answering } from '../../../http/answering'
import { database } from '../../../database'
import { getRouterParam, setResponseHeader } from 'h3'
import { jobFileName } from '../../../../core/document/fileName'
import { readStoredJob } from '../../../jobs/service'

export default answering(async (event) => {
  const { document } = await readStoredJob(await database(), getRouterParam(event, 'id')!)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${jobFileName(document.name)}"`)
  return document
})
