import { answering } from '../../../http/answering'
import { deviceIdentity, isSaidLost } from '../../../http/body'
import { signDeviceOut } from '../../../people/session'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Signs one of one's own devices out; one that is lost deletes what it has not sent, too. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  const chosen = { device: deviceIdentity(event), person: workspace.person!.id }
  return signDeviceOut(workspace, chosen, isSaidLost(event))
})
