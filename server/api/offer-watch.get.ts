import { database } from '../database'
import { answering } from '../http/answering'
import { readOfferWatch } from '../offers/service'

/** Offers that somebody waits for, or that were answered lately. */
export default answering(async () => readOfferWatch(await database()))
