import { answering } from '../../http/answering'
import { invite } from '../../people/invitations'
import { linkAnswer, readInvited } from '../../people/read'
import { workspaceOf } from '../../workspace/workspaceOf'

/** A link for somebody new, shown once. */
export default answering(async (event) => linkAnswer(await invite(workspaceOf(event), await readInvited(event))))
