import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { setResponseHeader } from 'h3'
import { jobFileName } from '../../../../core/document/fileName'
import { readStoredJob } from '../../../jobs/service'
import { readOffers } from '../../../offers/service'
import type { KeptOffer } from '../../../../shared/contract'
import { workspaceOf } from '../../../workspace/workspaceOf'
import { note } from '../../../people/audit'

/** What the file tells of an offer: a copy, which nothing reads back. */
const offerCopy = ({ offer, checksum, state, answer }: KeptOffer) => ({
  id: offer.id,
  number: offer.number,
  madeAt: offer.madeAt,
  validUntil: offer.validUntil,
  currency: offer.currency.code,
  options: offer.options,
  pdf: checksum,
  state,
  ...(answer ? { answered: { name: answer.name, at: answer.at } } : {}),
})

/** The job file, with a copy of its offers. */
export default answering(async (event) => {
  const workspace = workspaceOf(event)
  const id = jobIdentity(event)
  const [{ document }, kept] = await Promise.all([readStoredJob(workspace, id), readOffers(workspace, id)])
  await note(workspace, 'job-exported', { subject: id })
  setResponseHeader(event, 'content-disposition', `attachment; filename="${jobFileName(document.name)}"`)
  return kept.length > 0 ? { ...document, offers: kept.map(offerCopy) } : document
})
