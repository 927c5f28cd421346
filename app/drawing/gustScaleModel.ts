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
  years: { words: string; at: number }[]
  target: number
  /** Largest gust shown. */
  end: MetresPerSecond
}

const SHOWN_YEARS = [2, 10, 50]
const LEAST_END = 50
const MOST_END = 90

/**
 * One horizontal scale of gusts with the site's return periods under it.
 *
 * @param marks all that will stand on the scale: it is long enough for them, up to 90 m/s
 */
export function gustScaleModel(marks: readonly GustMarks[], target: MetresPerSecond, gust50: MetresPerSecond): GustScaleModel {
  const greatest = Math.max(target, ...marks.flatMap(({ lean = 0, over = 0 }) => [lean, over]).filter(Number.isFinite))
  const end = Math.min(MOST_END, Math.max(LEAST_END, Math.ceil((greatest + 4) / 10) * 10))
  const scale = scaleLinear([0, end], [0, 1]).clamp(true)
  return {
    place: (gust) => (Number.isFinite(gust) ? scale(gust) : 1),
    ticks: scale.ticks(end / 10).filter((gust) => gust > 0).map((gust) => ({ gust, at: scale(gust) })),
    years: SHOWN_YEARS.map((years) => ({ words: `${years} y`, at: scale(gustOfReturnPeriod(years, gust50)) })),
    target: scale(target),
    end,
  }
}
