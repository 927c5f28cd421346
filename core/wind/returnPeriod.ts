import type { MetresPerSecond, Years } from '../units/types'

/** Shape and exponent of the annual largest wind, EN 1991-1-4 §4.2, recommended values. */
const SHAPE = 0.2
const AT_50_YEARS = 1 - SHAPE * Math.log(-Math.log(0.98))

/**
 * Gust that is passed once in `years` on average.
 *
 * @param years  return period, > 1
 * @param gust50 50-year 3-second gust at 10 m in open country, m/s
 * @source EN 1991-1-4:2005 eq. 4.2 with K = 0.2, n = 0.5
 * @example gustOfReturnPeriod(10, 38) // 34.28 m/s, 0.902 of the 50-year gust
 */
export function gustOfReturnPeriod(years: Years, gust50: MetresPerSecond): MetresPerSecond {
  const reduced = 1 - SHAPE * Math.log(-Math.log(1 - 1 / years))
  return gust50 * Math.sqrt(Math.max(0, reduced) / AT_50_YEARS)
}

/**
 * Return period of a gust: the exact inverse of {@link gustOfReturnPeriod}.
 *
 * Under two years the annual-maximum formula is no frequency; {@link returnPeriodWords}
 * says so instead of quoting a figure.
 *
 * @returns years, from 1 (every year) to Infinity (never in a lifetime of this formula)
 * @example returnPeriodOfGust(39.45, 38) // 100 years
 */
export function returnPeriodOfGust(gust: MetresPerSecond, gust50: MetresPerSecond): Years {
  if (gust === Infinity) return Infinity
  const reduced = (gust / gust50) ** 2 * AT_50_YEARS
  const yearlyRate = Math.exp((1 - reduced) / SHAPE)
  return 1 / -Math.expm1(-yearlyRate)
}

/**
 * @example returnPeriodWords(1.4) // 'most years'
 * @example returnPeriodWords(34.2) // 'once in 34 years'
 */
export function returnPeriodWords(years: Years): string {
  if (years < 1.1) return 'several times a year'
  if (years < 2) return 'most years'
  if (years > 500) return 'less than once in 500 years'
  return `once in ${Math.round(years)} years`
}

/**
 * The gust that a yearly rate of passing it belongs to: the largest of a year where the rate is a unit exponential.
 *
 * @param rate times a year that it is passed, > 0
 * @source the inverse of the rate in {@link returnPeriodOfGust}; what comes out under nothing is calm
 * @example reducedGust(0.0202, 38) // 38: once in 50 years
 */
export const reducedGust = (rate: number, gust50: MetresPerSecond): MetresPerSecond =>
  gust50 * Math.sqrt(Math.max(0, 1 - SHAPE * Math.log(rate)) / AT_50_YEARS)
