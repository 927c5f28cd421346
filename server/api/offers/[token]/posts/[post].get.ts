import { database } from '../../../../database'
import { answering } from '../../../../http/answering'
import { linkToken, nameInAddress } from '../../../../http/body'
import { readPostByLink } from '../../../../offers/customer'
import { pageWanted, sendPdf } from '../../../../sheets/send'
import { askerOf } from '../../../../workspace/workspaceOf'

/** The customer's page of one post that the offer of a link names: `?paper=A4&units=metric`. */
export default answering(async (event) => {
  const how = { ...pageWanted(event), asker: askerOf(event) }
  return sendPdf(event, await readPostByLink(await database(), linkToken(event), nameInAddress(event, 'post'), how))
})
