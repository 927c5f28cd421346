import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { deleteJob } from '../../../jobs/service'

export default answering(async (event) => {
  const id = jobIdentity(event)
  await deleteJob(await database(), id)
  return { id }
})
