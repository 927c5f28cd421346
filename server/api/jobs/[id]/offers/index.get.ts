import { database } from '../../../../database'
import { answering } from '../../../../http/answering'
import { jobIdentity } from '../../../../http/body'
import { readOffers } from '../../../../offers/service'

/** Offers of a job, the last first. */
export default answering(async (event) => ({ offers: await readOffers(await database(), jobIdentity(event)) }))
