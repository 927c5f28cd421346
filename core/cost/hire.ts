import type { DaySetup } from '../document/job'
import type { CatalogueRow } from './catalogue'

/** Handed back before noon, or fetched after it: up to so many minutes count as half a day. Working value. */
const HALF_DAY = 5 * 60

/**
 * What the hires of a job are paid by: half a day where that is long enough and costs less, a weekend for two days
 * where it costs less than both, else days.
 *
 * @returns counts by the key of their row; a tool without a row has the key of its day, and no price
 * @example hiresOf([{ tool: 'mixer', day: 1, from: 480, to: 720 }], catalogue) // { 'hire/mixer/half-day': 1 }
 */
export function hiresOf(
  hires: NonNullable<DaySetup['hires']>,
  catalogue: readonly CatalogueRow[],
): Record<string, number> {
  const counts: Record<string, number> = {}
  const add = (key: string, count: number) => count > 0 && (counts[key] = (counts[key] ?? 0) + count)
  for (const tool of new Set(hires.map((each) => each.tool))) {
    const [day, half, weekend] = ['', '/half-day', '/weekend'].map((more) =>
      catalogue.find(({ key }) => key === `hire/${tool}${more}`),
    )
    const spans = hires.filter((each) => each.tool === tool)
    const isCheaper = (row: CatalogueRow | undefined, days: number) => row && (!day || row.price < days * day.price)
    const short = isCheaper(half, 1) ? spans.filter(({ from, to }) => to - from <= HALF_DAY) : []
    const whole = spans.length - short.length
    const pairs = isCheaper(weekend, 2) ? Math.floor(whole / 2) : 0
    add(`hire/${tool}/half-day`, short.length)
    add(`hire/${tool}/weekend`, pairs)
    add(`hire/${tool}`, whole - 2 * pairs)
  }
  return counts
}
