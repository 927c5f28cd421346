import type { Metres } from '../units/types'

/** Concrete at the corners of what is cast in, m: the least that keeps it. */
export const LEAST_COVER: Metres = 0.05

type Shape = 'round' | 'square'

/** What a hole must be wide enough for: the diagonal in a round one, the wider face in a square one. */
const spanOf = (along: Metres, across: Metres, shape: Shape): Metres =>
  shape === 'round' ? Math.hypot(along, across) : Math.max(along, across)

/**
 * Least concrete round a square post, m.
 *
 * @param width diameter of the hole, or its side
 * @example coverOf(0.3, 0.1, 0.1) // 0.079 m at the post's corners
 * @example coverOf(0.3, 0.1, 0.1, 'square') // 0.1 m at its faces
 */
export const coverOf = (width: Metres, along: Metres, across: Metres, shape: Shape = 'round'): Metres =>
  (width - spanOf(along, across, shape)) / 2

/** Width that leaves the least cover. @example widthFor(0.1, 0.1, 'square') // 0.2 */
export const widthFor = (along: Metres, across: Metres, shape: Shape): Metres =>
  spanOf(along, across, shape) + 2 * LEAST_COVER
