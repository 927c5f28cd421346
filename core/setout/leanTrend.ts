import { studentT } from '../numeric/studentT'
import { mean } from '../numeric/statistics'
import type { Years } from '../units/types'

/** A lean, m per m, so many years after the first one. */
export interface TrendReading {
  years: Years
  lean: number
}

/** How a lean goes on: per year with its 90 % interval. */
export interface Trend {
  slope: number
  standardError: number
  low: number
  high: number
  /** It leans again: the interval leaves 0 out, and the slope is more than {@link MOVING}. */
  again: boolean
  /** Further from plumb than {@link OUT}. */
  out: boolean
}

/** Of a level: a millimetre over its 1.2 m. */
export const LEVEL_ERROR = 0.001 / 1.2
/** More than this in a year is a post that leans again; a post further out than the other is out of plumb. */
const MOVING = 1 / 240
export const OUT = 1 / 60
/** Of both tails together a tenth: 95 % under each end. */
const END = 0.95
const NORMAL_END = 1.645

/**
 * How the lean of a post goes on over its visits.
 *
 * @param readings at least two at different times; their order does not matter
 * @param error    of one reading, standard deviation, m per m: what is found scatters at least by that much
 * @returns null of fewer, or where all are of one time
 * @source least squares; interval by Student's t with n − 2 degrees of freedom, of two readings by the normal
 * @example leans 0.0008, 0.0021, 0.0034, 0.0051 at 0, 0.25, 0.5, 0.75 years: 0.00568 a year (0.00133 to 0.01003)
 */
export function leanTrend(readings: readonly TrendReading[], error = LEVEL_ERROR): Trend | null {
  const count = readings.length
  if (count < 2) return null
  const years = mean(readings.map((each) => each.years))
  const lean = mean(readings.map((each) => each.lean))
  const spread = readings.reduce((sum, each) => sum + (each.years - years) ** 2, 0)
  if (spread <= 0) return null
  const slope = readings.reduce((sum, each) => sum + (each.years - years) * (each.lean - lean), 0) / spread
  const left = readings.reduce((sum, each) => sum + (each.lean - lean - slope * (each.years - years)) ** 2, 0)
  const residual = count > 2 ? Math.sqrt(left / (count - 2)) : 0
  const standardError = Math.max(error, residual) / Math.sqrt(spread)
  const reach = (count > 2 ? studentT(END, count - 2) : NORMAL_END) * standardError
  const [low, high] = [slope - reach, slope + reach]
  const last = readings.reduce((latest, each) => (each.years >= latest.years ? each : latest))
  return {
    slope,
    standardError,
    low,
    high,
    again: (low > 0 || high < 0) && Math.abs(slope) > MOVING,
    out: Math.abs(last.lean) > OUT,
  }
}
