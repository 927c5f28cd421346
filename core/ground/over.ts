import type { Metres, Newtons } from '../units/types'
import type { Piece } from './profile'

type Resistance = Pick<Piece, 'top' | 'bottom' | 'width' | 'atZero' | 'rate'>

export interface Limit {
  /** Horizontal load that turns the post over, N. */
  over: Newtons
  /** Depth about which it turns, m. */
  pivot: Metres
}

/**
 * Load at `height` that brings the ground to its limit above and below the pivot.
 *
 * Moments about the load's own height leave one unknown: the pivot halves the moment of the
 * whole limit resistance. It is found by bisection.
 *
 * @param pieces resistance by depth, see {@link import('./profile').resistancePieces}
 * @param height of the load above ground, m, ≥ 0
 * @source limit equilibrium of a rigid post, Broms (1964)
 * @example firm clay, 0.60 deep, 0.25 wide, load at 0.94 m: over 1737 N
 */
export function overturning(pieces: readonly Resistance[], height: Metres): Limit {
  let whole = 0
  for (const piece of pieces) whole += momentIn(piece, piece.bottom, height)
  let momentAbove = 0
  let forceAbove = 0
  let pivot = 0
  let overAbove = 0
  for (const piece of pieces) {
    const moment = momentIn(piece, piece.bottom, height)
    if (momentAbove <= whole / 2 && whole / 2 <= momentAbove + moment) {
      pivot = halvingDepth(piece, whole / 2 - momentAbove, height)
      overAbove = forceAbove + forceIn(piece, pivot)
    }
    momentAbove += moment
    forceAbove += forceIn(piece, piece.bottom)
  }
  return { over: Math.max(0, 2 * overAbove - forceAbove), pivot }
}

/**
 * Depth in the piece down to which its moment comes to `wanted`. The moment grows ever faster with the depth, so
 * Newton's steps from its bottom come down to the depth and never below it; where rounding stops them, a bisection
 * finishes.
 */
function halvingDepth(piece: Resistance, wanted: number, height: Metres): Metres {
  let low = piece.top
  let high = piece.bottom
  for (let step = 0; step < MOST_STEPS && high - low > NARROW * high; step++) {
    const excess = momentIn(piece, high, height) - wanted
    const next = high - excess / ((piece.atZero + piece.rate * high) * (high + height))
    if (next > low && next < high) high = next
    else {
      const middle = (low + high) / 2
      if (momentIn(piece, middle, height) < wanted) low = middle
      else high = middle
    }
  }
  return high
}
const MOST_STEPS = 60
/** Neighbouring numbers are no nearer. */
const NARROW = 4e-16

/** ∫ limit dz from the piece's top to `depth`, N. */
function forceIn({ top, atZero, rate }: Resistance, depth: Metres): number {
  return atZero * (depth - top) + (rate * (depth * depth - top * top)) / 2
}

/** ∫ limit (z + height) dz from the piece's top to `depth`, N m. */
function momentIn({ top, atZero, rate }: Resistance, depth: Metres, height: Metres): number {
  const squares = (depth * depth - top * top) / 2
  const cubes = (depth * depth * depth - top * top * top) / 3
  return atZero * (squares + height * (depth - top)) + rate * (cubes + height * squares)
}
