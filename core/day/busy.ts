import { MINUTE_MS, type Moment } from '../weather/forecast'
import { DAY_MINUTES, type Stretch } from './question'

/** A day of which more than this is gone is one on which nobody sets up. */
const MOST_TAKEN = 0.5

/**
 * Days on which other work leaves too little of the hours.
 *
 * @param midnight of the first day
 * @param hours    of a working day, minutes from its midnight
 * @returns counted from the first, which is 0
 * @example an afternoon and the evening before it: a working day of 9 h of which 5 are taken is gone
 */
export function takenDays(
  busy: readonly { from: Moment; to: Moment }[],
  midnight: Moment,
  hours: readonly Stretch[],
  days: number,
): number[] {
  return Array.from({ length: days }, (_, day) => day).filter((day) => {
    const at = (minute: number) => midnight + (day * DAY_MINUTES + minute) * MINUTE_MS
    const there = hours.reduce((sum, { from, to }) => sum + (to - from), 0)
    const taken = hours.reduce((sum, span) => sum + covered(busy, at(span.from), at(span.to)) / MINUTE_MS, 0)
    return taken > there * MOST_TAKEN
  })
}

/** Of a stretch what lies under any of them, once. */
function covered(busy: readonly { from: Moment; to: Moment }[], from: Moment, to: Moment): number {
  let [sum, reached] = [0, from]
  for (const each of [...busy].sort((a, b) => a.from - b.from)) {
    const begins = Math.max(reached, each.from)
    const ends = Math.min(to, each.to)
    if (ends <= begins) continue
    sum += ends - begins
    reached = ends
  }
  return sum
}
