import type { LineOutcome, LinePlan } from '~~/core/choose/wholeLine'
import { showMinutes, type Measures } from '~~/core/units/quantity'

/* A plan of the whole line in words. */

/** A fence is gone long before. */
const YEARS_TOLD = 200

/** @example sumWords(plan, measures) // '12 h 10 of work, 360 kg to bring; the wind takes one down about once in 41 years' */
export function sumWords({ minutes, carried, breaks }: LinePlan, { mass }: Pick<Measures, 'mass'>): string {
  const bring = carried > 0 ? `, ${mass(carried)} to bring` : ', nothing to bring'
  return `${showMinutes(minutes)} of work${bring}; ${breakWords(breaks)}`
}

function breakWords(breaks: number): string {
  const years = breaks > 0 ? 1 / breaks : Infinity
  if (years > YEARS_TOLD) return `the wind hardly ever takes one down`
  if (years < 1) return `the wind takes ${Math.round(breaks)} down every year`
  return `the wind takes one down about once in ${Math.round(years)} years`
}

/** @example againstWords(other, best, measures) // '3 h 20 more, 120 kg more' */
export function againstWords(other: LinePlan, best: LinePlan, { mass }: Pick<Measures, 'mass'>): string {
  const work = difference(other.minutes - best.minutes, 0.5, showMinutes)
  const carried = difference(other.carried - best.carried, 0.5, mass)
  const breaks = other.breaks - best.breaks
  const wind = Math.abs(breaks) < 1e-4 ? undefined : breaks > 0 ? 'more of them go over' : 'fewer of them go over'
  return [work, carried, wind].filter(Boolean).join(', ') || 'no different in work, weight or wind'
}

function difference(by: number, least: number, show: (amount: number) => string): string | undefined {
  if (Math.abs(by) < least) return undefined
  return `${show(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`
}

/** @example kindWords(plan) // 'Spur beside it at 7, New post, concrete at 2' */
export const kindWords = ({ kinds }: LinePlan): string =>
  kinds.length === 1
    ? `${kinds[0]!.name} at all of them`
    : kinds.map(({ name, posts }) => `${name} at ${posts.length}`).join('; ')

/** Why there is no plan, and what there would have to be. */
export function missWords(least: LineOutcome['least'], { mass }: Pick<Measures, 'mass'>): string {
  if (!least) return 'No plan: for one of these posts no way is left, with what they shall be.'
  return `No plan keeps to all of that: the quickest takes ${showMinutes(least.minutes)}, the lightest ${mass(least.carried)}.`
}
