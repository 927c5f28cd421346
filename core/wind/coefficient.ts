import type { Metres } from '../units/types'

export interface Run {
  /** Whole length from free end to free end, gates included, m, > 0. */
  length: Metres
  /** The fence's top above ground, m, > 0. */
  height: Metres
  /** Solid area over gross area, 0 to 1. */
  solidity: number
  /** A return corner at least one height long stands at the start of the run. */
  cornerAtStart: boolean
  cornerAtEnd: boolean
}

type ZoneRow = readonly [a: number, b: number, c: number, d: number]

/** Net pressure coefficients in zones A to D, EN 1991-1-4:2005 Table 7.9. */
const WITH_CORNER: ZoneRow = [2.1, 1.8, 1.4, 1.2]
const FREE_END: ReadonlyArray<readonly [lengthOverHeight: number, row: ZoneRow]> = [
  [3, [2.3, 1.4, 1.2, 1.2]],
  [5, [2.9, 1.8, 1.4, 1.2]],
  [10, [3.4, 2.1, 1.7, 1.2]],
]
/** Ends of zones A, B and C from the free end, in heights. */
const ZONE_ENDS = [0.3, 2, 4] as const

/** Coefficient of every zone once a fifth of the face is open, and the start of the extrapolation. */
const POROUS = { solidity: 0.8, coefficient: 1.2 }

/**
 * Net pressure coefficient averaged exactly over a stretch of a straight fence.
 *
 * @param from, to the stretch, m from the start of the run, from < to, clipped to the run
 * @source EN 1991-1-4:2005 §7.4.1 Table 7.9; porosity below 0.8 after ASCE/SEI 7-16
 *   Fig. 29.3-1 note, f(ε) = 1 − (1 − ε)^1.5, carried on below its own limit of 0.7:
 *   an extrapolation
 * @example meanCoefficient(18.78, 21.22, { length: 40, height: 1.83, solidity: 1,
 *   cornerAtStart: false, cornerAtEnd: false }) // 1.2
 */
export function meanCoefficient(from: Metres, to: Metres, run: Run): number {
  const start = Math.max(0, Math.min(from, run.length))
  const end = Math.max(start, Math.min(to, run.length))
  if (end === start) return porous(zoneValue(start, run), run.solidity)
  const edges = zoneEdges(run).filter((x) => x > start && x < end)
  const stops = [start, ...edges, end]
  let area = 0
  for (let i = 1; i < stops.length; i++) {
    const left = stops[i - 1]!
    const right = stops[i]!
    area += porous(zoneValue((left + right) / 2, run), run.solidity) * (right - left)
  }
  return area / (end - start)
}

function zoneEdges(run: Run): Metres[] {
  const fromStart = ZONE_ENDS.map((heights) => heights * run.height)
  return [...fromStart, ...fromStart.map((x) => run.length - x)].sort((a, b) => a - b)
}

/** A point takes the larger of the values that the two ends give it. */
function zoneValue(x: Metres, run: Run): number {
  return Math.max(valueFromEnd(x, run, run.cornerAtStart), valueFromEnd(run.length - x, run, run.cornerAtEnd))
}

function valueFromEnd(distance: Metres, run: Run, corner: boolean): number {
  const row = corner ? WITH_CORNER : freeEndRow(run.length / run.height)
  const zone = ZONE_ENDS.findIndex((heights) => distance < heights * run.height)
  return row[zone < 0 ? 3 : zone]!
}

function freeEndRow(lengthOverHeight: number): ZoneRow {
  const [short, middle, long] = FREE_END as [
    (typeof FREE_END)[number],
    (typeof FREE_END)[number],
    (typeof FREE_END)[number],
  ]
  if (lengthOverHeight <= short[0]) return short[1]
  if (lengthOverHeight >= long[0]) return long[1]
  const [low, high] = lengthOverHeight < middle[0] ? [short, middle] : [middle, long]
  const share = (lengthOverHeight - low[0]) / (high[0] - low[0])
  return low[1].map((value, i) => value + share * (high[1][i]! - value)) as unknown as ZoneRow
}

function porous(solid: number, solidity: number): number {
  const { solidity: limit, coefficient } = POROUS
  if (solidity >= limit) {
    return coefficient + ((solid - coefficient) * (solidity - limit)) / (1 - limit)
  }
  return (coefficient * openFactor(solidity)) / openFactor(limit)
}

const openFactor = (solidity: number) => 1 - (1 - solidity) ** 1.5
