import { requireNumber } from '../../errors'
import type { Segment } from '../../ground/profile'
import type { Metres } from '../../units/types'

export interface KeyedPost {
  /** Across the pull, m. */
  postWidth: Metres
  /** Foot of the post below ground, m. */
  foot: Metres
  /** The timber laid across the pull near the surface. */
  key: { length: Metres; top: Metres; bottom: Metres }
  /** Whether the soil that each part bears on was left undisturbed or tamped hard. */
  soundAbove: boolean
  soundAtKey: boolean
  soundAtToe: boolean
}

/**
 * Bearing profile of a post in tamped soil with a key: the key near the surface and the soil at
 * the toe are the couple. Soil that is neither undisturbed nor tamped does not bear.
 *
 * @returns segments from the ground down, for the rigid post
 * @throws InputError when the key lies outside the buried part or nothing bears
 * @example a 1.0 m key 0.15 to 0.30 down on a 0.1 m post 0.9 deep: widths 0.1, 1.0, 0.1
 */
export function keyedSegments(post: KeyedPost): Segment[] {
  const { postWidth, foot, key, soundAbove, soundAtKey, soundAtToe } = post
  requireNumber('key.top', key.top, 0, foot, 'm')
  requireNumber('key.bottom', key.bottom, key.top + 0.02, foot, 'm')
  requireNumber('key.length', key.length, postWidth, 3, 'm')
  const parts = [
    { top: 0, bottom: key.top, width: postWidth, bears: soundAbove },
    { top: key.top, bottom: key.bottom, width: key.length, bears: soundAtKey },
    { top: key.bottom, bottom: foot, width: postWidth, bears: soundAtToe },
  ]
  return parts
    .filter(({ top, bottom, bears }) => bears && bottom > top)
    .map(({ top, bottom, width }) => ({ top, bottom, width }))
}
