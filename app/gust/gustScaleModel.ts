import { range, scaleLinear } from 'd3'
import type { MetresPerSecond } from '~~/core/units/types'
import { gustOfReturnPeriod } from '~~/core/wind/returnPeriod'

export interface GustMarks {
  lean?: MetresPerSecond
  over?: MetresPerSecond
}

export interface GustScaleModel {
  /** Position of a gust, 0 to 1 from the left; gusts off the scale stand at its end. */
  place: (gust: MetresPerSecond) => number
  ticks: { words: string; at: number }[]
  /** Neighbours lean away from each other, so that their words do not meet. */
  years: { words: string; at: number; align: 'start' | 'middle' | 'end' }[]
  target: number
  /** Largest gust shown. */
  end: MetresPerSecond
}

const SHOWN_YEARS = [
  { years: 2, align: 'end' },
  { years: 10, align: 'end' },
  { years: 50, align: 'start' },
] as const
const ROOM_FOR_WORDS = 0.1
const LEAST_END = 50
const MOST_END = 90
/** From tick to tick, in the unit of the reader: of a small unit more. */
const STEP = 10
const FINE_STEP = 20

/**
 * One horizontal scale of gusts with the site's return periods under it.
 *
 * @param one   in the unit of the reader, m/s
 * @param marks all that will stand on the scale: it is long enough for them, up to 90 m/s
 */
export function gustScaleModel(
  marks: readonly GustMarks[],
  target: MetresPerSecond,
  gust50: MetresPerSecond,
  one: MetresPerSecond = 1,
): GustScaleModel {
  const greatest = Math.max(target, ...marks.flatMap(({ lean = 0, over = 0 }) => [lean, over]).filter(Number.isFinite))
  const end = Math.min(MOST_END, Math.max(LEAST_END, Math.ceil((greatest + 4) / 10) * 10))
  const scale = scaleLinear([0, end], [0, 1]).clamp(true)
  const step = one < 1 ? FINE_STEP : STEP
  // Where the scale is long, two words would run into each other.
  const isApart = scale(gustOfReturnPeriod(10, gust50)) - scale(gustOfReturnPeriod(2, gust50)) > ROOM_FOR_WORDS
  return {
    place: (gust) => (Number.isFinite(gust) ? scale(gust) : 1),
    ticks: range(1, Math.floor(end / one / step) + 1).map((i) => ({
      words: String(i * step),
      at: scale(i * step * one),
    })),
    years: SHOWN_YEARS.filter(({ years }) => years > 2 || isApart).map(({ years, align }) => ({
      words: `${years} y`,
      at: scale(gustOfReturnPeriod(years, gust50)),
      align,
    })),
    target: scale(target),
    end,
  }
}
