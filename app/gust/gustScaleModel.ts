import { scaleLinear } from 'd3'
import type { MetresPerSecond } from '~~/core/units/types'
import { gustOfReturnPeriod } from '~~/core/wind/returnPeriod'

export interface GustMarks {
  lean?: MetresPerSecond
  over?: MetresPerSecond
}

export interface GustScaleModel {
  /** Position of a gust, 0 to 1 from the left; gusts off the scale stand at its end. */
  place: (gust: MetresPerSecond) => number
  ticks: { gust: MetresPerSecond; at: number }[]
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

/**
 * One horizontal scale of gusts with the site's return periods under it.
 *
 * @param marks all that will stand on the scale: it is long enough for them, up to 90 m/s
 */
export function gustScaleModel(
  marks: readonly GustMarks[],
  target: MetresPerSecond,
  gust50: MetresPerSecond,
): GustScaleModel {
  const greatest = Math.max(target, ...marks.flatMap(({ lean = 0, over = 0 }) => [lean, over]).filter(Number.isFinite))
  const end = Math.min(MOST_END, Math.max(LEAST_END, Math.ceil((greatest + 4) / 10) * 10))
  const scale = scaleLinear([0, end], [0, 1]).clamp(true)
  // Where the scale is long, two words would run into each other.
  const isApart = scale(gustOfReturnPeriod(10, gust50)) - scale(gustOfReturnPeriod(2, gust50)) > ROOM_FOR_WORDS
  return {
    place: (gust) => (Number.isFinite(gust) ? scale(gust) : 1),
    ticks: scale
      .ticks(end / 10)
      .filter((gust) => gust > 0)
      .map((gust) => ({ gust, at: scale(gust) })),
    years: SHOWN_YEARS.filter(({ years }) => years > 2 || isApart).map(({ years, align }) => ({
      words: `${years} y`,
      at: scale(gustOfReturnPeriod(years, gust50)),
      align,
    })),
    target: scale(target),
    end,
  }
}
