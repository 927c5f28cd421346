import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import type { JobAnswer } from '../../../../shared/contract'
import { readStoredJob } from '../../../jobs/service'
import { workspaceOf } from '../../../workspace/workspaceOf'
import { noteSeen } from '../../../people/audit'

export default answering(async (event): Promise<JobAnswer> => {
  const workspace = workspaceOf(event)
  const { id, version, document, updatedAt } = await readStoredJob(workspace, jobIdentity(event))
  await noteSeen(workspace, id)
  return { id, version, job: document, updatedAt: updatedAt.toISOString() }
})
