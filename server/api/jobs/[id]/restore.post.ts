import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { restoreJob } from '../../../jobs/service'
import { workspaceOf } from '../../../workspace/workspaceOf'
import { note } from '../../../people/audit'

export default answering(async (event) => {
  const id = jobIdentity(event)
  await restoreJob(workspaceOf(event), id)
  await note(workspaceOf(event), 'job-brought-back', { subject: id })
  return { id }
})
