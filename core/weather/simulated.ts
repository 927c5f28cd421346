import type { Celsius } from '../concrete/setting'
import { InputError } from '../errors'
import type { MetresPerSecond } from '../units/types'
import { HOUR_MS, type ForecastHour, type Moment } from './forecast'

/*
 * A stand-in for a forecast: every hour is a function of its station and itself, so that every server says the same and
 * says it again after a restart. Its figures are invented; what hangs together in nature hangs together here: seasons,
 * day and night, and fronts that bring wind, rain and colder air behind them.
 */

/** A place of the stand-in. */
export interface Station {
  key: string
  name: string
  seed: number
  /** Over the year, and how far it swings by season and by day, °C. */
  mean: Celsius
  yearly: Celsius
  daily: Celsius
  /** Against an ordinary place. */
  wind: number
  rain: number
}

/** For trying and for tests: the weather that is asked for, or a service that does not answer as it should. */
export const MOODS = ['steady', 'frost', 'heat', 'storm', 'wet', 'outage', 'late'] as const
export type Mood = (typeof MOODS)[number]
type Weather = Omit<ForecastHour, 'at'>

const DAY = 24
const YEAR = 365.25 * DAY
/** The coldest day of the year, and the warmest hour of the day. */
const COLDEST = 20 * DAY
const WARMEST = 15

/** @param hour since 1970, whole */
export function simulatedHour(station: Station, hour: number, mood?: Mood): Weather {
  const told = mood === undefined ? undefined : TOLD[mood]
  const weather = told?.(hourOfDay(hour), Math.floor(hour / DAY)) ?? asItComes(station, hour)
  return { temperature: to(weather.temperature, 10), gust: to(weather.gust, 10), rain: to(weather.rain, 10) }
}

/**
 * So many hours from the start of the hour that a moment lies in.
 *
 * @example simulatedHours(bank, Date.UTC(2026, 0, 1), 24).length // 24
 */
export function simulatedHours(station: Station, from: Moment, hours: number, mood?: Mood): ForecastHour[] {
  if (!Number.isFinite(from)) throw new InputError('from', from, 'a time')
  const first = Math.floor(from / HOUR_MS)
  return Array.from({ length: hours }, (_, i) => ({
    at: new Date((first + i) * HOUR_MS).toISOString(),
    ...simulatedHour(station, first + i, mood),
  }))
}

const hourOfDay = (hour: number) => ((hour % DAY) + DAY) % DAY
const to = (value: number, parts: number) => Math.round(value * parts) / parts
/** From 0 to 1 and back within a day, 1 at an hour. */
const daily = (hour: number, at: number) => 0.5 + 0.5 * Math.cos((2 * Math.PI * (hour - at)) / DAY)

function asItComes({ seed, mean, yearly, daily: swing, wind, rain }: Station, hour: number): Weather {
  const season = Math.cos((2 * Math.PI * (hour - COLDEST)) / YEAR)
  const front = frontsAt(seed, hour, season)
  const drift = 2 * drifting(seed + 1, hour / 60) - 1
  const cloud = Math.max(drifting(seed + 2, hour / 18), front.rain)
  const day = daily(hourOfDay(hour), WARMEST)
  const drizzle = Math.max(0, cloud - 0.8) * 4
  return {
    temperature: mean - yearly * season + 3 * drift + swing * (1.4 - cloud) * (2 * day - 1) - 3 * front.behind,
    gust: wind * (3.5 + 3 * day + 3 * drifting(seed + 3, hour / 7) + front.gust),
    rain: rain * (drizzle + 3.5 * front.rain),
  }
}

/** Fronts come one in each stretch of so many hours, somewhere in it. */
const BETWEEN_FRONTS = 84
const STRONGEST: MetresPerSecond = 26

function frontsAt(seed: number, hour: number, season: number): { gust: number; rain: number; behind: number } {
  const stretch = Math.floor(hour / BETWEEN_FRONTS)
  const sum = { gust: 0, rain: 0, behind: 0 }
  for (const index of [stretch - 1, stretch, stretch + 1]) {
    const passes = (index + 0.2 + 0.6 * chance(seed + 4, index)) * BETWEEN_FRONTS
    const strength = (0.75 + 0.25 * season) * chance(seed + 5, index) ** 2
    const since = hour - passes
    sum.gust += STRONGEST * strength * bell(since / (since < 0 ? 4 : 7))
    sum.rain = Math.max(sum.rain, Math.min(1, strength + 0.2) * bell((since + 1) / 3))
    if (since > 0) sum.behind = Math.max(sum.behind, strength * Math.exp(-since / 30))
  }
  return sum
}

const bell = (x: number) => Math.exp(-x * x)

/** From 0 to 1, smooth, without a step from hour to hour. */
function drifting(seed: number, x: number): number {
  const whole = Math.floor(x)
  const part = x - whole
  const smooth = part * part * (3 - 2 * part)
  return chance(seed, whole) * (1 - smooth) + chance(seed, whole + 1) * smooth
}

/** From 0 to 1, the same for the same two numbers: the bits of both stirred until nothing of their order is left. */
function chance(seed: number, index: number): number {
  let bits = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(index | 0, 0xc2b2ae35)
  for (const by of [0x2c1b3c6d, 0x297a2d39]) bits = Math.imul(bits ^ (bits >>> 15), by)
  return ((bits ^ (bits >>> 16)) >>> 0) / 2 ** 32
}

/** A front at nineteen hours of every second day. */
const EVENING = 19
const isOdd = (day: number) => ((day % 2) + 2) % 2 === 1
const frosty = (hour: number) => 1.5 + 3.5 * (2 * daily(hour, 14) - 1)

const TOLD: Partial<Record<Mood, (hour: number, day: number) => Weather>> = {
  steady: (hour) => ({ temperature: 9 + 6 * daily(hour, WARMEST), gust: 4 + 2 * daily(hour, WARMEST), rain: 0 }),
  frost: (hour) => ({ temperature: frosty(hour), gust: 4, rain: 0 }),
  heat: (hour) => ({ temperature: 20 + 14 * daily(hour, WARMEST), gust: 4, rain: 0 }),
  storm: (hour, day) => {
    const front = isOdd(day) ? bell((hour - EVENING) / 3) : 0
    return { temperature: frosty(hour), gust: 4 + 21 * front, rain: 4 * front }
  },
  wet: (hour) => ({ temperature: 8 + 2 * daily(hour, WARMEST), gust: 8, rain: hour >= 10 && hour < 15 ? 2.6 : 0.3 }),
}
