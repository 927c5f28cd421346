import { onTheHour } from '~~/core/weather/dates'
import type { PourClock } from '~~/core/pour/clock'
import type { PourWarning } from '~~/core/pour/warnings'
import type { Measures } from '~~/core/units/quantity'
import type { Minutes } from '~~/core/units/types'
import type { Moment } from '~~/core/weather/forecast'

/* What the clocks on wet concrete say, in words. */

/** @example leftWords(12.4) // { value: '12', unit: 'min' }; leftWords(204) // { value: '3 h 24', unit: '' } */
export function leftWords(minutes: Minutes | null): { value: string; unit: string } {
  if (minutes === null) return { value: '–', unit: 'too cold' }
  // Nobody reads off a minute that is not there any more.
  const whole = Math.floor(minutes)
  if (whole < 120) return { value: String(whole), unit: 'min' }
  return { value: `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`, unit: '' }
}

const STAGES: Record<PourClock['stage'], string> = {
  wet: 'it can be moved',
  check: 'check both faces',
  'last-touch': 'last touch',
  set: 'hands off',
}
export const stageWords = (stage: PourClock['stage']): string => STAGES[stage]

/**
 * Day and hour as the clock on the wall there shows them; of today the hour alone, to the minute. What is to come on
 * another day comes by the next whole hour.
 */
export function timeWords(moment: Moment, now: Moment, timeZone?: string): string {
  const zone = timeZone ? { timeZone } : {}
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'short', ...zone })
  const isToday = day.format(moment) === day.format(now)
  const at = isToday || moment < now ? moment : onTheHour(moment, timeZone)
  const hour = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', ...zone }).format(at)
  if (isToday) return hour
  const isWeekOn = Math.abs(at - now) < 6 * 24 * 3_600_000
  const date = isWeekOn ? { weekday: 'short' as const } : { day: 'numeric' as const, month: 'short' as const }
  return `${new Intl.DateTimeFormat('en-GB', { ...date, ...zone }).format(at)} ${hour}`
}

/** @example strengthWords(0.304) // 'It has about 30 in 100 of its strength.' */
export function strengthWords(share: number): string {
  const hundredths = Math.round(share * 100)
  return hundredths < 2
    ? 'It has next to none of its strength yet.'
    : `It has about ${hundredths} in 100 of its strength.`
}

/** @example ageWords(25 * 60_000) // '25 min old' */
export function ageWords(age: number): string {
  const minutes = Math.max(0, Math.round(age / 60_000))
  if (minutes < 90) return `${minutes} min old`
  return minutes < 48 * 60 ? `${Math.round(minutes / 60)} h old` : `${Math.round(minutes / 1440)} days old`
}

/** What the weather may do to a pour, and what is done about it. */
export function warningWords(
  { kind, at, value, holds }: PourWarning,
  measures: Measures,
  when: (at: Moment) => string,
) {
  switch (kind) {
    case 'frost':
      return `Frost, ${measures.temperature(Math.floor(value))} at ${when(at)}, before it can stand it: cover it with straw or sacking and a sheet, weighted down, and leave it on.`
    case 'heat':
      return `${measures.temperature(value)} at ${when(at)}: shade it, cool water, less time to work.`
    case 'rain':
      return `${measures.rain(value)} of rain in an hour at ${when(at)}: cover the hole and the fresh top; bail before you pour.`
    case 'gust':
      return `${measures.gust(value)} at ${when(at)}, and it holds ${measures.gust(holds ?? 0)} by then: prop both faces, tie it back, take the panels out.`
  }
}
