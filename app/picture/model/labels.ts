import type { Measure, Point } from '~~/core/repair/solids'
import type { Note } from './geometry'
import { px, type Viewport } from './viewport'

/* Words in the drawing: each is put where it belongs, or beside it, or left out; two never lie over each other. */

export type LabelStyle = 'dimension' | 'note' | 'name'
type Anchor = 'start' | 'middle' | 'end'

export interface Label {
  key: string
  text: string
  style: LabelStyle
  anchor: Anchor
  /** Baseline, px in the drawing of the line. */
  x: number
  y: number
  /** Other places, as steps from the first one, px. */
  moves: readonly (readonly [dx: number, dy: number])[]
  /** What the words speak of, where a pointer is drawn to it. */
  pointsAt?: readonly [x: number, y: number]
}

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

/** Height of the letters and their usual width, px. */
const TYPE: Record<LabelStyle, { size: number; letter: number }> = {
  dimension: { size: 17, letter: 8.2 },
  note: { size: 15, letter: 7.9 },
  name: { size: 15, letter: 7.4 },
}
const AIR = 3

export function boxOf(
  { x, y, text, style, anchor }: Pick<Label, 'x' | 'y' | 'text' | 'style' | 'anchor'>,
  scale = 1,
): Box {
  const size = TYPE[style].size * scale
  const width = text.length * TYPE[style].letter * scale
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
  return { left: left - AIR, right: left + width + AIR, top: y - size, bottom: y + AIR }
}

const overlap = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/**
 * Labels that fit, in the order of their weight: the first in the list are placed first.
 *
 * @param reserved places that are taken already
 * @param scale    of the letters against the usual ones
 * @returns those that found a place, none over another
 */
export function placeLabels(labels: readonly Label[], reserved: readonly Box[] = [], scale = 1): Label[] {
  const taken: Box[] = [...reserved]
  return labels.flatMap((label) => {
    for (const [dx, dy] of [[0, 0] as const, ...label.moves]) {
      const moved = { ...label, x: px(label.x + dx * scale), y: px(label.y + dy * scale) }
      const box = boxOf(moved, scale)
      if (taken.some((other) => overlap(box, other))) continue
      taken.push(box)
      return [moved]
    }
    return []
  })
}

const at = ([x, y]: Point, { pixelsPerMetre, groundY }: Viewport, origin: number) =>
  [px((x + origin) * pixelsPerMetre), px(groundY - y * pixelsPerMetre)] as const

export function dimensionLabel(dimension: Measure, viewport: Viewport, origin: number, text: string): Label {
  const [x1, y1] = at(dimension.from, viewport, origin)
  const [x2, y2] = at(dimension.to, viewport, origin)
  const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 }
  const common = { key: `dimension-${dimension.key}`, text, style: 'dimension' as const }
  switch (dimension.side) {
    case 'left':
      return { ...common, anchor: 'end', x: middle.x - 10, y: middle.y + 5, moves: UP_AND_DOWN }
    case 'right':
      return { ...common, anchor: 'start', x: middle.x + 10, y: middle.y + 5, moves: UP_AND_DOWN }
    case 'above':
      return {
        ...common,
        anchor: 'end',
        x: Math.min(x1, x2) - 10,
        y: middle.y + 5,
        moves: [
          [0, -22],
          [0, 24],
        ],
      }
    case 'over':
      return {
        ...common,
        anchor: 'middle',
        x: middle.x,
        y: middle.y - 8,
        moves: [
          [0, -20],
          [0, -40],
        ],
      }
    default:
      return {
        ...common,
        anchor: 'middle',
        x: middle.x,
        y: middle.y + 24,
        moves: [
          [0, 18],
          [40, 0],
          [-40, 0],
        ],
      }
  }
}
const UP_AND_DOWN = [
  [0, -20],
  [0, 20],
  [0, -40],
  [0, 40],
] as const

const REACH = 44
const RISE = 26
export function noteLabel(note: Note, viewport: Viewport, origin: number): Label {
  const [x, y] = at(note.at, viewport, origin)
  const direction = note.side === 'right' ? 1 : -1
  return {
    key: `note-${note.key}`,
    text: note.text,
    style: 'note',
    anchor: note.side === 'right' ? 'start' : 'end',
    x: x + direction * (REACH + 5),
    y: y - RISE + 4,
    moves: [
      [0, -22],
      [0, 48],
      [0, -44],
      [0, 70],
      [direction * 30, -66],
    ],
    pointsAt: [x, y],
  }
}

export function nameLabel(key: string, text: string, x: number, y: number): Label {
  return { key, text, style: 'name', anchor: 'middle', x, y, moves: [[0, 18]] }
}
