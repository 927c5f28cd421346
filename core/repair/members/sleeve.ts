import { requireNumber } from '../../errors'
import type { Metres, Radians } from '../../units/types'

export interface SleevePlay {
  /** Through which the post can rock in its sleeve, each way, rad. */
  rotation: Radians
  /** Of the top of the post, each way, m. */
  topOffset: Metres
}

/**
 * How far a lift-out post rocks in its ground sleeve.
 *
 * @param clearance on each side, m, ≥ 0
 * @param insertion of the post in the sleeve, m, > 0
 * @param height    of the top of the post above the sleeve's rim, m
 * @source two points of contact at opposite ends of the insertion: θ = 2c/L
 * @example sleevePlay(0.001, 0.5, 1) // 0.004 rad, 4 mm at the top
 */
export function sleevePlay(clearance: Metres, insertion: Metres, height: Metres): SleevePlay {
  requireNumber('clearance', clearance, 0, 0.05, 'm')
  requireNumber('insertion', insertion, 0.05, 3, 'm')
  requireNumber('height', height, 0, 10, 'm')
  const rotation = (2 * clearance) / insertion
  return { rotation, topOffset: rotation * height }
}

/** A rim under the ground lets soil and water in, m. */
const RIM_TOO_HIGH: Metres = 0.025

/**
 * What water does in a sleeve, in words; none when it drains.
 *
 * @param rim        height of the mouth over the ground, m
 * @param drains     the bottom is open to stone
 * @param frostDepth m; 0 where the ground does not freeze
 */
export function sleeveWarnings(rim: Metres, drains: boolean, frostDepth: Metres): string[] {
  const warnings: string[] = []
  if (!drains) {
    const harm = frostDepth > 0 ? 'it rots the post, freezes and bursts the sleeve' : 'it rots the post'
    warnings.push(`The sleeve holds water: ${harm}. Open the bottom to the stone.`)
  }
  if (rim < 0) warnings.push('The rim lies under the ground: soil and water run in.')
  if (rim > RIM_TOO_HIGH) warnings.push('The rim stands proud: it trips people and catches the mower.')
  return warnings
}
