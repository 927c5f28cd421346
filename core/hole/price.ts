import type { MethodPlan } from '../plan/types'
import { tidy } from '../numeric/rounding'
import type { Metres, MetresPerSecond, Minutes, Years } from '../units/types'
import type { HoleBench } from './bench'

/** What a little more depth, or a little less, comes to against the hole as it is. */
export interface PriceOfDepth {
  depth: Metres
  plan: MethodPlan
  holdingGust: MetresPerSecond
  returnYears: Years
  /** More or less than now. */
  bags: number
  minutes: Minutes
}

/** Holes are dug within these, m: what a job may hold. */
const SHALLOWEST: Metres = 0.2
const DEEPEST: Metres = 4

/**
 * The price of the next ten centimetres, up and down.
 *
 * @param step m: 0.1, or four inches where people measure so
 * @returns what can be planned of the two, the shallower first
 * @example priceOfDepth(bench, 0.1) // 0.65: −4 m/s, −1 bag, −9 min; 0.85: +4 m/s, +1 bag, +10 min
 */
export function priceOfDepth(bench: HoleBench, step: Metres): PriceOfDepth[] {
  const { now } = bench
  if (!now.hole) return []
  const { depth, stoneBed, fillTop } = now.hole
  const least = Math.max(SHALLOWEST, stoneBed + Math.max(0.05, fillTop) + 0.05)
  return [-step, step].flatMap((change) => {
    const to = tidy(depth + change)
    if (to < least || to > DEEPEST) return []
    const plan = bench.with({ depth: to })
    if (plan.holdingGust === undefined) return []
    return [
      {
        depth: to,
        plan,
        holdingGust: plan.holdingGust,
        returnYears: plan.returnYears!,
        bags: (plan.concrete?.bags.exactCount ?? 0) - (now.concrete?.bags.exactCount ?? 0),
        minutes: plan.minutes - now.minutes,
      },
    ]
  })
}
