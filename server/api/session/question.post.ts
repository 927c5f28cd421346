import { answering } from '../../http/answering'
import { siteOf } from '../../http/asker'
import { database } from '../../database'
import { askForPasskey } from '../../people/passkeys'

/** What a passkey is to answer to sign in. */
export default answering(async (event) => askForPasskey(await database(), siteOf(event)))
