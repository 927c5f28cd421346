import { setResponseStatus } from 'h3'
import { readOffer } from '../../../../../core/offer/readOffer'
import { requireBounded } from '../../../../../core/schema/bounded'
import { answering } from '../../../../http/answering'
import { jobIdentity, parseText, readText } from '../../../../http/body'
import { keepOffer } from '../../../../offers/service'
import { workspaceOf } from '../../../../workspace/workspaceOf'

/** Keeps an offer under its job's next number, with its page. */
export default answering(async (event) => {
  const id = jobIdentity(event)
  const body = parseText(await readText(event))
  requireBounded(body, 'body')
  const kept = await keepOffer(workspaceOf(event), id, readOffer(body))
  setResponseStatus(event, 201)
  return kept
})
