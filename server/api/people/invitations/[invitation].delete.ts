import { answering } from '../../../http/answering'
import { nameInAddress } from '../../../http/body'
import { takeBackInvitation } from '../../../people/invitations'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Takes back a link that was not used. */
export default answering(async (event) => {
  await takeBackInvitation(workspaceOf(event), nameInAddress(event, 'invitation'))
  return { takenBack: true }
})
