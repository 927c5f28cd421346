import { answering } from '../../../http/answering'
import { deviceIdentity } from '../../../http/body'
import { signDeviceOut } from '../../../people/session'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Signs one of one's own devices out: it forgets what it has at its next contact. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  return signDeviceOut(workspace, { device: deviceIdentity(event), person: workspace.person!.id })
})
