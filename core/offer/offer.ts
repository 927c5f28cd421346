import type { CostSettings } from '../cost/catalogue'
import type { PostBill } from '../cost/jobBills'
import type { LineBill } from '../cost/lineBill'
import { frozenLine, type FrozenLine } from '../cost/frozen'
import type { Currency } from '../money/money'
import { thresholdWords } from '../plan/thresholds'
import type { MetresPerSecond } from '../units/types'
import { readPostKey } from '../document/postKey'

export const OFFER_FORMAT = 'vindex-offer'

/** What is done at one post, as it was planned when the offer was made. */
export interface OfferPost {
  post: string
  method: string
  /** What it stands, in both thresholds. */
  stands: string
}

export interface OfferOption {
  name: string
  posts: OfferPost[]
  lines: FrozenLine[]
  net: number
  taxes: { percent: number; net: number; amount: number }[]
  gross: number
  /** Handed back: in no sum. */
  deposits: number
  visits: number
}

/** Figures of a job frozen: nothing in it is looked up again. */
export interface OfferDraft {
  format: typeof OFFER_FORMAT
  version: 1
  id: string
  /** The job as it was then. */
  jobVersion: number
  job: string
  site: string
  madeAt: string
  /** The last day on which it holds, as 2026-12-24. */
  validUntil: string
  by?: string
  customer?: string
  currency: Pick<Currency, 'code' | 'places' | 'name'>
  options: OfferOption[]
  included: string[]
  excluded: string[]
  cautions: string[]
  /** The line with the posts that are worked on, as one drawing. */
  drawing: string
}

/** With the number that the server gave it. */
export interface Offer extends OfferDraft {
  number: number
}

/**
 * One option: its bill with every price in it, and what is done at each post.
 *
 * @param name as the customer reads it
 * @param show a gust in the units of the reader
 */
export function offerOption(
  name: string,
  { bill, bills, visits }: { bill: LineBill; bills: readonly PostBill[]; visits: number },
  settings: CostSettings,
  show: (gust: MetresPerSecond) => string,
): OfferOption {
  const { total } = bill
  return {
    name,
    posts: bills.map(({ address, method }) => ({
      post: readPostKey(address).post,
      method: method.name,
      stands: thresholdWords(method, show),
    })),
    lines: total.lines.map((line) => frozenLine(line, settings)),
    net: Number(total.net),
    taxes: total.taxes.map(({ percent, net, amount }) => ({ percent, net: Number(net), amount: Number(amount) })),
    gross: Number(total.gross),
    deposits: Number(total.deposits),
    visits,
  }
}
