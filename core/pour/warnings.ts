import type { MetresPerSecond } from '../units/types'
import { HOUR_MS, hoursIn, type Forecast, type ForecastHour, type Moment } from '../weather/forecast'
import type { PourClock } from './clock'

/** What the weather may do to a pour, from which hour. */
export interface PourWarning {
  kind: 'frost' | 'heat' | 'rain' | 'gust'
  at: Moment
  /** °C, mm or m/s of that hour. */
  value: number
  /** What it holds then, of a gust. */
  holds?: MetresPerSecond
}

/** Over this it stiffens before it is placed, °C; a fresh top is washed out by more than this in an hour, mm. */
export const HOT = 30
export const HARD_RAIN = 2
/** A fresh top takes rain once it is hard; ordinary concrete within so long. Working value, h. */
const FRESH_TOP = 4

/**
 * What is forecast against a pour from now on.
 *
 * @param holds what the propped post holds at a moment, m/s; nothing where it is not known
 */
export function pourWarnings(
  { start, stiff, milestones, pour }: PourClock,
  forecast: Pick<Forecast, 'hours'>,
  now: Moment,
  holds: (at: Moment) => MetresPerSecond | undefined = () => undefined,
): PourWarning[] {
  const covered = pour.sheltered?.includes('covered') || pour.overnight?.includes('covered')
  const shaded = pour.sheltered?.includes('shaded')
  const latestOf = (key: string) => milestones.find((each) => each.key === key)
  // Until the later time; where nothing is known of its strength, until its props may come off.
  const green = latestOf('frostSafe') ?? latestOf('props')
  const frostUntil = green?.latest ?? Infinity
  const from = Math.max(start, now)
  const first = (kind: PourWarning['kind'], to: Moment, of: (hour: ForecastHour) => number | undefined) =>
    hoursIn(forecast, from, to).flatMap((hour): PourWarning[] => {
      const value = of(hour)
      return value === undefined ? [] : [{ kind, at: Math.max(from, Date.parse(hour.at)), value }]
    })[0]
  const off = latestOf('props')?.latest ?? Infinity
  const gust = first('gust', Math.min(off, now + 96 * HOUR_MS), (hour) => {
    const held = holds(Date.parse(hour.at))
    return held !== undefined && hour.gust > held ? hour.gust : undefined
  })
  const warnings = [
    covered ? undefined : first('frost', frostUntil, ({ temperature }) => (temperature < 0 ? temperature : undefined)),
    shaded
      ? undefined
      : first('heat', stiff ?? Infinity, ({ temperature }) => (temperature > HOT ? temperature : undefined)),
    covered
      ? undefined
      : first('rain', Math.max(stiff ?? 0, start + FRESH_TOP * HOUR_MS), ({ rain }) =>
          rain > HARD_RAIN ? rain : undefined,
        ),
    gust && { ...gust, holds: holds(gust.at)! },
  ]
  return warnings.filter((each) => each !== undefined)
}
