import { answering } from '../../http/answering'
import { addressOf } from '../../http/asker'
import { invitationToken } from '../../http/body'
import { database } from '../../database'
import { join } from '../../people/invitations'
import { readJoining } from '../../people/read'
import { enter } from '../../people/session'

/** Somebody comes by an invitation: new here, or with a new password. */
export default answering(async (event) => {
  const token = invitationToken(event)
  return enter(
    event,
    await join(
      await database(),
      { ...(await readJoining(event)), token },
      { address: addressOf(event), now: new Date() },
    ),
  )
})
