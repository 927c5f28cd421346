import type { RegistrationResponseJSON } from '@simplewebauthn/server'
import { answering } from '../../../http/answering'
import { siteOf } from '../../../http/asker'
import { addPasskey } from '../../../people/passkeys'
import { readNamedAnswer } from '../../../people/read'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** Adds a passkey of whoever asks. */
export default answering(async (event) => {
  await addPasskey(workspaceOf(event), await readNamedAnswer<RegistrationResponseJSON>(event), siteOf(event))
  return { added: true }
})
