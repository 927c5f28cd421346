import type { CatalogueRow, CostSettings } from '../cost/catalogue'
import { jobBills, withMethods } from '../cost/jobBills'
import { lineBill, type OnceForAll } from '../cost/lineBill'
import { usualVisits } from '../cost/stands'
import type { Job } from '../document/job'
import type { Currency } from '../money/money'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { MetresPerSecond } from '../units/types'
import { offerOption, type OfferOption } from './offer'

/** What a customer has to know beside the figures, until whoever makes an offer says otherwise. */
export const USUAL_SENTENCES = {
  included: ['Material, work, travel and what is hired, as listed.', 'What is dug out is taken away, as listed.'],
  excluded: [
    'Rotten rails, boards and panels that show on the way: each is shown and agreed before it is replaced.',
    'Rock, and pipes or cables that nobody told us of.',
  ],
  cautions: [
    'Keep away from a leaning fence in wind until it is mended.',
    'Fresh concrete is left alone until we say that it carries.',
  ],
} as const

export interface OfferTerms extends Pick<OnceForAll, 'hires'> {
  /** As many as its work takes, where nobody says. */
  visits?: number
  catalogue: readonly CatalogueRow[]
  settings: CostSettings
  currency: Currency
  tables: Tables
  /** A gust in the units of the reader. */
  show: (gust: MetresPerSecond) => string
}

/**
 * One option of a job: some of its posts mended otherwise than they were chosen, each piece from a stick of its own.
 *
 * @param name as the customer reads it
 * @param methods by the address of the post, as `B/B7`
 * @example optionOfJob(job, 'For good', { 'B/B7': 'new-post-concrete' }, terms).posts[0]!.post // 'B7'
 */
export function optionOfJob(
  job: Job,
  name: string,
  methods: Readonly<Record<string, string>>,
  { tables, show, hires, visits: said, ...prices }: OfferTerms,
): OfferOption {
  const changed = withMethods(job, methods)
  const planned = { job: changed, resolved: resolveJob(changed, tables), plan: plan(changed, tables) }
  const bills = jobBills(planned, tables)
  const visits = said ?? usualVisits(bills.map(({ method }) => method))
  const bill = lineBill(
    bills.flatMap(({ lines }) => lines),
    { visits, hires },
    prices,
  )
  return offerOption(name, { bill, bills, visits }, prices.settings, show)
}
