import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { useJobSession } from '~/job/openJob'
import type { JobView } from '~/job/jobView'
import { sharedByJob } from '~/job/sharedByJob'
import { usePreferencesStore } from '~/session/preferences'
import { api, type Refusal } from '~/sync/api'
import { timeNow } from '~/sync/clock'
import { offers as kept } from '~/sync/device'
import { newIdentity } from '~/sync/identity'
import type { DeviceOffer } from '~/sync/storage'
import { useYard } from '~/yard/useYard'
import { chosenMethods } from '~~/core/cost/jobBills'
import { piecesOf } from '~~/core/cost/lineBill'
import { sparesFor } from '~~/core/cost/merge'
import type { OfferDraft, OfferOption } from '~~/core/offer/offer'
import { methodsWith, offerDraft, optionWork, pricedOption, waysOfPosts } from '~~/core/offer/ofJob'
import { useCost } from './useCost'
import { cutOnce } from './useCuts'

/** One option as it is asked for: what was chosen, or one way for all posts that allow it. */
export interface WantedOption {
  name: string
  way: string
}
/** As it was chosen, and as it is proposed where nothing was. */
export const AS_CHOSEN = 'as-chosen'

export type OfferWords = Pick<OfferDraft, 'validUntil' | 'included' | 'excluded' | 'cautions'> & { customer?: string }

const DAY_MS = 86_400_000
export const dayIn = (days: number): string => new Date(timeNow() + days * DAY_MS).toISOString().slice(0, 10)

function createOffers(session: ReturnType<typeof useJobSession>, view: JobView) {
  const preferences = usePreferencesStore()
  const cost = useCost()
  const { offcuts, reckoning, currency } = useYard()
  const { catalogue } = cost
  const all = shallowRef<readonly DeviceOffer[]>([])
  const failure = ref('')
  const isBusy = ref(false)
  const show = async () => void (all.value = await kept.of(session.id))
  onScopeDispose(kept.listen((jobId) => void (jobId === session.id && show())))

  async function refresh(): Promise<void> {
    await show()
    try {
      await kept.refresh(session.id)
    } catch {
      // Those that this device knows are shown.
    }
  }
  void refresh()

  /** Posts that are worked on, with what was chosen or is proposed. */
  const asChosen = computed<Record<string, string>>(() => (cost.planned.value ? chosenMethods(cost.planned.value) : {}))
  const ways = computed(() => (cost.planned.value ? waysOfPosts(cost.planned.value.plan, asChosen.value) : []))

  async function optionOf({ name, way }: WantedOption): Promise<OfferOption> {
    const { job, plan } = cost.planned.value!
    const tables = view.tables.value
    const isAsChosen = way === AS_CHOSEN
    const work = optionWork(job, isAsChosen ? asChosen.value : methodsWith(way, plan, asChosen.value), tables)
    return pricedOption(name, work, {
      ...(isAsChosen ? { visits: cost.visits.value } : {}),
      hires: cost.hires.value,
      catalogue: catalogue.value,
      settings: reckoning.value,
      currency: currency.value,
      cuts: await cutOnce(piecesOf(work.lines), catalogue.value, offcuts.value),
      offcuts: offcuts.value,
      spares: sparesFor(work.bills, tables.learnt),
      show: preferences.measures.gust,
    })
  }

  async function make(wanted: readonly WantedOption[], words: OfferWords): Promise<boolean> {
    isBusy.value = true
    failure.value = ''
    try {
      const by = preferences.person.trim()
      const options: OfferOption[] = []
      for (const each of wanted) options.push(await optionOf(each))
      const draft = offerDraft(cost.planned.value!, asChosen.value, {
        id: newIdentity(),
        jobVersion: session.version,
        madeAt: new Date(timeNow()).toISOString(),
        ...(by ? { by } : {}),
        currency: currency.value,
        options,
        ...words,
      })
      await kept.make(session.id, draft)
      return true
    } catch (error) {
      failure.value = (error as Error).message
      return false
    } finally {
      isBusy.value = false
    }
  }

  /** A link for the customer: shown once, so it is handed on at once. */
  const link = ref<{ offer: string; address: string }>()
  async function makeLink(offer: string): Promise<void> {
    try {
      const { token } = await api.linkOffer(session.id, offer)
      link.value = { offer, address: `${location.origin}/offer/${token}` }
      failure.value = ''
    } catch (error) {
      failure.value = (error as Refusal).message
    }
  }
  /** How many links to an offer were taken back last. */
  const takenBack = ref<{ offer: string; links: number }>()
  async function takeBackLinks(offer: string): Promise<void> {
    try {
      const { links } = await api.takeBackLinks(session.id, offer)
      takenBack.value = { offer, links }
      link.value = undefined
      failure.value = ''
    } catch (error) {
      failure.value = (error as Refusal).message
    }
  }
  const answer = (offer: DeviceOffer, name: string, option?: string) =>
    kept.answer(session.id, offer.id, {
      isAccepted: option !== undefined,
      ...(option === undefined ? {} : { option }),
      name,
      checksum: offer.checksum!,
      way: 'device',
      at: new Date(timeNow()).toISOString(),
    })

  return {
    jobId: session.id,
    all,
    failure,
    isBusy,
    refresh,
    ways,
    asChosen,
    make,
    link,
    makeLink,
    takenBack,
    takeBackLinks,
    answer,
  }
}

export const useOffers = sharedByJob(createOffers)
