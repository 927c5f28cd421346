import type { CatalogueRow, CostSettings } from '../cost/catalogue'
import { openWays } from '../cost/jobBills'
import { optionCost } from '../cost/option'
import type { Job } from '../document/job'
import { moneyWords, type Currency } from '../money/money'
import { methodDetail } from '../plan/detail'
import { plan as planJob } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import type { StandingYears } from '../survive/years'
import type { Tables } from '../tables/tables'
import type { Measures } from '../units/quantity'
import type { HourlyAir, Moment } from '../weather/forecast'
import { customerPage } from './customerPage'
import type { CustomerPage } from './customerQuestion'
import { openedPosts } from './opinion'

/** What prices are reckoned with. */
export interface Pricing {
  catalogue: readonly CatalogueRow[]
  settings: CostSettings
  currency: Currency
}

export interface PageNeeds {
  tables: Tables
  pricing: Pricing
  now: Moment
  says: Measures
  air?: HourlyAir
  /** How long its ways stand, where that was reckoned: it takes a moment, and screens have it from beside them. */
  years?: (method: string) => StandingYears | undefined
}

/**
 * The customer's page of one post of a job, by the repair that is chosen or proposed there.
 *
 * @returns undefined where there is no such post, or nothing is to be mended at it
 */
export function customerPageOf(
  job: Job,
  postId: string,
  { tables, pricing, now, says, air, years }: PageNeeds,
): CustomerPage | undefined {
  const kept = job.lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  if (!kept) return undefined
  // Of a long job only this line is planned.
  const ofLine: Job = { ...job, lines: [kept] }
  const resolved = resolveJob(ofLine, tables)
  const line = resolved.lines[0]!
  const post = line.posts.find(({ id }) => id === postId)!
  const plan = planJob(ofLine, tables)
  const of = plan.posts.find((each) => each.post === postId)!
  const wanted = post.repair?.method ?? of.recommended?.method
  const method = of.methods.find((each) => each.method === wanted)
  if (!method) return undefined
  const { stands, steps } = methodDetail(ofLine, tables, postId, method.method, undefined, resolved)!
  const prices = Object.fromEntries(
    openWays({ job: ofLine, resolved, plan }, of, tables).map((way) => {
      const { gross, unpriced } = optionCost(way.lines, pricing.catalogue, pricing.settings, pricing.currency)
      return [way.method.method, unpriced.length > 0 ? undefined : moneyWords(gross, pricing.currency)] as const
    }),
  )
  const thought = openedPosts(ofLine, tables, resolved).find((each) => each.post === postId)?.said
  const known = years?.(method.method)
  return customerPage({
    job: ofLine,
    at: { line: line.id, post: postId },
    post,
    plan: of,
    method,
    steps,
    stands,
    prices: Object.fromEntries(Object.entries(prices).filter(([, price]) => price !== undefined)) as Record<
      string,
      string
    >,
    ...(thought === undefined ? {} : { thought }),
    ...(known ? { years: known } : {}),
    now,
    tables,
    says,
    ...(air ? { air } : {}),
  })
}
