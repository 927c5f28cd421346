import type { TargetBy } from '../wind/target'
import { returnPeriodWords } from '../wind/returnPeriod'
import type { MetresPerSecond } from '../units/types'
import type { Plan } from './types'

/** Why it is asked just that, where somebody asked otherwise than by years. */
const ASKED: Record<TargetBy, string> = {
  years: '',
  life: ', for the years that the rest of the fence has left',
  neighbours: ', a tenth more than its sound neighbours hold',
}

/**
 * What a repair has to hold, in both thresholds.
 *
 * @param show a gust in the units of the reader
 * @example targetSentence(target, show) // 'It shall not go over at 36 m/s, once in 36 years, for the years that …, nor lean at …'
 */
export const targetSentence = (
  { gust, returnYears, leanGust, leanReturnYears, by }: Plan['target'],
  show: (gust: MetresPerSecond) => string,
): string =>
  `It shall not go over at ${show(gust)}, ${returnPeriodWords(returnYears)}${ASKED[by]}, nor lean at ${show(leanGust)}, ${returnPeriodWords(leanReturnYears)}.`

/**
 * The same for a sheet that has little room and shows the years beside it.
 *
 * @example askedWords(target, show) // 'Asked: 38 m/s without going over, 34 m/s without leaning.'
 */
export const askedWords = ({ gust, leanGust, by }: Plan['target'], show: (gust: MetresPerSecond) => string): string =>
  `Asked${ASKED[by]}: ${show(gust)} without going over, ${show(leanGust)} without leaning.`
