import { chanceWords } from '../weather/dates'
import type { Years } from '../units/types'
import { ENDS, type Ends } from './stand'
import type { PlumbYears, YearsRestOn } from './years'

/* How long it will stand, as somebody says it. */

/** So many of ten, in whole posts: more nobody knows. @example tenths(0.72) // '7 of 10' */
export const tenths = (share: number): string =>
  share > 0.95 ? 'nearly all' : share < 0.05 ? 'hardly any' : `${Math.round(share * 10)} of 10`

type Curve = Pick<PlumbYears, 'plumb' | 'low' | 'high'>

/**
 * What stands plumb after so many years, with its range.
 *
 * @param now the year of the calendar in which it is set
 * @example plumbWords(curve, 10, 2026) // '7 of 10 still plumb in 2036 (4 to 9)'
 */
export function plumbWords({ plumb, low, high }: Curve, years: Years, now: number): string {
  const at = years - 1
  const [least, most] = [low[at]!, high[at]!].map((share) => Math.round(share * 10))
  const range = least === most ? '' : ` (${least} to ${most})`
  return `${tenths(plumb[at]!)} still plumb in ${now + years}${range}`
}

/**
 * The same as a sentence.
 *
 * @example plumbSentence(curve, 10, 2026) // '7 of 10 such posts are still plumb in 2036 (4 to 9)'
 */
export function plumbSentence(curve: Curve, years: Years, now: number): string {
  const words = plumbWords(curve, years, now).replace(' still plumb', ' such posts are still plumb')
  return words[0]!.toUpperCase() + words.slice(1)
}

const ENDED: Record<Ends, string> = {
  leans: 'it leans in the ground',
  ground: 'it goes over with its footing',
  wood: 'it rots at the ground',
  fixings: 'its fixings give',
  pin: 'its pin gives',
  anchor: 'its anchors give',
  part: 'what carries it gives',
}
/** What ends fewer than these is left out. */
const TELLS = 0.1

/**
 * What it ends by, the commonest first.
 *
 * @example 'Where it ends: 6 in 10 that it leans in the ground, 4 in 10 that its wood goes at the ground.'
 */
export function endsWords(ends: Record<Ends, number>): string {
  const told = ENDS.filter((by) => ends[by] >= TELLS).sort((a, b) => ends[b] - ends[a])
  const [first] = told
  if (first === undefined) return ''
  if (ends[first] > 1 - TELLS) return `Where it ends, ${ENDED[first]}.`
  return `Where it ends: ${told.map((by) => `${chanceWords(ends[by])} that ${ENDED[by]}`).join(', ')}.`
}

/** @example 'Half of such posts are out of plumb after 14 years.' */
export const medianWords = ({ median, plumb }: Pick<PlumbYears, 'median' | 'plumb'>): string =>
  median === undefined
    ? `More than half of such posts are still plumb after ${plumb.length} years.`
    : median < 1
      ? 'Half of such posts are out of plumb within the first year.'
      : `Half of such posts are out of plumb after ${yearsWords(median)}.`

const yearsWords = (years: Years): string => {
  const whole = Math.round(years)
  return whole === 1 ? 'a year' : `${whole} years`
}

/**
 * What the years rest on, in one line.
 *
 * @example 'Rests on the wind by experience × 0.40 (0.21 to 0.77), no history of this fence, no pull on its ground.'
 */
export function restsOnWords({ factor: { median, low, high }, history, pulls }: YearsRestOn): string {
  const by =
    low === high
      ? `the wind by the bare formulas`
      : `the wind by experience × ${median.toFixed(2)} (${low.toFixed(2)} to ${high.toFixed(2)})`
  const told = history ? `${history.ageYears} years of this fence` : 'no history of this fence'
  const pulled = pulls ? `${pulls} ${pulls === 1 ? 'pull' : 'pulls'} on its ground` : 'no pull on its ground'
  return `Rests on ${by}, ${told}, ${pulled}.`
}
