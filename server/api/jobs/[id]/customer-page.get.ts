import { getQuery } from 'h3'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { readStoredJob } from '../../../jobs/service'
import { customerPaper } from '../../../papers/papers'
import { pageWanted, sendPdf } from '../../../sheets/send'
import { askerOf, workspaceOf } from '../../../workspace/workspaceOf'

/** The customer's page of one post: `?post=B7&paper=A4&units=metric`. */
export default answering(async (event) => {
  const { post } = getQuery(event)
  const how = { ...pageWanted(event), asker: askerOf(event) }
  const workspace = workspaceOf(event)
  const stored = await readStoredJob(workspace, jobIdentity(event))
  return sendPdf(event, await customerPaper(workspace, stored, String(post), how, Date.now()))
})
