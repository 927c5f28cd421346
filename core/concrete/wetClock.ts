import { InputError } from '../errors'
import type { Minutes } from '../units/types'
import { ageOfShare, hardeningRate, type Celsius, type Hardening, type Hours } from './setting'

/** The concrete's temperature over a while; spans need not begin at whole hours. */
export interface Span {
  minutes: Minutes
  temperature: Celsius
}

const HOUR: Minutes = 60
const DAY: Minutes = 24 * HOUR

/**
 * Minutes from the pour until it has hardened as much as so many minutes at 20 °C would.
 *
 * Rates are constant within a span; past the last one the mean temperature of its last 24 hours holds.
 *
 * @param wanted equivalent minutes at 20 °C, at least 0
 * @param rateOf what hardens otherwise than concrete: its speed, and `wanted` in what that counts
 * @returns null where it never comes: at or under freezing from then on
 * @throws InputError without any span
 * @source ∫ rate dt, the rate as {@link hardeningRate}
 * @example minutesUntil(5, [{ minutes: 60, temperature: 5 }]) // 17.1
 * @example minutesUntil(5, [{ minutes: 10, temperature: 5 }, { minutes: 60, temperature: 15 }]) // 12.8
 */
export function minutesUntil(
  wanted: Minutes,
  spans: readonly Span[],
  rateOf: (celsius: Celsius) => number = hardeningRate,
): Minutes | null {
  if (spans.length === 0) throw new InputError('spans', spans, 'at least one span of known temperature')
  let [done, passed] = [0, 0]
  for (const { minutes, temperature } of spans) {
    const rate = rateOf(temperature)
    if (done + rate * minutes >= wanted) return passed + (rate > 0 ? (wanted - done) / rate : 0)
    done += rate * minutes
    passed += minutes
  }
  const rate = rateOf(meanOfLastDay(spans))
  return rate > 0 ? passed + (wanted - done) / rate : null
}

/** How much of hardening a pour has behind it after so many minutes, in minutes at 20 °C. */
export function hardenedBy(
  minutes: Minutes,
  spans: readonly Span[],
  rateOf: (celsius: Celsius) => number = hardeningRate,
): Minutes {
  let [done, left] = [0, minutes]
  for (const span of spans) {
    const taken = Math.min(left, span.minutes)
    done += rateOf(span.temperature) * taken
    left -= taken
    if (left <= 0) return done
  }
  return done + rateOf(meanOfLastDay(spans)) * left
}

/** Over the last 24 hours that are known, each span by its length. */
export function meanOfLastDay(spans: readonly Span[]): Celsius {
  let [sum, left] = [0, DAY]
  for (const { minutes, temperature } of spans.toReversed()) {
    const taken = Math.min(left, minutes)
    sum += temperature * taken
    left -= taken
    if (left <= 0) break
  }
  return sum / (DAY - left)
}

/** Of the way to where a post cannot be moved any more: both faces are checked, touched last, left alone. */
export const WET_MARKS = [
  { key: 'check', share: 0.5, says: 'check both faces' },
  { key: 'last-touch', share: 0.8, says: 'last touch' },
  { key: 'hands-off', share: 1, says: 'hands off' },
] as const
export type WetMark = (typeof WET_MARKS)[number]['key']

/** Before so many hours at 20 °C strength by time is a rough guide: so much of the equivalent age either way. */
const ROUGH_BEFORE: Hours = 72
const ROUGH = 0.25

export interface MilestoneTime {
  /** Minutes from the pour. */
  at: Minutes
  earliest: Minutes
  latest: Minutes | null
}

/**
 * When a share of the 28-day strength is reached, with its earliest and latest through the same hours.
 *
 * @param share over 0, at most 1
 * @returns null where it never comes
 * @source ± 25 % of the equivalent age under 72 h of it
 */
export function milestoneTime(share: number, hardening: Hardening, spans: readonly Span[]): MilestoneTime | null {
  const age = ageOfShare(share, hardening)
  const rough = age < ROUGH_BEFORE ? ROUGH : 0
  const at = minutesUntil(age * HOUR, spans)
  const earliest = minutesUntil(age * (1 - rough) * HOUR, spans)
  if (at === null || earliest === null) return null
  return { at, earliest, latest: minutesUntil(age * (1 + rough) * HOUR, spans) }
}
