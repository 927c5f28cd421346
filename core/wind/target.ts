import { InputError } from '../errors'
import { median } from '../numeric/statistics'
import type { MetresPerSecond, Years } from '../units/types'
import { gustOfReturnPeriod, returnPeriodOfGust } from './returnPeriod'

/** Ways to say what a repair has to hold. */
export const TARGETS = ['years', 'life', 'neighbours'] as const
export type TargetBy = (typeof TARGETS)[number]

export interface TargetGust {
  gust: MetresPerSecond
  returnYears: Years
}

/** Chance that is taken of its being passed within the life that is left; a working value. */
export const USUAL_CHANCE = 1 / 5
/** Over what the fence's sound posts stand, and of how many that may be said. */
const OVER_NEIGHBOURS = 1.1
const LEAST_NEIGHBOURS = 2

/**
 * Return period of the gust that is passed with a chance within a life.
 *
 * @param chance 0 to 1
 * @source T = 1/(1 − (1 − p)^(1/n))
 * @example lifeReturnYears(8) // 36.4 years at one in five
 */
export const lifeReturnYears = (life: Years, chance = USUAL_CHANCE): Years =>
  1 / -Math.expm1(Math.log1p(-chance) / life)

/**
 * Target by what the sound posts of the line stand: a tenth over the middle one of them.
 *
 * @throws InputError where fewer than two are known
 * @example neighboursTarget([30, 34, 40], 38) // 37.4 m/s
 */
export function neighboursTarget(standing: readonly MetresPerSecond[], gust50: MetresPerSecond): TargetGust {
  if (standing.length < LEAST_NEIGHBOURS)
    throw new InputError('standing', standing, `the gusts of ${LEAST_NEIGHBOURS} sound posts at least`)
  const gust = median(standing) * OVER_NEIGHBOURS
  return { gust, returnYears: returnPeriodOfGust(gust, gust50) }
}

export const yearsTarget = (returnYears: Years, gust50: MetresPerSecond): TargetGust => ({
  gust: gustOfReturnPeriod(returnYears, gust50),
  returnYears,
})
