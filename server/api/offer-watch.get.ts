import { answering } from '../http/answering'
import { readOfferWatch } from '../offers/service'
import { workspaceOf } from '../workspace/workspaceOf'

/** Offers that somebody waits for, or that were answered lately. */
export default answering(async (event) => readOfferWatch(workspaceOf(event)))
