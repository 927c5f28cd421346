import { answering } from '../../../../../http/answering'
import { jobIdentity, nameInAddress } from '../../../../../http/body'
import { takeBackLinks } from '../../../../../offers/service'
import { workspaceOf } from '../../../../../workspace/workspaceOf'
import { note } from '../../../../../people/audit'

/** Takes back every link to an offer. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  const id = jobIdentity(event)
  const links = await takeBackLinks(workspace, id, nameInAddress(event, 'offer'))
  await note(workspace, 'links-taken-back', { subject: id })
  return { links }
})
