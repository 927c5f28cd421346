import type { Metres } from '../units/types'

/** Concrete at the corners of what is cast in, m: the least that keeps it. */
export const LEAST_COVER: Metres = 0.05

/**
 * Least concrete round a square post, m.
 *
 * @example coverOf(0.3, 0.1, 0.1) // 0.079 m at the post's corners
 */
export function coverOf(diameter: Metres, along: Metres, across: Metres): Metres {
  return (diameter - Math.hypot(along, across)) / 2
}
