import { getRouterParam } from 'h3'
import { answering } from '../../../http/answering'
import { removePasskey } from '../../../people/passkeys'
import { workspaceOf } from '../../../workspace/workspaceOf'

export default answering(async (event) => {
  await removePasskey(workspaceOf(event), getRouterParam(event, 'passkey')!)
  return { removed: true }
})
