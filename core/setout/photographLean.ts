import { InputError } from '../errors'
import type { Radians } from '../units/types'

/** A line drawn on a photograph, pixels, y downwards; either end first. */
export type DrawnLine = readonly [readonly [x: number, y: number], readonly [x: number, y: number]]

export interface PhotographLean {
  /** Of the post off plumb, positive to the right. */
  angle: Radians
  /** Metres for each metre. */
  lean: number
}

/** Of one reading by photograph: 5 mm in every metre; a working value. */
export const PHOTOGRAPH_ERROR: Radians = (0.3 * Math.PI) / 180
/** Lines shorter than this share of the picture's height say nothing. */
const SHORTEST = 1 / 4

/**
 * Lean of a post from a photograph taken level with it: its edge against something that is plumb in the same picture.
 *
 * @param height of the picture, pixels; no least length is asked where it is left out
 * @throws InputError for a line that is too short or lies flat
 * @source plane geometry; both lines from their lower to their upper end
 * @example photographLean({ post: [[100, 500], [120, 100]], plumb: [[300, 500], [300, 100]] }) // 0.05 m per m
 */
export function photographLean({
  post,
  plumb,
  height,
}: {
  post: DrawnLine
  plumb: DrawnLine
  height?: number
}): PhotographLean {
  const angle = tilt('post', post, height) - tilt('plumb', plumb, height)
  return { angle, lean: Math.tan(angle) }
}

function tilt(key: string, [a, b]: DrawnLine, height = 0): Radians {
  const [low, high] = a[1] >= b[1] ? [a, b] : [b, a]
  const [right, up] = [high[0] - low[0], low[1] - high[1]]
  if (up <= 0) throw new InputError(key, [a, b], 'a line from its lower to its upper end')
  const least = SHORTEST * height
  if (Math.hypot(right, up) < least)
    throw new InputError(key, [a, b], `at least a quarter of the picture high, ${Math.ceil(least)} pixels`)
  return Math.atan2(right, up)
}
