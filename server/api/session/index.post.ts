import { answering } from '../../http/answering'
import { addressOf } from '../../http/asker'
import { database } from '../../database'
import { checkSignIn } from '../../people/accounts'
import { deviceCookieOf } from '../../people/admit'
import { readSignIn } from '../../people/read'
import { enter } from '../../people/session'

/** Signs in with a name and a password. */
export default answering(async (event) => {
  const asked = await readSignIn(event)
  const person = await checkSignIn(await database(), asked, {
    address: addressOf(event),
    device: deviceCookieOf(event),
    now: new Date(),
  })
  return enter(event, person)
})
