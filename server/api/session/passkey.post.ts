import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { answering } from '../../http/answering'
import { siteOf } from '../../http/asker'
import { database } from '../../database'
import { checkPasskey } from '../../people/passkeys'
import { readPasskeyAnswer } from '../../people/read'
import { enter } from '../../people/session'

/** Signs in with a passkey. */
export default answering(async (event) => {
  const { response } = await readPasskeyAnswer<AuthenticationResponseJSON>(event)
  return enter(event, await checkPasskey(await database(), response, siteOf(event)))
})
