import { answering } from '../../http/answering'
import { invitationToken } from '../../http/body'
import { database } from '../../database'
import { readInvitation } from '../../people/invitations'
import type { InvitationAnswer } from '../../../shared/contract'

/** What an invitation says, for whoever holds it. */
export default answering(async (event): Promise<InvitationAnswer> => {
  const { by, name, role, signInName, workspaceName } = await readInvitation(await database(), invitationToken(event))
  return {
    workspace: workspaceName,
    by,
    ...(name === undefined ? {} : { name }),
    ...(role === undefined ? {} : { role }),
    ...(signInName === undefined ? {} : { signInName }),
  }
})
