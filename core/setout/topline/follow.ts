import { solvePentadiagonal } from '../../numeric/pentadiagonal'
import type { Metres } from '../../units/types'

/** Change of slope from bay to bay that the eye takes as one line, m per m; a working value. */
export const USUAL_CHANGE = 0.02

/** The best of tops with its multipliers: those of the upper and the lower bound of each change of slope. */
export interface Followed {
  tops: Metres[]
  upper: number[]
  lower: number[]
}

/** Steps of the search, at most; a line of 200 posts takes about twenty. */
const MOST_STEPS = 80
/** Of the way to the nearest bound that one step goes, and how much of the pressure stays from step to step. */
const [SHORT_OF_BOUND, PRESSURE_LEFT] = [0.995, 0.1]
/** Near enough: what is left of the pressure for each bound, and of the tops, m. Closer than floating point tells, the
 * search would divide by a room that is none. */
const CLOSE = { pressure: 1e-11, tops: 1e-9 }
const LEAST_ROOM = 1e-13
/** A change of slope that nobody sees or builds is none, m per m. */
const NO_BEND = 1e-5

/**
 * Tops nearest to the wanted ones whose slope changes by no more than so much from bay to bay.
 *
 * A quadratic programme: ½ Σ (t − wanted)² under |B t| ≤ change, B t the changes of slope. Each post touches its two
 * neighbours alone, so each step of a primal-dual interior point is one sweep along the line.
 *
 * @param stations rising, m
 * @param wanted   tops over the datum, m
 * @param change   of slope from bay to bay, m per m; under 0.00001 asks for one straight line
 * @source its optimality conditions, which the tests ask for: t − wanted + Bᵀ(upper − lower) = 0, multipliers at least
 *   0 and 0 wherever the bound is not reached
 * @example followed([0, 1, 2], [0, 0.1, 0], 0.02).tops // [0.03, 0.04, 0.03]: nearly straight through the bump
 */
export function followed(stations: readonly Metres[], wanted: readonly Metres[], change: number): Followed {
  const count = stations.length
  const bends = Math.max(0, count - 2)
  if (bends === 0) return { tops: [...wanted], upper: [], lower: [] }
  if (change < NO_BEND) return { tops: straightThrough(stations, wanted), upper: [], lower: [] }
  const rows = Array.from({ length: bends }, (_, i) => {
    const [left, right] = [1 / (stations[i + 1]! - stations[i]!), 1 / (stations[i + 2]! - stations[i + 1]!)]
    return [left, -left - right, right] as const
  })
  const bendsOf = (tops: readonly number[]) =>
    rows.map(([a, b, c], i) => a * tops[i]! + b * tops[i + 1]! + c * tops[i + 2]!)
  const spread = (values: readonly number[]) => {
    const onPosts = new Array<number>(count).fill(0)
    rows.forEach((row, i) => row.forEach((share, j) => (onPosts[i + j]! += share * values[i]!)))
    return onPosts
  }

  let tops = straightThrough(stations, wanted)
  let upper = new Array<number>(bends).fill(1)
  let lower = new Array<number>(bends).fill(1)
  for (let step = 0; step < MOST_STEPS; step++) {
    const bent = bendsOf(tops)
    const above = bent.map((each) => Math.max(LEAST_ROOM, change - each))
    const under = bent.map((each) => Math.max(LEAST_ROOM, change + each))
    const gap = sum(upper.map((each, i) => each * above[i]!)) + sum(lower.map((each, i) => each * under[i]!))
    const pull = spread(upper.map((each, i) => each - lower[i]!))
    const off = Math.max(...tops.map((top, i) => Math.abs(top - wanted[i]! + pull[i]!)))
    if (gap / (2 * bends) < CLOSE.pressure && off < CLOSE.tops) break
    const pressure = (PRESSURE_LEFT * gap) / (2 * bends)
    const weights = upper.map((each, i) => each / above[i]! + lower[i]! / under[i]!)
    const wish = spread(above.map((room, i) => pressure / room - pressure / under[i]!))
    const move = solvePentadiagonal(
      normal(rows, weights, count),
      tops.map((top, i) => wanted[i]! - top - wish[i]!),
    )
    const bend = bendsOf(move)
    const upperMove = upper.map((each, i) => pressure / above[i]! - each + (each / above[i]!) * bend[i]!)
    const lowerMove = lower.map((each, i) => pressure / under[i]! - each - (each / under[i]!) * bend[i]!)
    const primal = Math.min(
      reach(
        above,
        bend.map((each) => -each),
      ),
      reach(under, bend),
    )
    const dual = Math.min(reach(upper, upperMove), reach(lower, lowerMove))
    tops = tops.map((top, i) => top + primal * move[i]!)
    upper = upper.map((each, i) => each + dual * upperMove[i]!)
    lower = lower.map((each, i) => each + dual * lowerMove[i]!)
  }
  return { tops, upper, lower }
}

/** How far along a move everything stays positive, at most all of it. */
function reach(values: readonly number[], moves: readonly number[]): number {
  return values.reduce((least, value, i) => {
    const move = moves[i]!
    return move < 0 ? Math.min(least, (-SHORT_OF_BOUND * value) / move) : least
  }, 1)
}

/** I + Bᵀ W B, with two bands beside the diagonal. */
function normal(rows: readonly (readonly [number, number, number])[], weights: readonly number[], count: number) {
  const diagonal = new Array<number>(count).fill(1)
  const first = new Array<number>(count - 1).fill(0)
  const second = new Array<number>(count - 2).fill(0)
  rows.forEach(([a, b, c], i) => {
    const weight = weights[i]!
    diagonal[i]! += weight * a * a
    diagonal[i + 1]! += weight * b * b
    diagonal[i + 2]! += weight * c * c
    first[i]! += weight * a * b
    first[i + 1]! += weight * b * c
    second[i]! += weight * a * c
  })
  return { diagonal, first, second }
}

/** The straight line of least squares: it bends nowhere, so the search begins well within its bounds. */
function straightThrough(stations: readonly number[], wanted: readonly number[]): number[] {
  const [x, y] = [sum(stations) / stations.length, sum(wanted) / wanted.length]
  const spread = sum(stations.map((each) => (each - x) ** 2))
  const slope = sum(stations.map((each, i) => (each - x) * (wanted[i]! - y))) / spread
  return stations.map((each) => y + slope * (each - x))
}

const sum = (values: readonly number[]) => values.reduce((total, each) => total + each, 0)
