import { givesWay, weakestLink, type Link } from '../repair/links'
import type { MetresPerSecond, Years } from '../units/types'
import { returnPeriodOfGust, returnPeriodWords } from '../wind/returnPeriod'

/** When it leans for good and when it goes over, of everything that holds it. */
export interface Thresholds {
  /** Absent where nothing of it can lean. */
  leanGust?: MetresPerSecond
  leanReturnYears?: Years
  holdingGust?: MetresPerSecond
  returnYears?: Years
  /** What the formulas say without experience. */
  bareGust?: MetresPerSecond
}

/** A post that has gone over leans too: it never leans later than that. */
export function onBothThresholds(links: readonly Link[], gust50: MetresPerSecond): Thresholds {
  const weakest = weakestLink(links)
  if (!weakest) return {}
  const holdingGust = givesWay(weakest)
  const leans = links.flatMap(({ lean }) => (lean === undefined ? [] : [lean]))
  const bare = Math.min(...links.map((link) => link.bare ?? link.code ?? Infinity))
  const result: Thresholds = {
    holdingGust,
    returnYears: returnPeriodOfGust(holdingGust, gust50),
    bareGust: bare,
  }
  if (leans.length > 0) {
    result.leanGust = Math.min(holdingGust, ...leans)
    result.leanReturnYears = returnPeriodOfGust(result.leanGust, gust50)
  }
  return result
}

/** The strongest gust that was ever measured near the ground, m/s (World Meteorological Organization: 10 April 1996). */
const STRONGEST: MetresPerSecond = 113
/** Nobody has seen such a gust: a figure for it says nothing, and is no promise either. */
export const isBeyondWind = (gust: MetresPerSecond): boolean => gust > STRONGEST

/**
 * Both thresholds in words, for every verdict, sheet and list.
 *
 * @param show a gust in the units of the reader
 * @example 'leans from 34 m/s, once in 9 years; goes over at 45 m/s, less than once in 500 years'
 * @example 'leans from 47 m/s and goes over at 63 m/s, each less than once in 500 years'
 * @example 'holds more than any gust ever measured' // what leans from 185 m/s
 */
export function thresholdWords(
  { leanGust, leanReturnYears, holdingGust, returnYears }: Thresholds,
  show: (gust: MetresPerSecond) => string,
): string {
  if (holdingGust === undefined) return ''
  if (holdingGust === Infinity) return 'the wind does not reach it'
  if (isBeyondWind(leanGust ?? holdingGust)) return 'holds more than any gust ever measured'
  const often = returnPeriodWords(returnYears!)
  const over = `${show(holdingGust)}, ${often}`
  if (leanGust === undefined) return `gives way at ${over}`
  if (leanGust > holdingGust - 0.5) return `leans and goes over at ${over}`
  const leans = `leans from ${show(leanGust)}`
  const leansOften = returnPeriodWords(leanReturnYears!)
  if (isBeyondWind(holdingGust)) return `${leans}, ${leansOften}; going over takes more than any gust ever measured`
  if (leansOften === often) return `${leans} and goes over at ${show(holdingGust)}, each ${often}`
  return `${leans}, ${leansOften}; goes over at ${over}`
}
