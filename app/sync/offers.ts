import type { OfferAnswer } from '~~/core/offer/answer'
import type { OfferDraft } from '~~/core/offer/offer'
import type { KeptOffer } from '~~/shared/contract'
import { Refusal, type Api } from './api'
import { newIdentity } from './identity'
import { afterItsJob } from './newJobs'
import type { Queue, Sender } from './queue'
import { plain, type DeviceOffer, type DeviceStorage } from './storage'
import type { Tabs } from './tabs'

export const OFFERS = 'offers'

/** What is sent of offers, in order: the offer itself, then what was answered. */
type OfferBody = { draft: OfferDraft } | { offer: string; answer: OfferAnswer }

/** Offers of every job: kept on the device first, so that they are made and answered without a signal. */
export interface Offers {
  sender: Sender<OfferBody>
  /** What the device knows of a job's offers, the last first. */
  of: (jobId: string) => Promise<DeviceOffer[]>
  /** Asks the server; what it says is kept. */
  refresh: (jobId: string) => Promise<void>
  make: (jobId: string, draft: OfferDraft) => Promise<void>
  answer: (jobId: string, offer: string, answer: OfferAnswer) => Promise<void>
  /** Told whenever what the device knows of a job's offers has changed. */
  listen: (hear: (jobId: string) => void) => () => void
}

/** @param queue given late: it is made with this sender */
export function createOffers(
  storage: DeviceStorage,
  api: Pick<Api, 'listOffers' | 'keepOffer' | 'answerOffer'>,
  queue: () => Pick<Queue, 'put'>,
  tabs: Pick<Tabs, 'tell' | 'listen'>,
): Offers {
  const listeners = new Set<(jobId: string) => void>()
  const hearAll = (jobId: string) => listeners.forEach((hear) => hear(jobId))
  tabs.listen((message) => void (message.what === 'offers' && hearAll(message.jobId)))
  function tell(jobId: string): void {
    hearAll(jobId)
    tabs.tell({ what: 'offers', jobId })
  }
  const put = (offers: readonly DeviceOffer[]) => storage.keep(() => storage.offers.bulkPut(plain([...offers])))
  const deviceOffer = (jobId: string, kept: KeptOffer): DeviceOffer => ({ id: kept.offer.id, jobId, ...kept })

  async function of(jobId: string): Promise<DeviceOffer[]> {
    const all = await storage.keep(() => storage.offers.where({ jobId }).toArray())
    return all.sort((a, b) => (b.offer.number ?? Infinity) - (a.offer.number ?? Infinity))
  }
  async function refresh(jobId: string): Promise<void> {
    const { offers } = await api.listOffers(jobId)
    // An answer that still waits here is not taken back by what the server says meanwhile.
    const here = new Map((await of(jobId)).map((each) => [each.id, each]))
    await put(
      offers.map((kept) => {
        const { answer, state } = here.get(kept.offer.id) ?? {}
        return {
          ...deviceOffer(jobId, kept),
          ...(kept.answer || !answer ? {} : { answer, ...(state ? { state } : {}) }),
        }
      }),
    )
    tell(jobId)
  }

  async function send(jobId: string, body: OfferBody): Promise<'taken'> {
    const kept =
      'draft' in body ? await api.keepOffer(jobId, body.draft) : await api.answerOffer(jobId, body.offer, body.answer)
    await put([deviceOffer(jobId, kept)])
    // Those before it are replaced now.
    await refresh(jobId).catch((error: unknown) => {
      if (!(error instanceof Refusal)) throw error
    })
    tell(jobId)
    return 'taken'
  }

  return {
    sender: {
      kind: OFFERS,
      after: afterItsJob,
      send,
      // It lies in the tray; here the server's word stands.
      async refused(jobId, body) {
        const id = 'draft' in body ? body.draft.id : body.offer
        const known = await storage.offers.get(id)
        if ('draft' in body) await storage.keep(() => storage.offers.delete(id))
        else if (known)
          await put([
            { id, jobId, offer: known.offer, ...(known.checksum ? { checksum: known.checksum } : {}), state: 'sent' },
          ])
        tell(jobId)
      },
    },
    of,
    refresh,
    async make(jobId, draft) {
      await put([{ id: draft.id, jobId, offer: draft }])
      await queue().put(OFFERS, jobId, { draft }, draft.id)
      tell(jobId)
    },
    async answer(jobId, offer, answer) {
      const known = await storage.offers.get(offer)
      if (known) await put([{ ...known, answer, state: answer.isAccepted ? 'accepted' : 'declined' }])
      await queue().put(OFFERS, jobId, { offer, answer }, newIdentity())
      tell(jobId)
    },
    listen(hear) {
      listeners.add(hear)
      return () => void listeners.delete(hear)
    },
  }
}
