import { setResponseStatus } from 'h3'
import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { deleteJob } from '../../../jobs/service'

export default answering(async (event) => {
  await deleteJob(await database(), jobIdentity(event))
  setResponseStatus(event, 204)
  return null
})
