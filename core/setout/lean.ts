import type { Metres, Radians } from '../units/types'

export interface LeanReading {
  /** Offset over the level's length, m. */
  offset: Metres
  over: Metres
  /** Degrees clockwise from along the run. */
  direction?: number
}

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
  for (const { offset, over, direction = ACROSS } of list) {
    const angle = (direction * Math.PI) / 180
    along += (offset / over) * Math.cos(angle)
    across += (offset / over) * Math.sin(angle)
  }
  return { along, across }
}

/**
 * How far the top is off plumb, whichever way, from all readings together.
 *
 * @param height of the top above ground, m
 * @example topOffset({ offset: 0.06, over: 1.2 }, 1.8) // 0.09 m
 */
export function topOffset(lean: LeanReading | LeanReading[] | undefined, height: Metres): Metres {
  const { along, across } = leanSlopes(lean)
  return Math.hypot(along, across) * height
}

/** Slope for each line of the bubble off the middle, m per m; a working value: it stands on the level. */
export const SLOPE_PER_LINE = 0.005

/**
 * A lean read by how many lines the bubble stands off the middle.
 *
 * @param lines   positive towards the reading's direction
 * @param perLine sensitivity of the vial, m per m
 * @example leanByBubble(2, 1.2) // offset 0.012 over 1.2 m
 */
export function leanByBubble(lines: number, over: Metres, direction = 0, perLine = SLOPE_PER_LINE): LeanReading {
  return { offset: lines * perLine * over, over, direction }
}

/**
 * A lean read by a digital level held against the post.
 *
 * @param angle from plumb, rad, positive towards the direction
 * @example leanByAngle(0.05, 1) // offset 0.05004 over 1 m
 */
export function leanByAngle(angle: Radians, over: Metres, direction = 0): LeanReading {
  return { offset: Math.tan(angle) * over, over, direction }
}

/** The two directions in which a post is read, degrees clockwise from along the run. */
export const ALONG = 0
export const ACROSS = 90

/** The reading in one direction; one without a direction was taken across. */
export function leanIn(lean: LeanReading | LeanReading[] | undefined, direction: number): LeanReading | undefined {
  const list = lean === undefined ? [] : Array.isArray(lean) ? lean : [lean]
  return list.find((reading) => (reading.direction ?? ACROSS) === direction)
}

/**
 * The observation with one direction's reading put in, or taken out by null.
 *
 * @returns one reading by itself, two as a list, null when none is left
 */
export function withLean(
  lean: LeanReading | LeanReading[] | undefined,
  direction: number,
  reading: LeanReading | null,
): LeanReading | LeanReading[] | null {
  const other = leanIn(lean, direction === ALONG ? ACROSS : ALONG)
  const mine = reading && { ...reading, direction }
  const list = [...(mine ? [mine] : []), ...(other ? [other] : [])]
  return list.length === 2 ? list.sort((a, b) => (a.direction ?? ACROSS) - (b.direction ?? ACROSS)) : (list[0] ?? null)
}
