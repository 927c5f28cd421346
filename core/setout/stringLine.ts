import { InputError } from '../errors'
import { mean } from '../numeric/statistics'
import { GRAVITY } from '../units/constants'
import type { Kilograms, Metres, Newtons } from '../units/types'

export interface StringPoint {
  station: Metres
  offset: Metres
}

export const STRING_FITS = ['ends', 'least-squares', 'minimax'] as const
export type StringFit = (typeof STRING_FITS)[number]

export interface StringLine {
  slope: number
  intercept: Metres
  /** Point minus line, m. */
  misses: Metres[]
}

/**
 * Straight line through good posts.
 *
 * @param fit end to end, least squares, or the smallest largest miss
 * @throws InputError for fewer than two stations
 * @source minimax: the best line runs parallel to the line through two of the points
 * @example stringLine([{ station: 0, offset: 0 }, { station: 1, offset: 0.03 }, { station: 2, offset: 0 }], 'minimax')
 *   // level at 0.015, misses ∓ 0.015
 */
export function stringLine(points: readonly StringPoint[], fit: StringFit): StringLine {
  if (!isLine(points)) throw new InputError('points', points, `two points at least ${LEAST_APART} m apart`)
  const { slope, intercept } = FITS[fit](points)
  return { slope, intercept, misses: points.map(({ station, offset }) => offset - (intercept + slope * station)) }
}

/**
 * The reference post that is itself out: without it the largest miss is less than half of what it was, and less than
 * without any other.
 *
 * @returns its index; undefined where none stands out so, nor where two do alike: of three posts nobody can tell which
 * @example whichIsOut([0, 0, 0.04, 0, 0].map((offset, station) => ({ station, offset })), 'minimax') // 2
 */
export function whichIsOut(points: readonly StringPoint[], fit: StringFit): number | undefined {
  const largest = (of: readonly StringPoint[]) => Math.max(...stringLine(of, fit).misses.map(Math.abs))
  const all = largest(points)
  const without = points.map((_point, i) => {
    const others = points.filter((_other, j) => j !== i)
    return isLine(others) ? largest(others) : Infinity
  })
  const least = Math.min(...without)
  const [found, ...alike] = without.flatMap((miss, i) => (miss <= least + ALIKE ? [i] : []))
  return alike.length === 0 && least < all / 2 ? found : undefined
}
/** Misses nearer to each other than this are the same, m. */
const ALIKE: Metres = 1e-9

function isLine(points: readonly StringPoint[]): boolean {
  const stations = points.map(({ station }) => station)
  return stations.length >= 2 && Math.max(...stations) - Math.min(...stations) >= LEAST_APART
}

/** Posts nearer than a tape can tell give no direction, m. */
const LEAST_APART: Metres = 1e-3

type Line = Pick<StringLine, 'slope' | 'intercept'>

const FITS: Record<StringFit, (points: readonly StringPoint[]) => Line> = {
  ends: (points) => {
    const sorted = [...points].sort((a, b) => a.station - b.station)
    return through(sorted[0]!, sorted[sorted.length - 1]!)
  },
  'least-squares': (points) => {
    const x = mean(points.map((point) => point.station))
    const y = mean(points.map((point) => point.offset))
    const spread = points.reduce((sum, point) => sum + (point.station - x) ** 2, 0)
    const slope = points.reduce((sum, point) => sum + (point.station - x) * (point.offset - y), 0) / spread
    return { slope, intercept: y - slope * x }
  },
  minimax: (points) => {
    let best: (Line & { miss: number }) | undefined
    for (const [i, a] of points.entries()) {
      for (const b of points.slice(i + 1)) {
        if (Math.abs(a.station - b.station) < LEAST_APART) continue
        const { slope } = through(a, b)
        const levels = points.map((point) => point.offset - slope * point.station)
        const [low, high] = [Math.min(...levels), Math.max(...levels)]
        if (!best || high - low < best.miss) best = { slope, intercept: (low + high) / 2, miss: high - low }
      }
    }
    return best!
  },
}

function through(a: StringPoint, b: StringPoint): Line {
  const slope = (b.offset - a.offset) / (b.station - a.station)
  return { slope, intercept: a.offset - slope * a.station }
}

/**
 * Sag in the middle of a pulled string.
 *
 * @param massPerMetre kg/m
 * @source w s²/(8 T)
 * @example stringSag(20, 0.001, 50) // 9.8 mm
 */
export function stringSag(span: Metres, massPerMetre: Kilograms, pull: Newtons): Metres {
  return (massPerMetre * GRAVITY * span ** 2) / (8 * pull)
}

/** A string that hangs lower than this is held up in between, m. */
export const MOST_SAG: Metres = 0.002

/**
 * Fewest supports between the ends that keep the sag of every span within 2 mm.
 *
 * @param sag of the string without any, m
 * @source the sag goes with the square of the span
 * @example supportsFor(stringSag(20, 0.001, 50)) // 2: three spans of 6.67 m
 */
export const supportsFor = (sag: Metres): number => Math.max(0, Math.ceil(Math.sqrt(sag / MOST_SAG) - 1e-9) - 1)
