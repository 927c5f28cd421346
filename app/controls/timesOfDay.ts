import { DAY_MINUTES, dayOf, type DayMinute } from '~~/core/day/question'

/* Times of a day as a person reads and types them. */

/** @example clockWords(1_440 + 545) // '09:05' */
export function clockWords(minute: DayMinute): string {
  const of = minute - dayOf(minute) * DAY_MINUTES
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`
}

/** @example minutesOf('09:05') // 545; of what is no time nothing */
export function minutesOf(text: string): number | undefined {
  const found = /^(\d{1,2}):(\d\d)$/.exec(text)
  return found ? Number(found[1]) * 60 + Number(found[2]) : undefined
}
