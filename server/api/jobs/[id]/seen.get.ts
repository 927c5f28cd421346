import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { requireJob } from '../../../jobs/service'
import { seenBy } from '../../../people/audit'
import { workspaceOf } from '../../../workspace/workspaceOf'

const MOST = 500

/** Who has seen a job on which day, the last first. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  const id = jobIdentity(event)
  await requireJob(workspace, id)
  return { seen: await seenBy(workspace, id, MOST) }
})
