import { extentOf, type Matter, type Measure, type Point, type Solid } from '../repair/solids'
import type { Metres } from '../units/types'
import type { Measures } from '../units/quantity'
import { element, textLine } from './svg'

/** Colours of the printed page: ink on white. */
const FILL: Record<Matter, string> = {
  wood: '#e2bd7e',
  'new-wood': '#f0d8a8',
  decay: '#b0926a',
  steel: '#9aa4ab',
  concrete: '#c9c9c4',
  'old-concrete': '#dedad0',
  'new-concrete': '#c9c9c4',
  stone: '#ececec',
  topping: '#cdb693',
  loose: '#e6dcc8',
  outline: 'none',
}
const INK = '#22302f'

/** Where a section is drawn, in points of the page, and how much of it. */
export interface SectionFrame {
  left: number
  right: number
  top: number
  height: number
  /** Of the hole, and so much of the post over the ground, m. */
  depth: Metres
  above: Metres
  /** Of the figures. */
  size: number
}

type Placed = (point: Point) => readonly [number, number]

/** What stands in the ground in true scale, the ground across the frame, its measures beside it. */
export function sectionDrawing(stands: readonly Solid[], frame: SectionFrame, says: Measures): string {
  const { left, right, top, height, depth, above, size } = frame
  const scale = height / (depth + above + 0.2)
  const groundY = top + above * scale
  const middle = (left + right) / 2
  const at: Placed = ([x, y]) => [middle + x * scale, groundY - Math.min(y, above) * scale]
  const shapes = stands.map((solid) =>
    element('polygon', {
      points: solid.outline
        .map((point) =>
          at(point)
            .map((each) => each.toFixed(1))
            .join(','),
        )
        .join(' '),
      fill: FILL[solid.matter],
      stroke: INK,
      'stroke-width': solid.edge === 'thin' ? 0.8 : 1.4,
      'stroke-dasharray': solid.edge === 'dashed' || solid.edge === 'broken' ? '5 4' : undefined,
    }),
  )
  const ground = element('line', { x1: left, x2: right, y1: groundY, y2: groundY, stroke: INK, 'stroke-width': 2.5 })
  const measures = stands.flatMap((solid) => (solid.measures ?? []).filter(({ to }) => to[1] <= 0))
  const notes = stands
    .filter(({ key, note }) => note && key.startsWith('met'))
    .map(({ outline, note }) => {
      const extent = extentOf(outline)
      const [x, y] = at([extent.right, (extent.top + extent.bottom) / 2])
      return textLine({ x: x + 6, y: y + 4, size: 13, text: note! })
    })
  return [...shapes, ground, ...measures.map((measure) => dimension(measure, at, size, says)), ...notes].join('')
}

function dimension({ from, to, side, length, words }: Measure, at: Placed, size: number, says: Measures) {
  const [x1, y1] = at(from)
  const [x2, y2] = at(to)
  const tick = (x: number, y: number) =>
    element('line', { x1: x - 5, y1: y + 5, x2: x + 5, y2: y - 5, stroke: INK, 'stroke-width': 1.2 })
  const [x, y, anchor] =
    side === 'below'
      ? ([(x1 + x2) / 2, y1 + size + 6, 'middle'] as const)
      : side === 'left'
        ? ([x1 - 10, (y1 + y2) / 2 + 5, 'end'] as const)
        : ([x1 + 10, (y1 + y2) / 2 + 5, 'start'] as const)
  const text = words ? `${says.length(length)} ${words}` : says.length(length)
  return [
    element('line', { x1, y1, x2, y2, stroke: INK, 'stroke-width': 1.2 }),
    tick(x1, y1),
    tick(x2, y2),
    textLine({ x, y, size, text, bold: true, anchor }),
  ].join('')
}
