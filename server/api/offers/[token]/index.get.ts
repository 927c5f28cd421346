import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { linkToken } from '../../../http/body'
import { readByLink } from '../../../offers/customer'

/** What a customer's link shows: one offer, and nothing else of the job. */
export default answering(async (event) => readByLink(await database(), linkToken(event)))
