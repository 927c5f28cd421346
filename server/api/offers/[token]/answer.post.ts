import { readAnswer } from '../../../../core/offer/answer'
import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { linkToken, parseText, readText } from '../../../http/body'
import { answerByLink } from '../../../offers/customer'

/** The customer accepts or declines. */
export default answering(async (event) => {
  const token = linkToken(event)
  return answerByLink(await database(), token, readAnswer(parseText(await readText(event))))
})
