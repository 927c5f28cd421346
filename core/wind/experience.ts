import { GAUSS_NODES, GAUSS_WEIGHTS } from '../numeric/quadrature'
import type { MetresPerSecond, Years } from '../units/types'
import { returnPeriodOfGust } from './returnPeriod'

/**
 * Share of the computed wind pressure that a standing fence is found to feel. One factor for the ground, where soil
 * loaded for a second is stronger and rails share the load; one for wood, steel and fixings, which know nothing of
 * that: gusts among obstacles are smaller and do not cover a whole panel at once.
 */
export interface Experience {
  ground: number
  part: number
}

/** Whose experience counts; none where people stand beside or under it today. */
export type Felt = keyof Experience | 'bare'
export const shareFelt = (experience: Experience, of: Felt): number => (of === 'bare' ? 1 : experience[of])

/** No experience counted: codes, and whatever people stand beside or under. */
export const BARE: Experience = { ground: 1, part: 1 }

/** A line of posts and what became of them; those gone by rot or breaking are not counted. */
export interface LineHistory {
  posts: number
  ageYears: Years
  /** Fallen or leaning by their footing. */
  gone: number
}

export interface ExperienceRange {
  median: number
  low: number
  high: number
}

/** What was measured of the strength that the soil of a line has in common: its median, and the scatter of its ln. */
export interface SharedSoil {
  median: number
  scatter: number
}

/** Scatter of ln factor, of ln soil strength, and the share of the latter that the whole line has in common. */
const FACTOR_SCATTER = 0.4
const SOIL_SCATTER = 0.35
const SHARED = 0.6
const SHARED_SCATTER = SOIL_SCATTER * Math.sqrt(SHARED)
const OWN_SCATTER = SOIL_SCATTER * Math.sqrt(1 - SHARED)
/** From the median to the 5 and 95 % points of a normal law, in standard deviations. */
const NINETY = 1.645
/** What the factor may be times more or less than said, where no history tells: 1.93. */
export const USUAL_RANGE = Math.exp(NINETY * FACTOR_SCATTER)
/** Scatter of the ln of something whose 5 and 95 % points are known. @example scatterOf({ low: 0.52, high: 1.93 }) // 0.4 */
export const scatterOf = ({ low, high }: { low: number; high: number }): number => Math.log(high / low) / (2 * NINETY)

/** Of ln factor about its usual value. */
const REACH = 2
const STEP = 0.01
/** Of a normal variable, in standard deviations. */
const NORMAL_REACH = 5
const PIECE = 2
/** In which the chance of having gone is read off, of ln pressure over strength. */
const CHANCE_STEP = 0.03

/**
 * What the line's own history says of the factor on wind in the ground.
 *
 * A post of strength s has gone in a year with the chance that the year's largest gust passes v √(s/f); the chance
 * of k of n in so many years is binomial, its mean taken over what the soil of the line has in common.
 *
 * @param usual factor without a history
 * @param leanGust bare gust at which a typical post of the line begins to lean, m/s
 * @param soil what a pull measured of the line's soil; its scatter is never more than without one
 * @returns median, 5 and 95 % points of the factor
 * @source Bayes on a grid of ln f, normal about ln usual with σ 0.4; ln s = 0.35 (√0.6 z + √0.4 ε): working values
 * @example experienceOfLine({ posts: 10, ageYears: 16, gone: 0 }, 0.4, 22.7, 38) // 0.257 (0.157 to 0.400)
 */
export function experienceOfLine(
  { posts, ageYears, gone }: LineHistory,
  usual: number,
  leanGust: MetresPerSecond,
  gust50: MetresPerSecond,
  soil: SharedSoil = { median: 1, scatter: SHARED_SCATTER },
): ExperienceRange {
  const shared = Math.min(SHARED_SCATTER, soil.scatter)
  const stronger = Math.log(soil.median)
  const steps = Math.round((2 * REACH) / STEP)
  const logs = Array.from({ length: steps + 1 }, (_, i) => Math.log(usual) - REACH + i * STEP)
  const chanceGone = chancesGone(logs, ageYears, leanGust, gust50)
  const weights = logs.map((log) => {
    const prior = Math.exp(-(((log - Math.log(usual)) / FACTOR_SCATTER) ** 2) / 2)
    return prior * meanOverNormal((z) => likelihood(chanceGone(log - stronger - shared * z), posts, gone))
  })
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const point = (share: number): number => {
    let sum = 0
    for (let i = 0; i < weights.length; i++) {
      const before = sum
      sum += weights[i]! / total
      if (sum >= share) return Math.exp(logs[i]! - STEP / 2 + (STEP * (share - before)) / (sum - before))
    }
    return Math.exp(logs[steps]!)
  }
  return { median: point(0.5), low: point(0.05), high: point(0.95) }
}

/**
 * Chance that a post has gone in so many years, by ln of factor over the strength that the line has in common; its own
 * strength is averaged out. Read off a fine grid: the mean is asked for thousands of times.
 */
function chancesGone(logs: readonly number[], years: Years, leanGust: MetresPerSecond, gust50: MetresPerSecond) {
  const least = logs[0]! - SHARED_SCATTER * NORMAL_REACH
  const count = Math.ceil((logs[logs.length - 1]! + SHARED_SCATTER * NORMAL_REACH - least) / CHANCE_STEP) + 1
  const chances = Array.from({ length: count + 1 }, (_, i) =>
    meanOverNormal((own) => {
      const pressure = Math.exp(least + i * CHANCE_STEP - OWN_SCATTER * own)
      const yearly = 1 / returnPeriodOfGust(leanGust / Math.sqrt(pressure), gust50)
      return -Math.expm1(years * Math.log1p(-Math.min(yearly, 1 - 1e-12)))
    }),
  )
  return (log: number): number => {
    const at = (log - least) / CHANCE_STEP
    const i = Math.min(count - 1, Math.max(0, Math.floor(at)))
    return chances[i]! + (at - i) * (chances[i + 1]! - chances[i]!)
  }
}

/** Binomial without its coefficient, which is the same for every factor. */
function likelihood(chance: number, posts: number, gone: number): number {
  const within = Math.min(1 - 1e-12, Math.max(1e-300, chance))
  return Math.exp(gone * Math.log(within) + (posts - gone) * Math.log1p(-within))
}

/** Mean of a function of a standard normal variable, by Gauss–Legendre in pieces of two standard deviations. */
function meanOverNormal(value: (z: number) => number): number {
  let sum = 0
  for (let piece = -NORMAL_REACH; piece < NORMAL_REACH; piece += PIECE) {
    for (let i = 0; i < GAUSS_NODES.length; i++) {
      const z = piece + PIECE * GAUSS_NODES[i]!
      sum += PIECE * GAUSS_WEIGHTS[i]! * Math.exp(-(z * z) / 2) * value(z)
    }
  }
  return sum / Math.sqrt(2 * Math.PI)
}
