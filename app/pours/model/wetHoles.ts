import type { DesignedHole } from '~~/core/repair/holeShape'
import { footWidth, widthAt } from '~~/core/repair/holeShape'
import type { Metres } from '~~/core/units/types'

/** A hole to be drawn with what is wet in it. */
export interface WetHole {
  id: string
  hole: Pick<DesignedHole, 'shape' | 'diameter' | 'depth' | 'stoneBed' | 'fillTop'> & Partial<DesignedHole>
  postWidth: Metres
  /** Of its working time, from 0 to 1. */
  passed: number
}

export interface DrawnHole {
  id: string
  /** Of its column, px. */
  left: number
  width: number
  middle: number
  outline: string
  stone: string
  /** What has stiffened, from the bottom up, and what still moves, on top of it. */
  stiff: string
  wet: string
  post: { x: number; y: number; width: number; height: number }
  /** Of the figure in it, px. */
  figure: number
  figureY: number
}

export interface WetHolesModel {
  groundY: number
  holes: DrawnHole[]
}

/** As many as can be told apart. */
export const MOST_DRAWN = 6
/** The one that is due first has so much more room. */
const FIRST = 1.7
const MARGIN = 14
/** Under the holes, for what is said of them. */
const UNDER = 58
const LARGEST: Metres = 1.6

/**
 * Wet posts side by side on one ground line, all in one scale, what is due first on the left and with the largest figure.
 *
 * @param width,height of the drawing, px
 */
export function wetHoles(all: readonly WetHole[], width: number, height: number): WetHolesModel {
  const shown = all.slice(0, MOST_DRAWN)
  const groundY = Math.round(height * 0.24)
  if (shown.length === 0 || width <= 0) return { groundY, holes: [] }
  const shares = shown.length - 1 + FIRST
  const widthOf = (i: number) => (width / shares) * (i === 0 ? FIRST : 1)
  const below = height - groundY - UNDER
  const scale = Math.min(
    below / LARGEST / 0.5,
    ...shown.map(({ hole }, i) =>
      Math.min(
        below / hole.depth,
        (widthOf(i) - 2 * MARGIN) / Math.max(hole.diameter, footWidth(hole as DesignedHole)),
      ),
    ),
  )
  let left = 0
  const holes = shown.map((each, i): DrawnHole => {
    const room = widthOf(i)
    const drawn = drawHole(each, { left, room, groundY, scale, isFirst: i === 0 })
    left += room
    return drawn
  })
  return { groundY, holes }
}

interface Place {
  left: number
  room: number
  groundY: number
  scale: number
  isFirst: boolean
}

function drawHole({ id, hole, postWidth, passed }: WetHole, { left, room, groundY, scale, isFirst }: Place): DrawnHole {
  const middle = left + room / 2
  const top = Math.max(0, hole.fillTop)
  const foot = hole.depth - hole.stoneBed
  // The wet part shrinks towards its face as its time runs.
  const between = top + (foot - top) * (1 - passed)
  const slice = (from: Metres, to: Metres) => outlineOf(hole as DesignedHole, from, to, middle, groundY, scale)
  const deep = (foot - top) * scale
  return {
    id,
    left,
    width: room,
    middle,
    outline: slice(0, hole.depth),
    stone: hole.stoneBed > 0 ? slice(foot, hole.depth) : '',
    stiff: between < foot ? slice(between, foot) : '',
    wet: between > top ? slice(top, between) : '',
    post: { x: middle - (postWidth * scale) / 2, y: 0, width: postWidth * scale, height: groundY + foot * scale },
    figure: Math.round(Math.max(34, Math.min(isFirst ? 150 : 72, deep * 0.6, room * (isFirst ? 0.5 : 0.42)))),
    figureY: groundY + (top + foot) * 0.5 * scale,
  }
}

const STEPS = 8
/** Closed path of a hole between two depths. */
function outlineOf(
  hole: DesignedHole,
  from: Metres,
  to: Metres,
  middle: number,
  groundY: number,
  scale: number,
): string {
  const depths = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS)
  const at = (depth: Metres, side: number) =>
    `${(middle + (side * widthAt(hole, depth) * scale) / 2).toFixed(1)} ${(groundY + depth * scale).toFixed(1)}`
  const right = depths.map((depth) => at(depth, 1))
  const back = depths.toReversed().map((depth) => at(depth, -1))
  return `M${[...right, ...back].join(' L')} Z`
}
