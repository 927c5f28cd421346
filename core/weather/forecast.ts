import { groundTemperatures, type Celsius } from '../concrete/setting'
import type { Span } from '../concrete/wetClock'
import { InputError } from '../errors'
import type { MetresPerSecond } from '../units/types'

/** One hour: `at` is its start, `gust` its largest 3-second gust at 10 m, `rain` its sum in mm. */
export interface ForecastHour {
  at: string
  temperature: Celsius
  gust: MetresPerSecond
  rain: number
}

export interface Forecast {
  /** The station. */
  place: string
  issuedAt: string
  /** Hour after hour without a gap; the first may lie in the past. */
  hours: ForecastHour[]
}

/** Air hour by hour, as a pour keeps it. */
export interface HourlyAir {
  from: string
  temperatures: Celsius[]
}

/** ms since 1970, UTC. */
export type Moment = number

export const MINUTE_MS = 60_000
export const HOUR_MS = 60 * MINUTE_MS

export const airOf = ({ hours }: Pick<Forecast, 'hours'>): HourlyAir | undefined =>
  hours[0] && { from: hours[0].at, temperatures: hours.map(({ temperature }) => temperature) }

/**
 * What is known of the air, the newer of two: an hour that it does not have is taken from the older.
 *
 * @param older what a pour was reckoned with
 */
export function joinedAir(older: HourlyAir | undefined, newer: HourlyAir | undefined): HourlyAir | undefined {
  if (!older || !newer) return newer ?? older
  const [oldFrom, newFrom] = [Date.parse(older.from), Date.parse(newer.from)]
  const [first, second] = oldFrom <= newFrom ? [older, newer] : [newer, older]
  const from = Math.min(oldFrom, newFrom)
  const shift = Math.round(Math.abs(newFrom - oldFrom) / HOUR_MS)
  // Nothing is known between them: what lies further back is of no use.
  if (shift > first.temperatures.length) return newer
  const length = Math.max(first.temperatures.length, shift + second.temperatures.length)
  const at = (air: HourlyAir, hour: number) =>
    air.temperatures[hour - Math.round((Date.parse(air.from) - from) / HOUR_MS)]
  return {
    from: new Date(from).toISOString(),
    temperatures: Array.from({ length }, (_, hour) => at(newer, hour) ?? at(older, hour)!),
  }
}

/**
 * The temperature of concrete in the ground from a moment on: the mean of the air over the 24 hours that end with the
 * hour in question; a working value.
 *
 * @returns the first span is what is left of its hour
 * @throws InputError without any hour
 */
export function groundSpans({ from, temperatures }: HourlyAir, start: Moment): Span[] {
  if (temperatures.length === 0) throw new InputError('temperatures', temperatures, 'at least one hour')
  const ground = groundTemperatures(temperatures)
  const passed = (start - Date.parse(from)) / HOUR_MS
  if (passed >= ground.length) return [{ minutes: 60, temperature: ground.at(-1)! }]
  if (passed < 0) return [{ minutes: -passed * 60, temperature: ground[0]! }, ...whole(ground)]
  const hour = Math.floor(passed)
  return [{ minutes: (hour + 1 - passed) * 60, temperature: ground[hour]! }, ...whole(ground.slice(hour + 1))]
}

const whole = (temperatures: readonly Celsius[]): Span[] =>
  temperatures.map((temperature) => ({ minutes: 60, temperature }))

/** The hours of a forecast that touch a stretch of time. */
export const hoursIn = ({ hours }: Pick<Forecast, 'hours'>, from: Moment, to: Moment): ForecastHour[] =>
  hours.filter(({ at }) => Date.parse(at) + HOUR_MS > from && Date.parse(at) < to)
