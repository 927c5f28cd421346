import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { deleteJob } from '../../../jobs/service'
import { workspaceOf } from '../../../workspace/workspaceOf'
import { note } from '../../../people/audit'

export default answering(async (event) => {
  const id = jobIdentity(event)
  await deleteJob(workspaceOf(event), id)
  await note(workspaceOf(event), 'job-put-away', { subject: id })
  return { id }
})
