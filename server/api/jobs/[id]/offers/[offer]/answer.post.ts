import { readAnswer } from '../../../../../../core/offer/answer'
import { answering } from '../../../../../http/answering'
import { jobIdentity, nameInAddress, parseText, readText } from '../../../../../http/body'
import { answerOffer } from '../../../../../offers/service'
import { workspaceOf } from '../../../../../workspace/workspaceOf'

/** What the customer said, on the device of whoever made the offer. */
export default answering(async (event) => {
  const id = jobIdentity(event)
  const answer = readAnswer(parseText(await readText(event)))
  return answerOffer(workspaceOf(event), id, nameInAddress(event, 'offer'), { ...answer, way: 'device' })
})
