import { requireNumber } from '../../errors'
import type { Segment } from '../../ground/profile'
import { box, type Solid } from '../solids'
import type { Metres } from '../../units/types'

/** The board that is laid across the pull, m; working values. */
export const KEY = { length: 1, top: 0.15, bottom: 0.3 }

/** A bearing profile with the key across it: where the board lies it bears with its length. */
export function withKey(segments: readonly Segment[], { length, top, bottom }: KeyedPost['key'] = KEY): Segment[] {
  return segments.flatMap((segment) => {
    const from = Math.max(segment.top, top)
    const to = Math.min(segment.bottom, bottom)
    if (to <= from || segment.width >= length) return [segment]
    return [
      { ...segment, bottom: from },
      { top: from, bottom: to, width: length },
      { ...segment, top: to },
    ].filter((each) => each.bottom > each.top)
  })
}

/** Seen along the pull: the board lies across it, behind the post. */
export const keySolid = (): Solid => ({
  key: 'key',
  matter: 'new-wood',
  outline: box(-KEY.length / 2, KEY.length / 2, -KEY.bottom, -KEY.top),
  edge: 'solid',
  link: 'footing',
  note: 'key on both faces',
})

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
