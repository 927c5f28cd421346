import { answering } from '../../../http/answering'
import { deviceIdentity, isSaidLost } from '../../../http/body'
import { signDeviceOut } from '../../../people/session'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Signs anybody's device out; one that is lost deletes what it has not sent, too. */
export default answering(async (event) =>
  signDeviceOut(workspaceOf(event), { device: deviceIdentity(event) }, isSaidLost(event)),
)
