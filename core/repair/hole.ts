import type { RecommendedDepth } from '../ground/depthRules'
import type { Segment } from '../ground/profile'
import { roundUpTo, tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'
import type { PostContext } from './context'
import { box, heightOf, type Solid } from './solids'

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
  /** No hole that can be dug holds the target gust: nobody may call this depth recommended. */
  noHoleHolds?: true
}

/** Three times the post, as the commonest school has it. */
const POSTS_WIDE = 3
const LEAST_DIAMETER: Metres = 0.25
/** Widest that a job file takes, m. */
const WIDEST: Metres = 2
const DIAMETER_STEP: Metres = 0.05
/** Concrete all round, m. */
export const LEAST_COVER: Metres = 0.05

/**
 * The hole of a method: what the technician set, and the recommended figure for the rest.
 *
 * @param options `leastEmbedment` that the method itself needs, m, with the rule's name; `leastDiameter`
 *   of what the hole must take, m
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
  const diameter = chosen.diameter ?? Math.min(WIDEST, roundUpTo(wide, DIAMETER_STEP))
  const asked: RecommendedDepth = soil
    ? context.embedment(soil, diameter)
    : { depth: LEAST_DEPTH, rule: 'local-minimum' }
  const least = options.leastEmbedment
  const wanted = least && least.depth > asked.depth ? { ...asked, ...least } : asked
  const depth = chosen.depth ?? tidy(Math.max(wanted.depth, fillTop + LEAST_FILL) + stoneBed)
  return {
    shape: 'round',
    diameter,
    depth,
    stoneBed,
    fillTop,
    footingBottom: tidy(depth - stoneBed),
    rule: chosen.depth === undefined ? wanted.rule : 'chosen',
    ...(chosen.depth === undefined && wanted.noHoleHolds ? { noHoleHolds: true } : {}),
  }
}

const LEAST_DEPTH: Metres = 0.6
/** Concrete under the topping, m. */
const LEAST_FILL: Metres = 0.15

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

/**
 * The hole as it is drawn, with its measures.
 *
 * @param centre of the hole from the middle of the post, along the line, m
 */
export function holeSolids({ diameter, depth, footingBottom, fillTop, stoneBed }: DesignedHole, centre = 0): Solid[] {
  const [left, right] = [centre - diameter / 2, centre + diameter / 2]
  const top = Math.max(0, fillTop)
  const topping: Solid = { key: 'topping', matter: 'topping', outline: box(left, right, -top, 0), edge: 'none' }
  const stone: Solid = {
    key: 'stone',
    matter: 'stone',
    outline: box(left, right, -depth, -footingBottom),
    edge: 'solid',
  }
  const below = -depth - ROOM_BELOW
  const fill: Solid = {
    key: 'fill',
    matter: 'new-concrete',
    outline: box(left, right, -footingBottom, -fillTop),
    edge: 'solid',
    link: 'footing',
    measures: [
      heightOf('depth', 'hole deep', right, -depth, ROOM_BESIDE),
      { key: 'diameter', says: 'hole wide', from: [left, below], to: [right, below], side: 'below', length: diameter },
    ],
  }
  return [...(top > 0 ? [topping] : []), ...(stoneBed > 0 ? [stone] : []), fill]
}

const ROOM_BELOW: Metres = 0.1
const ROOM_BESIDE: Metres = 0.14
