import type { Currency } from '../money/money'
import type { MethodPlan } from '../plan/types'
import type { Years } from '../units/types'
import type { CatalogueRow, CostSettings } from './catalogue'
import type { PostBill } from './jobBills'
import { turned, type CostKnob } from './knobs'
import { optionCost, type OptionCost } from './option'
import { isTemporary, plumbSurvival } from './stands'
import { costPerPlumbYear, cumulatedCost, type Survival } from './years'

/** One way to mend a post, with what it costs now, for each year that it is plumb, and over the years. */
export interface PostOption {
  plan: MethodPlan
  /** Causes that it leaves as they are; of what holds for days nobody asks. */
  leaves: readonly string[]
  cost: OptionCost
  /** In minor units. */
  net: number
  perYear: number
  /** The same with one working value times a factor. */
  perYearWith: (knob: CostKnob, factor: number) => number
  /** Spent by the end of each year, on average. */
  spent: number[]
}

/** What the options of a post are reckoned with. */
export interface OptionTerms {
  catalogue: readonly CatalogueRow[]
  settings: CostSettings
  currency: Currency
  /** Over which they are compared. */
  years: Years
  /** Chance to stand plumb at the end of each year, by method, where its lives were reckoned. */
  lived: ReadonlyMap<string, Survival>
}

/**
 * Ways to mend a post as they are compared: what leaves a cause as it is behind all that does not, whatever it costs;
 * then by the cost of a plumb year, then by the cost now.
 *
 * @param ways every way that is open, with its bill
 */
export function postOptions(
  ways: readonly PostBill[],
  { catalogue, settings, currency, years, lived }: OptionTerms,
): PostOption[] {
  const optionOf = ({ method: plan, lines }: PostBill): PostOption => {
    const survivalWith = (factor: number) => plumbSurvival(plan, years, lived.get(plan.method), factor)
    const cost = optionCost(lines, catalogue, settings, currency)
    const net = Number(cost.net)
    return {
      plan,
      leaves: isTemporary(plan) ? [] : plan.leavesUnsolved,
      cost,
      net,
      perYear: costPerPlumbYear(net, survivalWith(1)),
      perYearWith: (knob, factor) =>
        costPerPlumbYear(
          Number(optionCost(lines, turned(catalogue, knob, factor), settings, currency).net),
          survivalWith(knob === 'stands' ? factor : 1),
        ),
      spent: cumulatedCost(net, survivalWith(1)),
    }
  }
  return ways
    .map(optionOf)
    .sort((a, b) => Number(a.leaves.length > 0) - Number(b.leaves.length > 0) || a.perYear - b.perYear || a.net - b.net)
}
