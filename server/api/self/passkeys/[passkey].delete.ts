import { answering } from '../../../http/answering'
import { nameInAddress } from '../../../http/body'
import { removePasskey } from '../../../people/passkeys'
import { workspaceOf } from '../../../workspace/workspaceOf'

export default answering(async (event) => {
  await removePasskey(workspaceOf(event), nameInAddress(event, 'passkey'))
  return { removed: true }
})
