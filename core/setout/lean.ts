import type { LeanReading } from '../job/types'
import type { Metres, Radians } from '../units/types'

export interface Lean {
  angle: Radians
  /** Of the top from plumb, m. */
  topOffset: Metres
  /** From the first reading's direction towards the second's, rad. */
  direction: Radians
}

/**
 * Lean of a post from offsets over a level's length, in one or two directions at right angles.
 *
 * @param height of the post's top above ground, m
 * @source angle = atan(offset / length); two readings add as a vector
 * @example leanOf({ offset: 0.03, over: 0.6 }, 1.8) // top 0.09 m out, 2.9°
 */
export function leanOf(first: LeanReading, height: Metres, second?: LeanReading): Lean {
  const slope = first.offset / first.over
  const other = second ? second.offset / second.over : 0
  const size = Math.hypot(slope, other)
  return { angle: Math.atan(size), topOffset: height * size, direction: Math.atan2(other, slope) }
}

/**
 * Lean along and across the line, from readings with a compass of the line's own.
 *
 * @param readings as recorded; `direction` in degrees clockwise from along the run, across when missing
 * @returns slopes, m per m: `along` towards the end of the line, `across` towards its right
 */
export function leanSlopes(readings: LeanReading | LeanReading[] | undefined): { along: number; across: number } {
  const list = readings === undefined ? [] : Array.isArray(readings) ? readings : [readings]
  let along = 0
  let across = 0
  for (const { offset, over, direction = 90 } of list) {
    const angle = (direction * Math.PI) / 180
    along += (offset / over) * Math.cos(angle)
    across += (offset / over) * Math.sin(angle)
  }
  return { along, across }
}
