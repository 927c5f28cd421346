import type { RecommendedDepth } from '../ground/depthRules'
import type { Segment } from '../ground/profile'
import type { Metres } from '../units/types'
import type { PostContext } from './context'

/** A round hole as designed, all sizes in metres. */
export interface DesignedHole {
  shape: 'round'
  diameter: Metres
  /** From finished ground to the bottom of the stone bed. */
  depth: Metres
  stoneBed: Metres
  fillTop: Metres
  /** Bottom of the concrete: what the depth rules speak of. */
  footingBottom: Metres
  /** Rule that asked for the depth; 'chosen' when the technician set it. */
  rule: string
}

/** Three times the post, as the commonest school has it. */
const POSTS_WIDE = 3
const LEAST_DIAMETER = 0.25
/** Widest that a job file takes, m. */
const WIDEST = 2
const DIAMETER_STEP = 0.05
/** Concrete all round, m. */
export const LEAST_COVER = 0.05

/**
 * The hole of a method: what the technician set, and the recommended figure for the rest.
 *
 * @param least embedment that the method itself needs, m, with the rule's name
 * @param widest inset that the hole must take, m
 */
export function designHole(
  context: PostContext,
  options: { leastEmbedment?: RecommendedDepth; leastDiameter?: Metres } = {},
): DesignedHole {
  const { post, tables, soil, along } = context
  const chosen = post.repair?.hole ?? {}
  const stoneBed = chosen.stoneBed ?? tables.defaults.stoneBed
  const fillTop = chosen.fillTop ?? tables.defaults.fillTop
  const wide = Math.max(LEAST_DIAMETER, POSTS_WIDE * along, options.leastDiameter ?? 0)
  const diameter = chosen.diameter ?? Math.min(WIDEST, roundUp(wide))
  const asked = soil ? context.embedment(soil, diameter) : { depth: LEAST_DEPTH, rule: 'local-minimum' }
  const least = options.leastEmbedment
  const wanted = least && least.depth > asked.depth ? least : asked
  const depth = chosen.depth ?? round(Math.max(wanted.depth, fillTop + LEAST_FILL) + stoneBed)
  return {
    shape: 'round',
    diameter,
    depth,
    stoneBed,
    fillTop,
    footingBottom: round(depth - stoneBed),
    rule: chosen.depth === undefined ? wanted.rule : 'chosen',
  }
}

const LEAST_DEPTH = 0.6
/** Concrete under the topping, m. */
const LEAST_FILL = 0.15

/** Bearing profile of a post cast into the hole: its own width above the fill, the hole's below. */
export function holeSegments(hole: DesignedHole, along: Metres): Segment[] {
  const top = Math.max(0, hole.fillTop)
  const concrete = { top, bottom: hole.footingBottom, width: hole.diameter }
  return top > 0 ? [{ top: 0, bottom: top, width: along }, concrete] : [concrete]
}

/**
 * Least concrete round a square post, m.
 *
 * @example coverOf(0.3, 0.1, 0.1) // 0.079 m at the post's corners
 */
export function coverOf(diameter: Metres, along: Metres, across: Metres): Metres {
  return (diameter - Math.hypot(along, across)) / 2
}

const roundUp = (diameter: Metres) => round(Math.ceil(diameter / DIAMETER_STEP - 1e-6) * DIAMETER_STEP)
const round = (length: Metres) => Math.round(length * 1e4) / 1e4
