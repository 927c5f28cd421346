import { InputError } from '../errors'
import type { Years } from '../units/types'

/* What something costs over the years that a fence still has. These are compared, never charged: floating point will do. */

/** Chance to stand plumb at the end of each year, the first first. */
export type Survival = readonly number[]

/** Where nobody knows how long the fence itself will be kept. Working value. */
export const USUAL_YEARS: Years = 15

/**
 * The same chance every year to lean or go over: what a repair's return period says, without decay.
 *
 * @example steadySurvival(50, 2) // [0.98, 0.9604]
 */
export function steadySurvival(returnYears: Years, years: number): number[] {
  if (!(returnYears > 0)) throw new InputError('returnYears', returnYears, 'more than 0 years')
  const stays = Math.max(0, 1 - 1 / returnYears)
  return Array.from({ length: years }, (_, year) => stays ** (year + 1))
}

/**
 * The same life, so many times as long: read straight between years; beyond what is known as in its last year.
 *
 * @example stretched([0.9, 0.6], 2, 3) // [0.95, 0.9, 0.75]
 */
export function stretched(survival: Survival, factor: number, years: number): number[] {
  const at = (year: number): number => (year === 0 ? 1 : survival[year - 1]!)
  const last = survival.length
  const yearly = last > 0 && at(last - 1) > 0 ? at(last) / at(last - 1) : 0
  return Array.from({ length: years }, (_, i) => {
    const asked = (i + 1) / factor
    if (asked >= last) return last > 0 ? at(last) * yearly ** (asked - last) : 0
    const below = Math.floor(asked)
    return at(below) + (asked - below) * (at(below + 1) - at(below))
  })
}

/** Surely gone after so many years: a prop, a strap. @example endsAfter(2, 3) // [1, 0, 0]: in its second year it ends */
export const endsAfter = (life: Years, years: number): number[] =>
  Array.from({ length: years }, (_, year) => (year + 1 < life ? 1 : 0))

/**
 * Cost of each year that it is expected to be plumb.
 *
 * @param survival S of the fence's years that are left
 * @param rate     interest a year; 0 where money costs nothing
 * @source cost ÷ Σ over t = 1 to n of S(t − 1)/(1 + r)^(t − 1), S(0) = 1: no more years count than the fence has
 * @example costPerPlumbYear(300, [0.9, 0.8], 0) // 300 ÷ (1 + 0.9) = 157.9
 */
export function costPerPlumbYear(cost: number, survival: Survival, rate = 0): number {
  const years = yearsPlumb(survival, rate)
  return years > 0 ? cost / years : Infinity
}

/**
 * Years that it is expected to be plumb, each by its chance to begin so.
 *
 * @example yearsPlumb([0.9, 0.8]) // 1.9
 */
export const yearsPlumb = (survival: Survival, rate = 0): Years =>
  survival.reduce((sum, _each, t) => sum + (t === 0 ? 1 : survival[t - 1]!) / (1 + rate) ** t, 0)

/**
 * What is expected to have been spent by each year: the repair now, and the same again each time that it ends.
 *
 * @returns the cost so far at year 0, then at the end of each year
 * @source renewal: u(t) = f(t) + Σ f(k) u(t − k), f(t) = S(t − 1) − S(t)
 * @example cumulatedCost(100, endsAfter(1, 3)) // [100, 200, 300, 400]: every year anew
 */
export function cumulatedCost(cost: number, survival: Survival, rate = 0): number[] {
  const ends = survival.map((each, t) => (t === 0 ? 1 : survival[t - 1]!) - each)
  const renewed: number[] = []
  const spent = [cost]
  for (let t = 1; t <= survival.length; t++) {
    let share = ends[t - 1]!
    for (let k = 1; k < t; k++) share += ends[k - 1]! * renewed[t - k - 1]!
    renewed.push(share)
    spent.push(spent.at(-1)! + (cost * share) / (1 + rate) ** t)
  }
  return spent
}

/**
 * The first year by whose end the first has cost more than the second.
 *
 * @returns undefined where it never does in the years looked at
 */
export function crossesAt(first: readonly number[], second: readonly number[]): number | undefined {
  const year = first.findIndex((spent, t) => t > 0 && spent > second[t]! && first[t - 1]! <= second[t - 1]!)
  return year < 0 ? undefined : year
}
