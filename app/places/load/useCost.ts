import { computed, ref } from 'vue'
import type { useJobSession } from '~/job/openJob'
import { timeNow } from '~/sync/clock'
import { yard } from '~/sync/device'
import { sharedByJob } from '~/job/sharedByJob'
import type { JobView } from '~/job/jobView'
import { usePreferencesStore } from '~/session/preferences'
import { useSurvival } from '~/survive/useSurvival'
import { useYard } from '~/yard/useYard'
import { jobBills, openWays, proposedMethods, withMethods, type PostBill } from '~~/core/cost/jobBills'
import { hiresOf } from '~~/core/cost/hire'
import { lineBill, piecesOf } from '~~/core/cost/lineBill'
import { postOptions } from '~~/core/cost/options'
import { loadVans, type Vehicle } from '~~/core/cost/vehicle'
import { isTemporary, leansEvery, massHome, TEMPORARY_YEARS, usualVisits } from '~~/core/cost/stands'
import { USUAL_YEARS } from '~~/core/cost/years'
import { dayOf } from '~~/core/day/question'
import { moneyWords, type Minor } from '~~/core/money/money'
import { plan } from '~~/core/plan/plan'
import { resolveJob } from '~~/core/resolve/resolve'
import type { MethodPlan } from '~~/core/plan/types'
import { sparesFor } from '~~/core/cost/merge'
import { plumbWords } from '~~/core/survive/words'
import { wholeYears, YEARS_DRAWN } from '~~/core/survive/years'
import { row } from '~~/core/tables/tables'
import { loadingList } from './model/loadingList'
import { useCuts } from './useCuts'

type Session = ReturnType<typeof useJobSession>

function createCost(session: Session, view: JobView) {
  const preferences = usePreferencesStore()
  const { catalogue: listed, offcuts, vehicles, reckoning: settings, currency } = useYard()
  /** Bags are called by what stands on them where people measure so. */
  const catalogue = computed(() => {
    const names = new Map(view.tables.value.mixes.map(({ key, name }) => [`mix/${key}`, name]))
    return listed.value.map((each) => {
      const name = preferences.units === 'metric' ? undefined : names.get(each.key)
      return name ? { ...each, name } : each
    })
  })
  const words = (amount: Minor | number) =>
    moneyWords(typeof amount === 'number' ? Math.round(amount) : amount, currency.value)

  const planned = computed(() => {
    const [job, resolved, plan] = [view.job.value, view.resolved.value, view.plan.value]
    return job && resolved && plan ? { job, resolved, plan } : undefined
  })
  const chosenBills = computed(() => (planned.value ? jobBills(planned.value, view.tables.value) : []))
  /** Before anything is chosen the list is made of what is proposed, and says so. */
  const isProposed = computed(() => chosenBills.value.length === 0)
  const bills = computed<PostBill[]>(() => {
    if (!planned.value || !isProposed.value) return chosenBills.value
    const methods = proposedMethods(planned.value)
    if (Object.keys(methods).length === 0) return []
    const job = withMethods(planned.value.job, methods)
    const resolved = resolveJob(job, view.tables.value)
    return jobBills({ job, resolved, plan: plan(job, view.tables.value) }, view.tables.value)
  })
  const lines = computed(() => bills.value.flatMap((each) => each.lines))
  const pieces = computed(() => piecesOf(lines.value))
  const cutting = useCuts(pieces, catalogue, offcuts)

  const visits = computed(() => {
    const planned = session.job?.day?.planned?.tasks ?? []
    if (planned.length > 0) return new Set(planned.map(({ start }) => dayOf(start))).size
    return usualVisits(bills.value.map(({ method }) => method))
  })
  const hires = computed(() => hiresOf(session.job?.day?.hires ?? [], catalogue.value))
  const bill = computed(() =>
    lineBill(
      lines.value,
      { visits: visits.value, hires: hires.value },
      {
        catalogue: catalogue.value,
        settings: settings.value,
        currency: currency.value,
        cuts: cutting.cuts.value,
        offcuts: offcuts.value,
        spares: sparesFor(bills.value, view.tables.value.learnt),
      },
    ),
  )
  const loading = computed(() => loadingList(bill.value, bills.value, view.tables.value, preferences.show))
  const wantedVans = ref<string[]>()
  const vans = computed({
    get: () => wantedVans.value ?? vehicles.value.slice(0, 1).map(({ key }) => key),
    set: (keys) => (wantedVans.value = keys),
  })
  const chosenVans = computed<Vehicle[]>(() => vehicles.value.filter(({ key }) => vans.value.includes(key)))
  const home = computed(() => massHome(lines.value))
  const load = computed(() => loadVans(loading.value.cargo, chosenVans.value, home.value))

  /** Every method that is allowed at the chosen post, with what it costs now and over the years. */
  const years = ref(wholeYears(view.line.value?.remainingYears ?? USUAL_YEARS))
  const survival = useSurvival()
  const lived = computed(() => new Map((survival.years.value?.curves ?? []).map((each) => [each.method, each])))
  const from = new Date(timeNow()).getFullYear()
  const lookedAt = computed(() => Math.min(years.value, YEARS_DRAWN))
  const options = computed(() => {
    const [all, post, line] = [planned.value, view.post.value, view.line.value]
    const of = all?.plan.posts.find((each) => each.post === post?.id && each.line === line?.id)
    if (!all || !post || !of) return []
    const terms = {
      catalogue: catalogue.value,
      settings: settings.value,
      currency: currency.value,
      years: years.value,
      lived: new Map([...lived.value].map(([method, { plumb }]) => [method, plumb])),
    }
    return postOptions(openWays(all, of, view.tables.value), terms).map(({ plan: method, ...option }) => {
      const curve = lived.value.get(method.method)
      return {
        ...option,
        method: method.method,
        name: row(view.tables.value.parts.methods, method.method).name,
        isChosen: post.repair?.method === method.method,
        isTemporary: isTemporary(method),
        restsOn: curve && !isTemporary(method) ? plumbWords(curve, lookedAt.value, from) : restsOn(method),
      }
    })
  })

  const tick = (key: string, isIn: boolean) =>
    session.edit([{ name: 'tickLoaded', key, value: isIn ? new Date(timeNow()).toISOString() : null }])
  const ticked = computed(() => new Set((session.job?.load?.loaded ?? []).map(({ key }) => key)))

  return {
    preferences,
    currency,
    settings,
    /** Nobody has put prices of this workshop in the place of the shipped ones. */
    isShipped: computed(() => Object.keys(yard.own.value.catalogue ?? {}).length === 0),
    words,
    catalogue,
    bills,
    planned,
    isProposed,
    hires,
    bill,
    visits,
    cutting,
    loading,
    load,
    vans,
    vehicles,
    years,
    /** The lives of the options are being reckoned; before they are known, gusts alone say how long each stands. */
    isReckoning: computed(() => survival.done.value !== undefined),
    survival,
    options,
    tick,
    ticked,
    home,
  }
}
export type Option = Cost['options']['value'][number]

const restsOn = (method: MethodPlan): string =>
  isTemporary(method) ? `lasts about ${TEMPORARY_YEARS} years` : leansWords(leansEvery(method))
function leansWords(years: number): string {
  if (years < 2) return 'leans in most winters, by its gusts alone'
  return years > MOST_YEARS
    ? `leans less than once in ${MOST_YEARS} years`
    : `leans once in ${Math.round(years)} years, by its gusts alone`
}
/** Nobody knows more of the wind than that. */
const MOST_YEARS = 500

/** The drawing and the panel share one. */
export const useCost = sharedByJob(createCost)
export type Cost = ReturnType<typeof useCost>
