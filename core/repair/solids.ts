import type { Metres } from '../units/types'

/** Metres from the foot of the post at the ground: x to the right along the line, y upwards. */
export type Point = readonly [x: Metres, y: Metres]

/** What a thing is made of, as it is drawn. */
export type Matter =
  | 'wood'
  | 'new-wood'
  | 'decay'
  | 'steel'
  | 'concrete'
  | 'old-concrete'
  | 'new-concrete'
  | 'stone'
  | 'topping'
  | 'loose'
  /** Gone, or never measured: its outline alone. */
  | 'outline'

/** Edge by state: shape as well as colour tells. */
export type Edge = 'solid' | 'dashed' | 'broken' | 'thin' | 'none'

export type Side = 'left' | 'right' | 'above' | 'below' | 'over'

/** A measure of a thing, drawn beside it. */
export interface Measure {
  key: string
  from: Point
  to: Point
  side: Side
  length: Metres
  /** What it is, for whoever does not see where it stands. */
  says: string
  /** Behind the figure, where the figure alone does not say what it is. */
  words?: string
}

/** A thing that stands, seen from the side: what a method leaves in the ground and above it. */
export interface Solid {
  key: string
  matter: Matter
  outline: Point[]
  edge: Edge
  /** The link that it is, where it is one: the weakest is named on it. */
  link?: string
  /** Words that point at it. */
  note?: string
  measures?: Measure[]
}

/** The same, so far to the right. */
export const movedBy = (solids: readonly Solid[], right: Metres): Solid[] => {
  const moved = ([x, y]: Point): Point => [x + right, y]
  return solids.map((solid) => ({
    ...solid,
    outline: solid.outline.map(moved),
    ...(solid.measures
      ? { measures: solid.measures.map((each) => ({ ...each, from: moved(each.from), to: moved(each.to) })) }
      : {}),
  }))
}

export function box(left: Metres, right: Metres, bottom: Metres, top: Metres): Point[] {
  return [
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
  ]
}

export function extentOf(outline: readonly Point[]): { left: Metres; right: Metres; bottom: Metres; top: Metres } {
  const xs = outline.map(([x]) => x)
  const ys = outline.map(([, y]) => y)
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}

/** How far a measure stands off what it measures, m. */
const OFF: Metres = 0.12

/** The height of a thing above or below the ground, measured to its right. */
export function heightOf(key: string, says: string, right: Metres, to: Metres, off = OFF): Measure {
  return { key, says, from: [right + off, 0], to: [right + off, to], side: 'right', length: Math.abs(to) }
}
