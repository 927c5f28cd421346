import { returnPeriodWords } from '../wind/returnPeriod'
import { MINUTE_MS, type Moment } from './forecast'

/**
 * A day in words, where the job stands.
 *
 * @example dayWords(Date.UTC(2027, 2, 3), 'Europe/Lisbon') // '3 March 2027'
 */
export const dayWords = (at: Moment, timeZone = 'UTC'): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone }).format(at)

/** @example momentWords(Date.UTC(2027, 2, 3, 14, 5), 'UTC') // '3 March 2027, 14:05' */
export const momentWords = (at: Moment, timeZone = 'UTC'): string =>
  `${dayWords(at, timeZone)}, ${new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(at)}`

/**
 * The next whole hour of the clock there: days ahead nobody knows the minute at which concrete carries.
 *
 * @example onTheHour(Date.UTC(2027, 2, 3, 14, 5), 'UTC') // 15:00 of that day
 * @example onTheHour(Date.UTC(2027, 2, 3, 14, 5), 'Asia/Kolkata') // 14:30, which is 20:00 there
 */
export function onTheHour(at: Moment, timeZone?: string): Moment {
  const clock = new Intl.DateTimeFormat('en-GB', { minute: 'numeric', ...(timeZone ? { timeZone } : {}) })
  const whole = Math.ceil(at / MINUTE_MS) * MINUTE_MS
  return whole + ((60 - Number(clock.format(whole))) % 60) * MINUTE_MS
}

/** Under this nobody can tell it from never, and over that it is all but sure. */
const RARE = 1 / 500
const SURE = 0.95

/**
 * A chance as somebody says it.
 *
 * @example chanceWords(0.03) // '1 in 35'
 * @example chanceWords(0.7) // '7 in 10'
 */
export function chanceWords(chance: number): string {
  if (chance < RARE) return 'less than 1 in 500'
  if (chance > SURE) return 'all but sure'
  if (chance >= 0.3) return `${Math.round(chance * 10)} in 10`
  return `1 in ${roundly(1 / chance)}`
}

/** @example periodWords(251) // 'once in 250 years' */
export const periodWords = (years: number): string =>
  years < 20 || years > 500 ? returnPeriodWords(years) : `once in ${roundly(years)} years`

/** No more than such a figure can bear. @example roundly(392) // 400 */
function roundly(figure: number): number {
  const step = figure < 20 ? 1 : figure < 100 ? 5 : 50
  return Math.round(figure / step) * step
}
