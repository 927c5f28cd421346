import { area, line, scaleLinear, type ScaleLinear } from 'd3'
import { yearsDrawn, type PlumbYears } from '~~/core/survive/years'

export interface YearsDrawn {
  x: ScaleLinear<number, number>
  y: ScaleLinear<number, number>
  curves: { method: string; path: string; band: string; /** Of its mark at the right edge. */ at: number }[]
  /** Of the fence's own end; absent where it comes after what is drawn. */
  end?: number
}

export interface YearsSize {
  width: number
  height: number
  room: { left: number; right: number; top: number; bottom: number }
}

/** Between two marks at the right edge. */
const APART = 16

/**
 * Curves of years in one scale: how many of ten are plumb, from the first day on.
 *
 * @param fenceYears after which the rest of the fence is at its end
 */
export function yearsModel(
  curves: readonly Pick<PlumbYears, 'method' | 'plumb' | 'low' | 'high'>[],
  fenceYears: number,
  { width, height, room }: YearsSize,
): YearsDrawn {
  const years = yearsDrawn(fenceYears)
  const x = scaleLinear([0, years], [room.left, width - room.right])
  const y = scaleLinear([0, 1], [height - room.bottom, room.top])
  const path = line<number>(
    (_share, year) => x(year),
    (share) => y(share),
  )
  const band = area<[number, number]>()
    .x((_range, year) => x(year))
    .y0(([low]) => y(low))
    .y1(([, high]) => y(high))
  let lowest = -Infinity
  const drawn = [...curves]
    .map((each) => ({ ...each, plumb: each.plumb.slice(0, years), low: each.low.slice(0, years) }))
    .sort((a, b) => b.plumb.at(-1)! - a.plumb.at(-1)!)
    .map(({ method, plumb, low, high }) => {
      lowest = Math.max(lowest + APART, y(plumb.at(-1)!))
      return {
        method,
        path: path([1, ...plumb])!,
        band: band([[1, 1], ...low.map((share, year): [number, number] => [share, high[year]!])])!,
        at: lowest,
      }
    })
  // What the last of them pushed under the ground comes up again, with those over it.
  const over = Math.max(0, lowest - y(0))
  for (const each of drawn) each.at -= over
  return { x, y, curves: drawn, ...(fenceYears <= years ? { end: x(fenceYears) } : {}) }
}
