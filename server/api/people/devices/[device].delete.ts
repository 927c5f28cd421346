import { answering } from '../../../http/answering'
import { deviceIdentity } from '../../../http/body'
import { signDeviceOut } from '../../../people/session'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Signs anybody's device out: it forgets what it has at its next contact. */
export default answering(async (event) => signDeviceOut(workspaceOf(event), { device: deviceIdentity(event) }))
