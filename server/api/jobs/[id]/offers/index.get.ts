import { answering } from '../../../../http/answering'
import { jobIdentity } from '../../../../http/body'
import { readOffers } from '../../../../offers/service'
import { workspaceOf } from '../../../../workspace/workspaceOf'

/** Offers of a job, the last first. */
export default answering(async (event) => ({ offers: await readOffers(workspaceOf(event), jobIdentity(event)) }))
