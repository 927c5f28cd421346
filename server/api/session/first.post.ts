import { answering } from '../../http/answering'
import { addressOf } from '../../http/asker'
import { database } from '../../database'
import { makeFirstLead } from '../../people/accounts'
import { readFirstLead } from '../../people/read'
import { enter } from '../../people/session'

/** Makes the first account, by the code that the terminal showed. */
export default answering(async (event) => {
  const asked = await readFirstLead(event)
  return enter(event, await makeFirstLead(await database(), asked, { address: addressOf(event), now: new Date() }))
})
