import { answering } from '../../../../../http/answering'
import { jobIdentity, nameInAddress } from '../../../../../http/body'
import { makeLink } from '../../../../../offers/service'
import { workspaceOf } from '../../../../../workspace/workspaceOf'
import { note } from '../../../../../people/audit'

/** A link for the customer, shown once. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  const id = jobIdentity(event)
  const link = await makeLink(workspace, id, nameInAddress(event, 'offer'))
  await note(workspace, 'link-made', { subject: id })
  return link
})
