import { setResponseStatus } from 'h3'
import { readOffer } from '../../../../../core/offer/readOffer'
import { requireBounded } from '../../../../../core/schema/bounded'
import { database } from '../../../../database'
import { answering } from '../../../../http/answering'
import { jobIdentity, parseText, readText } from '../../../../http/body'
import { keepOffer } from '../../../../offers/service'

/** Keeps an offer under its job's next number, with its page. */
export default answering(async (event) => {
  const id = jobIdentity(event)
  const body = parseText(await readText(event))
  requireBounded(body, 'body')
  const kept = await keepOffer(await database(), id, readOffer(body))
  setResponseStatus(event, 201)
  return kept
})
