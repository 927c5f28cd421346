import { InputError } from '../errors'
import type { Metres } from '../units/types'

export interface OffsetAtHeight {
  /** Above ground, m. */
  height: Metres
  /** From where the sound post would stand, m. */
  offset: Metres
}

export type Turning = 'in-the-soil' | 'at-ground-line' | 'above-ground'

/** Turns nearer to the ground line than this count as there; what a tape and a plumb line can tell, m. */
const NEAR_GROUND: Metres = 0.06

/**
 * Height about which a leaning post has turned, from two offsets to a plumb line at its old place.
 *
 * @returns m above ground, negative below it
 * @throws InputError when both are at one height or the post has not turned
 * @source two points of a straight post: where their line meets the plumb
 * @example pivotHeight({ height: 0.5, offset: 0.05 }, { height: 1.5, offset: 0.1 }) // −0.5: in the soil
 */
export function pivotHeight(low: OffsetAtHeight, high: OffsetAtHeight): Metres {
  if (Math.abs(high.height - low.height) < 0.05)
    throw new InputError('high.height', high.height, 'at least 50 mm from the other height')
  const slope = (high.offset - low.offset) / (high.height - low.height)
  if (Math.abs(slope) < 1e-6)
    throw new InputError('high.offset', high.offset, 'another offset: the post has not turned')
  return low.height - low.offset / slope
}

/** Below ground says soil, at ground says wood. @example whereItTurns(-0.5) // 'in-the-soil' */
export function whereItTurns(height: Metres): Turning {
  if (height < -NEAR_GROUND) return 'in-the-soil'
  return height <= NEAR_GROUND ? 'at-ground-line' : 'above-ground'
}
