import { answering } from '../../http/answering'
import { siteOf } from '../../http/asker'
import { askForNewPasskey } from '../../people/passkeys'
import { workspaceOf } from '../../workspace/workspaceOf'

/** What a device is to answer that becomes a passkey. */
export default answering(async (event) => askForNewPasskey(workspaceOf(event), siteOf(event)))
