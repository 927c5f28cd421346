import { answering } from '../../../../../http/answering'
import { jobIdentity, nameInAddress } from '../../../../../http/body'
import { readOfferPdf } from '../../../../../offers/service'
import { sendPdf } from '../../../../../sheets/send'
import { workspaceOf } from '../../../../../workspace/workspaceOf'

/** The page of an offer, byte for byte as it was made. */
export default answering(async (event) =>
  sendPdf(event, await readOfferPdf(workspaceOf(event), jobIdentity(event), nameInAddress(event, 'offer'))),
)
