import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { restoreJob } from '../../../jobs/service'

export default answering(async (event) => {
  const id = jobIdentity(event)
  await restoreJob(await database(), id)
  return { id }
})
