import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { database } from '../../../database'
import { setResponseHeader } from 'h3'
import { jobFileName } from '../../../../core/document/fileName'
import { readStoredJob } from '../../../jobs/service'

export default answering(async (event) => {
  const { document } = await readStoredJob(await database(), jobIdentity(event))
  setResponseHeader(event, 'content-disposition', `attachment; filename="${jobFileName(document.name)}"`)
  return document
})
