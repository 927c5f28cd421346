import { setResponseStatus } from 'h3'
import { answering } from '../../http/answering'
import { madeBy, readText } from '../../http/body'
import { insertWhole } from '../../jobs/service'
import { inPool } from '../../worker/pool'
import { tablesHere } from '../../yard/service'
import { askerOf, workspaceOf } from '../../workspace/workspaceOf'
import { note } from '../../people/audit'

export default answering(async (event) => {
  const key = madeBy(event)
  const workspace = workspaceOf(event)
  const ready = await inPool(askerOf(event), 'newJob', await readText(event), (await tablesHere(workspace)).own)
  const created = await insertWhole(workspace, ready, key)
  await note(workspace, 'job-made', { subject: created.id })
  setResponseStatus(event, 201)
  return created
})
