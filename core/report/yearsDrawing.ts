import { yearsDrawn, type PlumbYears } from '../survive/years'
import { element, textLine } from './svg'

export interface YearsFrame {
  left: number
  right: number
  top: number
  height: number
  size: number
  /** The year of the calendar at which it begins. */
  from: number
  /** Years from then at which the fence itself is at its end. */
  fenceYears: number
}

const STEP = 5

/** How many of ten such posts are still plumb, year by year, with the range; the fence's own end is marked. */
export function yearsDrawing(curve: Pick<PlumbYears, 'plumb' | 'low' | 'high'>, frame: YearsFrame): string {
  const { left, right, top, height, size, from, fenceYears } = frame
  const years = yearsDrawn(fenceYears)
  const [start, bottom] = [left + size * 3.4, top + height - size * 1.8]
  const x = (year: number) => start + ((right - start) * year) / years
  const y = (share: number) => bottom - (bottom - top) * share
  const path = (shares: readonly number[]) =>
    [1, ...shares.slice(0, years)].map((share, year) => `${tenth(x(year))},${tenth(y(share))}`)
  const band = [...path(curve.high), ...path(curve.low).reverse()].join(' ')
  const marks = Array.from({ length: Math.floor(years / STEP) + 1 }, (_, i) => i * STEP)
  const line = (x1: number, y1: number, x2: number, y2: number, more = {}) =>
    element('line', { x1, y1, x2, y2, stroke: '#22302f', 'stroke-width': 1, ...more })
  return [
    element('polygon', { points: band, fill: '#d9d2bf' }),
    line(start, y(0), right, y(0)),
    line(start, y(1), start, y(0)),
    ...[0, 0.5, 1].map((share) =>
      textLine({ x: start - 6, y: y(share) + size * 0.35, size, text: String(share * 10), anchor: 'end' }),
    ),
    ...marks.flatMap((year) => [
      line(x(year), y(0), x(year), y(0) + 4),
      textLine({ x: x(year), y: bottom + size * 1.4, size, text: String(from + year), anchor: 'middle' }),
    ]),
    element('polyline', { points: path(curve.plumb).join(' '), fill: 'none', stroke: '#22302f', 'stroke-width': 2.5 }),
    ...(fenceYears <= years
      ? [
          line(x(fenceYears), y(1), x(fenceYears), y(0), { 'stroke-dasharray': '5 4' }),
          textLine({ x: x(fenceYears) - 4, y: y(0) - 4, size, text: 'the fence’s own end', anchor: 'end' }),
        ]
      : []),
  ].join('')
}
const tenth = (value: number) => Math.round(value * 10) / 10
