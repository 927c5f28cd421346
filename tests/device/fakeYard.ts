import { Refusal, type Api } from '~/sync/api'
import { createOffers } from '~/sync/offers'
import { createQueue } from '~/sync/queue'
import { DeviceStorage } from '~/sync/storage'
import { createTabs } from '~/sync/tabs'
import { createTray } from '~/sync/tray'
import { createYard } from '~/sync/yard'
import { InputError } from '~~/core/errors'
import { applyChanges } from '~~/core/yard/apply'
import { stateOf } from '~~/core/offer/answer'
import { readOffer } from '~~/core/offer/readOffer'
import type { YardBatch } from '~~/core/yard/change'
import type { OwnRows } from '~~/core/yard/rows'
import { shippedYard, YARD_TABLES } from '~~/data/yard'
import type { KeptOffer, YardApplied } from '~~/shared/contract'

type Asked = Pick<Api, 'readYard' | 'changeYard' | 'listOffers' | 'keepOffer' | 'answerOffer'>

/** A server of the yard and of offers in memory; `isAway` while there is no signal, and answers can get lost. */
export function fakeYardServer() {
  const state = { isAway: false, losesAnswers: 0, own: {} as OwnRows, version: 0, offers: [] as KeptOffer[] }
  const known = new Map<string, YardApplied>()
  async function answering<T>(work: () => T): Promise<T> {
    if (state.isAway) throw new Refusal(0, 'away')
    try {
      const said = structuredClone(work())
      if (state.losesAnswers > 0) {
        state.losesAnswers--
        throw new Refusal(0, 'lost on the way')
      }
      return said
    } catch (error) {
      throw error instanceof InputError ? new Refusal(422, error.message) : error
    }
  }
  const api: Asked = {
    readYard: () => answering(() => ({ version: state.version, own: state.own })),
    changeYard: (batch: YardBatch) =>
      answering(() => {
        const before = known.get(batch.id)
        if (before) return before
        const applied = applyChanges(state.own, batch.changes, { shipped: shippedYard, tables: YARD_TABLES })
        state.own = applied.own
        const answer = { batch: batch.id, version: ++state.version, conflicts: applied.conflicts }
        known.set(batch.id, answer)
        return answer
      }),
    listOffers: () => answering(() => ({ offers: [...state.offers].reverse() })),
    keepOffer: (_job, draft) =>
      answering(() => {
        const before = state.offers.find(({ offer }) => offer.id === draft.id)
        if (before) return before
        const kept: KeptOffer = {
          offer: { ...readOffer(draft), number: state.offers.length + 1 },
          checksum: 'c'.repeat(64),
          state: 'sent',
        }
        state.offers = [...state.offers.map((each) => ({ ...each, state: 'replaced' as const })), kept]
        return kept
      }),
    answerOffer: (_job, id, answer) =>
      answering(() => {
        const at = state.offers.findIndex(({ offer }) => offer.id === id)
        const { offer, checksum } = state.offers[at]!
        const when = { isReplaced: false, today: '2026-11-24' }
        state.offers[at] = { offer, checksum, answer, state: stateOf(offer, answer, when) }
        return state.offers[at]
      }),
  }
  return { state, api }
}

let made = 0
/** A device that works with it; another one of its name is another window of it. */
export function yardDevice({ api }: ReturnType<typeof fakeYardServer>, name = `yard-${process.pid}-${++made}`) {
  const storage = new DeviceStorage(name)
  const tabs = createTabs(name)
  const yard = createYard(storage, api, () => queue, tabs)
  const offers = createOffers(storage, api, () => queue, tabs)
  const queue = createQueue(storage, [yard.sender, offers.sender], tabs, { first: 2, longest: 10 })
  const tray = createTray(storage, queue, tabs)
  return {
    yard,
    offers,
    queue,
    tray,
    async again() {
      await queue.close()
      storage.close()
      tabs.close()
      return yardDevice({ api } as ReturnType<typeof fakeYardServer>, name)
    },
  }
}
