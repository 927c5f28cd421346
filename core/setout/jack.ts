import { InputError, requireNumber } from '../errors'
import type { Metres, Newtons, Pascals, Radians, SquareMetres } from '../units/types'

export interface Jacking {
  /** What rests on the beam here, N. */
  load: Newtons
  /** How far the beam has come down, m. */
  settled: Metres
  /** Bed of mortar under the new post, and shim over it, m. */
  bedding: Metres
  shim: Metres
  /** Of the ground under the spreader, Pa. */
  bearing: Pascals
  /** Of the hole under the post, m. */
  digDepth: Metres
  /** Of the prop out of plumb, rad. */
  angle: Radians
  /** Of the jack, m. */
  stroke?: Metres | undefined
}

export interface Jacked {
  overLift: Metres
  /** In all, from where the beam lies now, m. */
  lift: Metres
  /** Under the props' feet, m², and its side where it is square, m. */
  area: SquareMetres
  side: Metres
  /** Least distance of the props from the dig, m. */
  propsAway: Metres
  /** The jack's stroke is long enough; absent where it is not known. */
  strokeDoes?: boolean
}

/** Over the bedding, so that the post goes in and the beam comes down on it, m. */
export const USUAL_SHIM: Metres = 0.006
/** A prop that stands further out of plumb slips, rad. */
const MOST_ANGLE: Radians = (5 * Math.PI) / 180

/**
 * A beam lifted off its post.
 *
 * @throws InputError for a prop over 5° out of plumb, and for ground that bears nothing
 * @source over-lift = bedding + shim; props outside the dig by at least its depth; area = load ÷ bearing
 * @example jacking({ load: 6000, settled: 0.02, bedding: 0.01, shim: 0.006, bearing: 75000, digDepth: 0.6, angle: 0 })
 *   // over-lift 0.016, lift 0.036, spreader 0.08 m²: 0.283 square; props 0.6 away
 */
export function jacking({ load, settled, bedding, shim, bearing, digDepth, angle, stroke }: Jacking): Jacked {
  if (Math.abs(angle) > MOST_ANGLE + 1e-9)
    throw new InputError('angle', angle, 'at most 0.0873 rad, 5°: set the prop upright before it takes load')
  requireNumber('bearing', bearing, 1, 1e9, 'Pa')
  const overLift = bedding + shim
  const lift = settled + overLift
  const area = load / bearing
  return {
    overLift,
    lift,
    area,
    side: Math.sqrt(area),
    propsAway: digDepth,
    ...(stroke === undefined ? {} : { strokeDoes: stroke >= lift }),
  }
}
