import ICAL from 'ical.js'
import type { CalendarEvent } from '../core/day/events'
import type { Moment } from '../core/weather/forecast'

/* Calendars, out and in, for screens, server and shell alike. */

const utc = (at: Moment) => ICAL.Time.fromJSDate(new Date(at), true)

/**
 * A calendar file of events.
 *
 * @param now stands on each entry: a second file brings the entries of the first up to date
 * @source RFC 5545
 */
export function calendarText(events: readonly CalendarEvent[], now: Moment): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Vindex//Vindex//EN')
  for (const { uid, from, to, says, details } of events) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', uid)
    event.updatePropertyWithValue('dtstamp', utc(now))
    event.updatePropertyWithValue('dtstart', utc(from))
    event.updatePropertyWithValue('dtend', utc(to))
    event.updatePropertyWithValue('summary', says)
    if (details !== undefined) event.updatePropertyWithValue('description', details)
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}

/** When somebody is taken, and nothing of what by. */
export interface BusyTime {
  from: Moment
  to: Moment
}

/** Of one entry that comes again and again. */
const MOST_TIMES = 1_000

/**
 * The busy times of a calendar.
 *
 * @param until entries that come again are followed so far
 * @throws Error with words for the person, when it is no calendar
 */
export function busyTimes(text: string, until: Moment): BusyTime[] {
  let calendar: ICAL.Component
  try {
    calendar = new ICAL.Component(ICAL.parse(text))
  } catch {
    throw new Error('This is no calendar file that can be read here.')
  }
  return calendar.getAllSubcomponents('vevent').flatMap((component): BusyTime[] => {
    const event = new ICAL.Event(component)
    if (component.getFirstPropertyValue('transp') === 'TRANSPARENT' || !component.hasProperty('dtstart')) return []
    const first = event.startDate.toJSDate().getTime()
    const length = event.endDate.toJSDate().getTime() - first
    if (!event.isRecurring()) return [{ from: first, to: first + length }]
    const found: BusyTime[] = []
    const times = event.iterator()
    for (let next = times.next(); next && found.length < MOST_TIMES; next = times.next()) {
      const from = next.toJSDate().getTime()
      if (from > until) break
      found.push({ from, to: from + length })
    }
    return found
  })
}
