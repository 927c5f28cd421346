import { getRouterParam } from 'h3'
import { answering } from '../../../http/answering'
import { takeBackInvitation } from '../../../people/invitations'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Takes back a link that was not used. */
export default answering(async (event) => {
  await takeBackInvitation(workspaceOf(event), getRouterParam(event, 'invitation')!)
  return { takenBack: true }
})
