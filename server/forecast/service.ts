import { setTimeout as wait } from 'node:timers/promises'
import { object, string } from 'yup'
import { InputError } from '../../core/errors'
import { LONGEST } from '../../core/limits'
import { neededKey, neededTime } from '../../core/schema/fields'
import { readBy } from '../../core/schema/violations'
import type { Tables } from '../../core/tables/tables'
import { row } from '../../core/tables/tables'
import { HOUR_MS, type Forecast } from '../../core/weather/forecast'
import { MOODS, simulatedHours, type Mood } from '../../core/weather/simulated'
import { tables } from '../../data/tables'
import { Away } from '../http/failures'

/** A year of hours in one answer, and no further than so far from today: what a stand-in says of later is nothing. */
const MOST_HOURS = 366 * 24
const FURTHEST_AHEAD = 14 * 24
/** Issued four times a day. */
const BETWEEN_ISSUES = 6 * HOUR_MS
/** How far behind a late one is, and how long it lets itself be waited for. */
const LATE_BY = 18 * HOUR_MS
const LATE_WAIT = 8_000

const asked = object({
  place: neededKey('station', ({ stations }: Tables) => stations).max(LONGEST.key),
  from: neededTime(),
  hours: string().required(`a whole number from 1 to ${MOST_HOURS}`),
  mood: string(),
})

interface Asked {
  place: string
  from: string
  hours: string
  mood?: string
}

/**
 * The forecast of a station, hour by hour.
 *
 * This is the stand-in; a real service answers the same over the same channel.
 *
 * @param query  `place`, `from`, `hours`, and `mood` where trying is allowed
 * @throws InputError, Away
 */
export async function readForecast(query: unknown, now: Date, isForTrying: boolean): Promise<Forecast> {
  const { place, from, hours: count, mood } = readBy<Asked>(asked, query, 'query', { tables })
  const hours = Number(count)
  if (!Number.isInteger(hours) || hours < 1 || hours > MOST_HOURS)
    throw new InputError('hours', count, `a whole number from 1 to ${MOST_HOURS}`)
  if (mood !== undefined && !(isForTrying && (MOODS as readonly string[]).includes(mood)))
    throw new InputError('mood', mood, isForTrying ? `one of ${MOODS.join(', ')}` : 'left out: this is no demo')
  if (mood === 'outage') throw new Away('The forecast does not answer. The last one on this device goes on counting.')
  if (mood === 'late') await wait(LATE_WAIT)
  const issued = Math.floor(now.getTime() / BETWEEN_ISSUES) * BETWEEN_ISSUES - (mood === 'late' ? LATE_BY : 0)
  const start = Math.floor(Date.parse(from) / HOUR_MS) * HOUR_MS
  const room = Math.floor((now.getTime() + FURTHEST_AHEAD * HOUR_MS - start) / HOUR_MS)
  return {
    place,
    issuedAt: new Date(issued).toISOString(),
    hours: simulatedHours(
      row(tables.stations, place),
      start,
      Math.max(0, Math.min(hours, room)),
      mood as Mood | undefined,
    ),
  }
}
