import type { GateHardware } from './gate'
import { InputError } from '../errors'
import type { Metres } from '../units/types'

export interface GateLeaf {
  /** Under the leaf when it is shut, so that it clears the ground all through its swing, m. */
  clearance: Metres
  /** Heights over the leaf's bottom, m. */
  hinges: [lower: Metres, upper: Metres]
  diagonal: Metres
  /** Behind the lower hinge, to lift the latch side by its sag, m. */
  packing?: Metres
}

/** Free under a leaf at the highest place of its swing, m. */
export const FREE_UNDER_LEAF: Metres = 0.05
/** Hinges stand this share of the height from either end. */
const HINGE_SHARE = 1 / 6
/** A hinge pin at the top has this much play, so that the leaf's weight rests on the lower one, m. */
export const UPPER_HINGE_PLAY: Metres = 0.003

/**
 * A leaf in its swing: what it clears, where it hangs, how it is braced, and what brings it up again.
 *
 * @param rise of the ground across the swing, per metre of leaf; falling ground asks for nothing more
 * @param sag  of the latch side after years, and the spacing of the hinges, m
 * @source clearance = rise × width + 50 mm; packing = sag × hinge spacing ÷ width
 * @example gateLeaf({ width: 1.1, height: 1.7, rise: 0.04 }) // clearance 0.094, hinges at 0.283 and 1.417
 */
export function gateLeaf(leaf: {
  width: Metres
  height: Metres
  rise: number
  sag?: Metres | undefined
  hingeSpacing?: Metres | undefined
}): GateLeaf {
  const { width, height, rise, sag, hingeSpacing } = leaf
  if (sag !== undefined && hingeSpacing === undefined)
    throw new InputError('hingeSpacing', hingeSpacing, 'given with the sag: the packing goes by it')
  return {
    clearance: Math.max(0, rise) * width + FREE_UNDER_LEAF,
    hinges: [height * HINGE_SHARE, height * (1 - HINGE_SHARE)],
    diagonal: Math.hypot(width, height),
    ...(sag === undefined ? {} : { packing: (sag * hingeSpacing!) / width }),
  }
}

/** What an opening leaves for its leaf, least and most, m. */
export interface LeafBand {
  least: Metres
  most: Metres
}

/** A latch still catches over so much more gap than its own, m; a working value. */
const LATCH_REACH: Metres = 0.01

/**
 * Leaf to be ordered for an opening that is there, measured at its top and at its bottom.
 *
 * The leaf has to pass the narrowest place with the gaps that its hardware asks for, and its latch has to reach across
 * the widest.
 *
 * @param openings clear between the posts, as measured at several heights, m
 * @returns width of each leaf; `least` over `most` where posts are too far out of plumb for any
 * @throws InputError when nothing would be left of the leaf
 * @example leafFor([1.14, 1.135], { leaves: 1, hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01 })
 *   // at most 1.10, at least 1.095
 */
export function leafFor(
  openings: readonly Metres[],
  hardware: Pick<GateHardware, 'hingeGap' | 'latchGap' | 'meetingGap'> & { leaves: 1 | 2 },
): LeafBand {
  const { leaves, hingeGap, latchGap, meetingGap } = hardware
  const gaps = leaves * hingeGap + (leaves === 1 ? latchGap : meetingGap)
  const [narrow, wide] = [Math.min(...openings), Math.max(...openings)]
  const most = (narrow - gaps) / leaves
  if (!(most > 0)) throw new InputError('opening', narrow, `over ${gaps} m: the gaps alone take that`)
  return { least: (wide - gaps - LATCH_REACH) / leaves, most }
}

/** Opening that a leaf of known size still hangs in, least and most, m. */
export function openingBand(opening: Metres): LeafBand {
  return { least: opening - TIGHT, most: opening + LATCH_REACH }
}
/** Hinges are let in or packed by so much, m; a working value. */
const TIGHT: Metres = 0.003

/** A drop bolt goes so deep into its hole, and the hole goes on below it so that water and grit leave, m. */
export const DROP_BOLT = { depth: 0.1, drain: 0.15 } as const
