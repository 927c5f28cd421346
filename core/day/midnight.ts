import { MINUTE_MS, type Moment } from '../weather/forecast'

/**
 * Midnight of a day where the clocks go by a zone.
 *
 * @param date  as `2026-11-27`
 * @param timeZone by its name; UTC where none is given
 * @example midnightIn('2026-07-01', 'Europe/Lisbon') // 2026-06-30T23:00Z
 */
export function midnightIn(date: string, timeZone = 'UTC'): Moment {
  const utc = Date.parse(`${date}T00:00:00Z`)
  // Once more from there: the clocks may have been changed that night.
  const near = utc - zoneShift(utc, timeZone)
  return utc - zoneShift(near, timeZone)
}

/** What a zone's clocks are ahead of UTC, ms. */
function zoneShift(at: Moment, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
  }).formatToParts(at)
  const of = (type: string) => Number(parts.find((part) => part.type === type)!.value)
  const shown = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'))
  return shown - Math.floor(at / MINUTE_MS) * MINUTE_MS
}
