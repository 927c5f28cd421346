import type { Metres } from '../units/types'

export interface Paving {
  /** Size of a unit along and across, and the joint between units, m. */
  along: Metres
  across: Metres
  joint: Metres
  /** Of a unit, m. */
  thickness: Metres
}

export interface StandingIn {
  shape: 'square' | 'round'
  /** Side or diameter, with what is left free round it, m. */
  size: Metres
  /** Its middle from the corner of one unit, m. */
  x: Metres
  y: Metres
}

export interface CutUnit {
  column: number
  row: number
  /** What is taken out of it, from its own corner, m. A round post takes the arc that lies in it. */
  cut: { x: [from: Metres, to: Metres]; y: [from: Metres, to: Metres] }
  shape: 'rectangle' | 'arc'
  /** Nothing worth laying is left. */
  goes: boolean
  /** The saw does not come through from one face, or has to stop short of a corner. */
  bothFaces: boolean
}

/** Less than this left along a side breaks off, m. */
const LEAST_LEFT: Metres = 0.02
const DUST = 1e-9

/**
 * Paving units that are lifted where a post comes up through them, and what is cut out of each.
 *
 * @param bladeDepth how deep the saw cuts from one face, m
 * @returns units by row and column, counted from the one whose corner x and y are measured from
 * @source a cut that ends inside a unit, or is deeper than the blade reaches, is made from both faces
 * @example pavingCuts({ along: 0.4, across: 0.4, joint: 0.005, thickness: 0.04 },
 *   { shape: 'square', size: 0.12, x: 0.2, y: 0.4 }, 0.05) // two units, 0.12 × 0.06 and 0.12 × 0.055
 */
export function pavingCuts(paving: Paving, standing: StandingIn, bladeDepth: Metres): CutUnit[] {
  const { along, across, joint, thickness } = paving
  const half = standing.size / 2
  const columns = touched(standing.x - half, standing.x + half, along, joint)
  const rows = touched(standing.y - half, standing.y + half, across, joint)
  return rows.flatMap((row) =>
    columns.flatMap((column): CutUnit[] => {
      const corner = [column * (along + joint), row * (across + joint)] as const
      if (standing.shape === 'round' && !reaches(standing, corner, along, across)) return []
      const x = within(standing.x - half - corner[0], standing.x + half - corner[0], along)
      const y = within(standing.y - half - corner[1], standing.y + half - corner[1], across)
      const goes = isWhole(x, along) && isWhole(y, across)
      return [
        {
          column,
          row,
          cut: { x, y },
          shape: standing.shape === 'round' ? 'arc' : 'rectangle',
          goes,
          bothFaces:
            !goes && (thickness > bladeDepth + DUST || standing.shape === 'round' || hasCorner(x, along, y, across)),
        },
      ]
    }),
  )
}

/** Units that lie in between, by their number. */
function touched(from: Metres, to: Metres, size: Metres, joint: Metres): number[] {
  const step = size + joint
  const first = Math.floor((from + joint + DUST) / step)
  const last = Math.ceil((to - DUST) / step) - 1
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i).filter(
    (each) => each * step + size > from + DUST && each * step < to - DUST,
  )
}

const within = (from: Metres, to: Metres, size: Metres): [Metres, Metres] => [Math.max(0, from), Math.min(size, to)]
const isWhole = ([from, to]: readonly [Metres, Metres], size: Metres) => from <= LEAST_LEFT && size - to <= LEAST_LEFT
type Span = readonly [from: Metres, to: Metres]
/** A straight cut right across comes out of one pass; one that turns inside the unit runs over or stops short. */
const hasCorner = (x: Span, along: Metres, y: Span, across: Metres) => !isFull(x, along) && !isFull(y, across)
const isFull = ([from, to]: Span, size: Metres) => from <= DUST && to >= size - DUST

/** Whether a round post lies over any of a unit. */
function reaches({ x, y, size }: StandingIn, [left, low]: readonly [Metres, Metres], along: Metres, across: Metres) {
  const nearX = Math.min(left + along, Math.max(left, x))
  const nearY = Math.min(low + across, Math.max(low, y))
  return Math.hypot(nearX - x, nearY - y) < size / 2 - DUST
}
