import { computed, ref } from 'vue'
import type { useJobSession } from '~/job/openJob'
import { timeNow } from '~/sync/clock'
import { sharedByJob } from '~/job/sharedByJob'
import type { JobView } from '~/job/jobView'
import { usePreferencesStore } from '~/session/preferences'
import { billOf, type BillLine } from '~~/core/cost/bill'
import { turned, type CostKnob } from '~~/core/cost/knobs'
import { lineBill, piecesOf } from '~~/core/cost/lineBill'
import { optionCost } from '~~/core/cost/option'
import { loadVans, type Vehicle } from '~~/core/cost/vehicle'
import { isTemporary, leansEvery, massHome, plumbSurvival, TEMPORARY_YEARS, usualVisits } from '~~/core/cost/stands'
import { costPerPlumbYear, cumulatedCost, USUAL_YEARS } from '~~/core/cost/years'
import { dayOf } from '~~/core/day/question'
import { dayPosts } from '~~/core/day/posts'
import { meansOf } from '~~/core/day/setup'
import { moneyWords, type Minor } from '~~/core/money/money'
import { methodDetail } from '~~/core/plan/detail'
import type { MethodPlan } from '~~/core/plan/types'
import { row } from '~~/core/tables/tables'
import { catalogue as shipped, costSettings } from '~~/data/catalogue'
import { currencies } from '~~/data/currencies'
import { vehicles } from '~~/data/vehicles'
import { loadingList } from './model/loadingList'
import { useCuts } from './useCuts'

type Session = ReturnType<typeof useJobSession>

function createCost(session: Session, view: JobView) {
  const preferences = usePreferencesStore()
  const catalogue = computed(() => shipped)
  const settings = costSettings
  const currency = currencies.find(({ code }) => code === settings.currency)!
  const words = (amount: Minor | number) =>
    moneyWords(typeof amount === 'number' ? Math.round(amount) : amount, currency)

  const means = computed(() => meansOf(session.job?.day ?? {}))
  const bills = computed<{ method: MethodPlan; lines: BillLine[] }[]>(() => {
    const [job, resolved, plan] = [view.job.value, view.resolved.value, view.plan.value]
    if (!job || !resolved || !plan) return []
    const posts = resolved.lines.flatMap((line) =>
      line.posts.map((post) => ({ address: `${line.id}/${post.id}`, post })),
    )
    return dayPosts({ prefix: '', job, resolved, plan }, view.tables.value).flatMap((each) => {
      const method = plan.posts
        .find((of) => `${of.line}/${of.post}` === each.address)
        ?.methods.find((of) => of.method === each.method)
      const section = posts.find(({ address }) => address === each.address)?.post.section
      return method
        ? [
            {
              method,
              lines: billOf(method, each, { ...means.value, ...(section ? { section } : {}) }, view.tables.value),
            },
          ]
        : []
    })
  })
  const lines = computed(() => bills.value.flatMap((each) => each.lines))
  const pieces = computed(() => piecesOf(lines.value))
  const cutting = useCuts(pieces, catalogue)

  const visits = computed(() => {
    const planned = session.job?.day?.planned?.tasks ?? []
    if (planned.length > 0) return new Set(planned.map(({ start }) => dayOf(start))).size
    return usualVisits(bills.value.map(({ method }) => method))
  })
  const hires = computed(() =>
    Object.fromEntries(
      [...new Set((session.job?.day?.hires ?? []).map(({ tool }) => tool))].map((tool) => [`hire/${tool}`, 1]),
    ),
  )
  const bill = computed(() =>
    lineBill(
      lines.value,
      { visits: visits.value, hires: hires.value },
      { catalogue: catalogue.value, settings, currency, cuts: cutting.cuts.value },
    ),
  )
  const loading = computed(() => loadingList(bill.value, bills.value, view.tables.value))
  const vans = ref<string[]>([vehicles[0]!.key])
  const chosenVans = computed<Vehicle[]>(() => vehicles.filter(({ key }) => vans.value.includes(key)))
  const home = computed(() => massHome(lines.value))
  const load = computed(() => loadVans(loading.value.cargo, chosenVans.value, home.value))

  /** Every method that is allowed at the chosen post, with what it costs now and over the years. */
  const years = ref(USUAL_YEARS)
  const options = computed(() => {
    const [job, resolved, plan, post, line] = [
      view.job.value,
      view.resolved.value,
      view.plan.value,
      view.post.value,
      view.line.value,
    ]
    const of = plan?.posts.find((each) => each.post === post?.id && each.line === line?.id)
    if (!job || !resolved || !post || !line || !of) return []
    const found = of.methods
      .filter(({ allowed, unsuited }) => allowed && !unsuited)
      .map((method) => {
        const { steps } = methodDetail(job, view.tables.value, post.id, method.method, undefined, resolved)!
        const address = `${line.id}/${post.id}`
        const dayPost = {
          address,
          method: method.method,
          steps,
          ...(method.concrete ? { concrete: method.concrete } : {}),
        }
        const own = billOf(method, dayPost, { ...means.value, section: post.section }, view.tables.value)
        const cost = optionCost(own, catalogue.value, settings, currency)
        const survival = plumbSurvival(method, years.value)
        const net = Number(cost.net)
        /** A plumb year with one working value turned up or down. */
        const perYearWith = (key: CostKnob, factor: number) =>
          costPerPlumbYear(
            Number(optionCost(own, turned(catalogue.value, key, factor), settings, currency).net),
            plumbSurvival(method, years.value, key === 'stands' ? factor : 1),
          )
        return {
          method: method.method,
          name: row(view.tables.value.parts.methods, method.method).name,
          isChosen: post.repair?.method === method.method,
          isTemporary: isTemporary(method),
          cost,
          net,
          perYear: costPerPlumbYear(net, survival),
          perYearWith,
          spent: cumulatedCost(net, survival),
          restsOn: restsOn(method),
        }
      })
    return found.sort((a, b) => a.perYear - b.perYear || a.net - b.net)
  })

  const tick = (key: string, isIn: boolean) =>
    session.edit([{ name: 'tickLoaded', key, value: isIn ? new Date(timeNow()).toISOString() : null }])
  const ticked = computed(() => new Set((session.job?.load?.loaded ?? []).map(({ key }) => key)))

  return {
    preferences,
    currency,
    settings,
    words,
    bills,
    bill,
    visits,
    cutting,
    loading,
    load,
    vans,
    years,
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
