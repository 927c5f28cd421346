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
import { chosenMethods, jobBills, withMethods } from '~~/core/cost/jobBills'
import { lineBill, piecesOf } from '~~/core/cost/lineBill'
import { usualVisits } from '~~/core/cost/stands'
import { OFFER_FORMAT, offerOption, type OfferDraft, type OfferOption } from '~~/core/offer/offer'
import { plan } from '~~/core/plan/plan'
import { linesDrawing } from '~~/core/report/lineDrawing'
import { resolveJob } from '~~/core/resolve/resolve'
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
  /** Ways that one of those posts allows at least. */
  const ways = computed(() => {
    const counts = new Map<string, { name: string; posts: number }>()
    for (const { line, post, methods } of cost.planned.value?.plan.posts ?? [])
      if (`${line}/${post}` in asChosen.value)
        for (const { method, name, allowed, unsuited } of methods)
          if (allowed && !unsuited) counts.set(method, { name, posts: (counts.get(method)?.posts ?? 0) + 1 })
    return [...counts].map(([method, { name, posts }]) => ({ method, name, posts }))
  })

  function methodsOf(way: string): Record<string, string> {
    if (way === AS_CHOSEN) return asChosen.value
    const allowed = new Set(
      (cost.planned.value?.plan.posts ?? [])
        .filter(({ methods }) => methods.some((each) => each.method === way && each.allowed))
        .map(({ line, post }) => `${line}/${post}`),
    )
    return Object.fromEntries(
      Object.entries(asChosen.value).map(([address, method]) => [address, allowed.has(address) ? way : method]),
    )
  }

  async function optionOf({ name, way }: WantedOption): Promise<OfferOption> {
    const tables = view.tables.value
    const job = withMethods(cost.planned.value!.job, methodsOf(way))
    const bills = jobBills({ job, resolved: resolveJob(job, tables), plan: plan(job, tables) }, tables)
    const lines = bills.flatMap((each) => each.lines)
    const visits = way === AS_CHOSEN ? cost.visits.value : usualVisits(bills.map(({ method }) => method))
    const bill = lineBill(
      lines,
      { visits, hires: cost.hires.value },
      {
        catalogue: catalogue.value,
        settings: reckoning.value,
        currency: currency.value,
        cuts: await cutOnce(piecesOf(lines), catalogue.value, offcuts.value),
        offcuts: offcuts.value,
      },
    )
    // An offer that leaves out what nobody has priced would be too low, and nobody would see it.
    if (bill.unpriced.length > 0)
      throw new Error(
        `${name}: without a price in the yard: ${bill.unpriced.join(', ').replaceAll(/[/-]/g, ' ')}. Put it there first.`,
      )
    return offerOption(name, { bill, bills, visits }, reckoning.value, preferences.measures.gust)
  }

  async function make(wanted: readonly WantedOption[], words: OfferWords): Promise<boolean> {
    isBusy.value = true
    failure.value = ''
    try {
      const job = cost.planned.value!.job
      const worked = new Set(Object.keys(asChosen.value))
      const lines = cost.planned.value!.resolved.lines.filter(({ id }) =>
        [...worked].some((address) => address.startsWith(`${id}/`)),
      )
      const by = preferences.person.trim()
      const options: OfferOption[] = []
      for (const each of wanted) options.push(await optionOf(each))
      await kept.make(session.id, {
        format: OFFER_FORMAT,
        version: 1,
        id: newIdentity(),
        jobVersion: session.version,
        job: job.name,
        site: job.site?.name ?? '',
        madeAt: new Date(timeNow()).toISOString(),
        ...(by ? { by } : {}),
        currency: currency.value,
        options,
        drawing: linesDrawing(lines, new Set([...worked].map((address) => address.split('/')[1]!))),
        ...words,
      })
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
