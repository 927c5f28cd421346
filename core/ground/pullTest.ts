import { requireNumber } from '../errors'
import type { Metres, Newtons } from '../units/types'
import { movementsOf, type BuriedPost } from './postInGround'

/** A known pull on a post, square to its line, and how far it moved. */
export interface Pull {
  force: Newtons
  /** Of the rope above the ground, m. */
  height: Metres
  /** Height at which the movement was read, m. */
  at: Metres
  movement: Metres
}

export interface PulledPost {
  /** As it stood that day: what lies in the ground, and the state of the ground. */
  post: Omit<BuriedPost, 'height'>
  /** Bending stiffness across the line of the wood that is left, E I, N m². */
  stiffness: number
}

/** The soil's strength over what the thumb said. */
export interface MeasuredScale {
  /** Median, and the 5 and 95 % points. */
  scale: number
  low: number
  high: number
}

/** ln scale is looked for so far to both sides, in such steps; the prior is normal about 0. Working values. */
const REACH = 2
const STEP = 0.01
const STEPS = Math.round((2 * REACH) / STEP)
export const PRIOR_SCATTER = 0.5
/** Of a reading: what a rule shows, and what the model is out by. */
const READ_TO: Metres = 0.001
const MODEL_ERROR = 0.05

/** Scales that are weighed. */
export const SCALES: readonly number[] = Array.from({ length: STEPS + 1 }, (_, i) => Math.exp(i * STEP - REACH))

/**
 * Movement that each scale of the soil foretells of one pull, m; null where the pull would have pulled it over.
 *
 * @source u = y0 + θ m + F m² (3a − m)/(6 E I), for m over a: F a² (3m − a)/(6 E I); the ground's part of a soil
 *   s times as strong and as stiff under F is that of the plain soil under F/s
 */
export function foretold({ post, stiffness }: PulledPost, pull: Omit<Pull, 'movement'>): (Metres | null)[] {
  requirePull(pull)
  const { force, height, at } = pull
  const [near, far] = at <= height ? [at, height] : [height, at]
  const bending = (force * near ** 2 * (3 * far - near)) / (6 * stiffness)
  const movement = movementsOf({ ...post, height })
  return SCALES.map((scale) => {
    const ground = movement(force / scale)
    return ground && ground.groundMovement + ground.rotation * at + bending
  })
}

/** ln of the likelihood of a reading at each scale; −∞ where the post would have gone over. */
export const weighed = (foretells: readonly (Metres | null)[], movement: Metres): number[] =>
  foretells.map((expected) => {
    if (expected === null) return -Infinity
    const variance = READ_TO ** 2 + (MODEL_ERROR * expected) ** 2
    return -((movement - expected) ** 2) / (2 * variance) - Math.log(variance) / 2
  })

/**
 * What readings together say of the soil's scale.
 *
 * @param readings ln likelihood by scale, see {@link weighed}; none leaves the prior
 * @source Bayes on a grid of ln s, prior normal with σ 0.5, trapezoid; working values of measuring
 * @example scaleFrom([]) // { scale: 1, low: 0.44, high: 2.28 }
 */
export function scaleFrom(readings: readonly (readonly number[])[]): MeasuredScale {
  const logs = SCALES.map((_scale, i) => {
    const z = (i * STEP - REACH) / PRIOR_SCATTER
    return readings.reduce((sum, each) => sum + each[i]!, -(z * z) / 2)
  })
  const most = Math.max(...logs)
  // Every scale is ruled out where somebody read what no soil would show: the prior stands.
  if (most === -Infinity) return scaleFrom([])
  const density = logs.map((log) => Math.exp(log - most))
  const sums = [0]
  for (let i = 1; i < density.length; i++) sums.push(sums[i - 1]! + (density[i - 1]! + density[i]!) / 2)
  const whole = sums[sums.length - 1]!
  const point = (share: number) => {
    const wanted = share * whole
    const i = sums.findIndex((sum, at) => at > 0 && sum >= wanted)
    const within = (wanted - sums[i - 1]!) / (sums[i]! - sums[i - 1]!)
    return Math.exp((i - 1 + within) * STEP - REACH)
  }
  return { scale: point(0.5), low: point(0.05), high: point(0.95) }
}

/** Most that anybody pulls by hand, and the movement at which a pull stops. Working values. */
const MOST_PULL: Newtons = 500
export const MOST_MOVEMENT: Metres = 0.015

/**
 * How hard a post may be pulled: half of what leaves a lasting lean at that height, 500 N at most.
 *
 * @param lean of the ground at the height of the pull, N
 * @example the standard case at 1.2 m: 220 N
 */
export const safePull = (lean: Newtons): Newtons => Math.min(MOST_PULL, lean / 2)

function requirePull({ force, height, at }: Omit<Pull, 'movement'>): void {
  requireNumber('force', force, 1, 5_000, 'N')
  requireNumber('height', height, 0.05, 4, 'm')
  requireNumber('at', at, 0, 4, 'm')
}
