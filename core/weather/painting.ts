import { HOUR_MS, type ForecastHour, type Moment } from './forecast'

/** What paint, stain and oil want of the air. Working values: the label of the tin comes first. */
export const PAINTING = { celsius: 8, dryBefore: 12, dryAfter: 6, rain: 0.1 } as const

export interface PaintingTime {
  from: Moment
  to: Moment
}

/**
 * When wood may be painted: warm enough, dry for long enough before, and until it has dried.
 *
 * @param hours  without gaps
 * @param isWork whether anybody works in the hour that begins then
 * @returns stretches, the soonest first
 * @example a dry day of 12 °C behind a shower that ended at 02:00, worked from 8 to 17: from 14:00 to 17:00
 */
export function paintingTimes(hours: readonly ForecastHour[], isWork: (hour: Moment) => boolean): PaintingTime[] {
  const { celsius, dryBefore, dryAfter, rain } = PAINTING
  const found: PaintingTime[] = []
  for (let i = dryBefore; i + dryAfter < hours.length; i++) {
    const hour = hours[i]!
    const at = Date.parse(hour.at)
    const isDry = hours.slice(i - dryBefore, i + dryAfter + 1).every((each) => each.rain <= rain)
    const isWarm = hours.slice(i, i + dryAfter + 1).every((each) => each.temperature >= celsius)
    if (!isDry || !isWarm || !isWork(at)) continue
    const last = found.at(-1)
    if (last?.to === at) last.to = at + HOUR_MS
    else found.push({ from: at, to: at + HOUR_MS })
  }
  return found
}
