import type { RecommendedDepth } from '../ground/depthRules'
import type { Segment } from '../ground/profile'
import { widthFor } from '../concrete/cover'
import type { Hole } from '../document/job'
import { roundUpTo, tidy } from '../numeric/rounding'
import { WORKING_STEP } from '../units/step'
import type { Metres } from '../units/types'
import type { PostContext } from './context'
import { bearingSegments, footWidth, holeOutline, USUAL_BELL, type DesignedHole } from './holeShape'
import { keySolid, withKey } from './members/timberKey'
import { heightOf, type Matter, type Solid } from './solids'

/** Width of the smallest tool that is not under `width`, m. @example toolWidth(context, 0.241) // 0.25 */
export function toolWidth({ tables }: Pick<PostContext, 'tables'>, width: Metres): Metres {
  const { toolWidths } = tables.digging
  return toolWidths.find((each) => each >= width - 1e-9) ?? toolWidths[toolWidths.length - 1]!
}

/** What was set of the hole of a method. */
export function chosenHole({ repair }: PostContext['post'], method: string): Hole {
  return repair?.holes?.[method] ?? (repair?.method === method ? repair.hole : undefined) ?? {}
}

export interface HoleWish {
  /** What stands in it, m: its bearing above the fill, and what the cover is kept from. */
  stands?: { along: Metres; across: Metres }
  /** Given by the method, where no rule of depth is asked. */
  depth?: RecommendedDepth
  /** Not deeper than this, m. */
  deepest?: Metres
  width?: Metres
  /** Share of its width that its filling bears with; all of it when absent. */
  bearing?: number
  /** Tamped stone under it where nobody set another, m. */
  stoneBed?: Metres
  /** Top of the filling where nobody set another, below ground, m. */
  fillTop?: Metres
}

/**
 * The hole of a method: what the technician set, and the recommended figure for the rest. The width is the smallest
 * that leaves the cover at the corners; the depth is asked of the profile that will really stand there.
 */
export function designHole(context: PostContext, method: string, wish: HoleWish = {}): DesignedHole {
  const { post, tables, soil } = context
  const chosen = chosenHole(post, method)
  const { along, across } = wish.stands ?? context
  const { bottomDiameter, bellDiameter, bellHeight, crown, shift, stones, key } = chosen
  const bed = wish.stoneBed ?? tables.defaults.stoneBed
  const stoneBed = chosen.stoneBed ?? roundUpTo(bed, WORKING_STEP[tables.units])
  const fillTop = chosen.fillTop ?? wish.fillTop ?? tables.defaults.fillTop
  const shape = chosen.shape ?? 'round'
  const least = widthFor(along, across, shape === 'square' ? 'square' : 'round')
  const diameter = chosen.diameter ?? wish.width ?? toolWidth(context, least)
  // A foot that is narrower than the top bears less: the depth is asked of the lesser width.
  const bears = shape === 'tapered' ? Math.min(diameter, bottomDiameter ?? diameter) : diameter
  const above = fillTop > 0 ? { bottom: fillTop, width: along } : undefined
  const asked: RecommendedDepth =
    wish.depth ??
    (soil
      ? context.embedment(soil, bears * (wish.bearing ?? 1), above, wish.deepest)
      : { depth: LEAST_DEPTH, rule: 'local-minimum' })
  const shallowest = Math.max(Math.max(0, fillTop) + LEAST_FILL, Math.min(wish.deepest ?? Infinity, asked.depth))
  const depth = chosen.depth ?? tidy(shallowest + stoneBed)
  return {
    shape,
    diameter,
    depth,
    stoneBed,
    fillTop,
    footingBottom: tidy(depth - stoneBed),
    rule: chosen.depth === undefined ? asked.rule : 'chosen',
    ...(shape === 'tapered' ? { bottomDiameter: bottomDiameter ?? diameter } : {}),
    ...(shape === 'belled'
      ? {
          bellDiameter: bellDiameter ?? diameter + USUAL_FLARE,
          bellHeight: Math.min(depth / 2, bellHeight ?? USUAL_BELL),
        }
      : {}),
    ...(crown ? { crown } : {}),
    ...(shift ? { shift } : {}),
    ...(stones ? { stones } : {}),
    ...(key ? { key } : {}),
    ...(chosen.depth === undefined && asked.noHoleHolds ? { noHoleHolds: true } : {}),
  }
}

/** A bell is so much wider than its shaft where nobody said, m; a working value. */
const USUAL_FLARE: Metres = 0.15
const LEAST_DEPTH: Metres = 0.6
/** Concrete under the topping, m. */
const LEAST_FILL: Metres = 0.15

/** Bearing profile of a post cast into the hole: its own width above the fill, the hole's below. */
export function holeSegments(hole: DesignedHole, along: Metres, bearing = 1): Segment[] {
  const top = Math.max(0, hole.fillTop)
  const filled = bearingSegments(hole, top, bearing)
  const all = top > 0 ? [{ top: 0, bottom: top, width: along }, ...filled] : filled
  return hole.key ? withKey(all) : all
}

/** The hole as it is drawn, with its measures, and what it is filled with. */
export function holeSolids(hole: DesignedHole, matter: Matter = 'new-concrete'): Solid[] {
  const { diameter, depth, footingBottom, fillTop, stoneBed, shift = 0 } = hole
  const [left, right] = [-diameter / 2 - shift, diameter / 2 - shift]
  const widest = Math.max(diameter, footWidth(hole)) / 2 - shift
  const top = Math.max(0, fillTop)
  const topping: Solid = { key: 'topping', matter: 'topping', outline: holeOutline(hole, -top, 0), edge: 'none' }
  const stone: Solid = {
    key: 'stone',
    matter: 'stone',
    outline: holeOutline(hole, -depth, -footingBottom),
    edge: 'solid',
  }
  const below = -depth - ROOM_BELOW
  const fill: Solid = {
    key: 'fill',
    matter,
    outline: holeOutline(hole, -footingBottom, -fillTop),
    edge: 'solid',
    link: 'footing',
    measures: [
      heightOf('depth', 'hole deep', widest, -depth, ROOM_BESIDE),
      { key: 'diameter', says: 'hole wide', from: [left, below], to: [right, below], side: 'below', length: diameter },
    ],
  }
  return [...(top > 0 ? [topping] : []), ...(stoneBed > 0 ? [stone] : []), fill, ...(hole.key ? [keySolid()] : [])]
}

const ROOM_BELOW: Metres = 0.1
const ROOM_BESIDE: Metres = 0.14
