import { getQuery } from 'h3'
import { requireChoice } from '../../../../core/errors'
import { LENGTH_SYSTEMS } from '../../../../core/units/length'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { readStoredJob } from '../../../jobs/service'
import { holePaper } from '../../../papers/papers'
import { sendPdf } from '../../../sheets/send'
import { askerOf, workspaceOf } from '../../../workspace/workspaceOf'

/** The sheet of one hole as a page to print: `?post=B7&units=metric`. */
export default answering(async (event) => {
  const { post, units = 'metric' } = getQuery(event)
  const how = { system: requireChoice('units', units, LENGTH_SYSTEMS), asker: askerOf(event) }
  const workspace = workspaceOf(event)
  const stored = await readStoredJob(workspace, jobIdentity(event))
  return sendPdf(event, await holePaper(workspace, stored, String(post), how))
})
