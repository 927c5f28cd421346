import { getRouterParam, setResponseHeader } from 'h3'
import { jobFileName } from '../../../../core/job/fileName'
import { readStoredJob } from '../../../services/jobs'

export default answering(async (event) => {
  const { document } = await readStoredJob(await database(), getRouterParam(event, 'id')!)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${jobFileName(document.name)}"`)
  return document
})
