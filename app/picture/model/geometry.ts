import type { Metres } from '~~/core/units/types'

/** Metres; x to the right along the line, y upwards from the ground at the post. */
export type Point = readonly [x: Metres, y: Metres]

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

export type Outline = 'solid' | 'dashed' | 'broken' | 'thin' | 'none'

export interface Shape {
  key: string
  matter: Matter
  points: Point[]
  outline: Outline
}

/** A dimension line with ticks; `text` is filled in by whoever knows the person's units. */
export interface Dimension {
  key: string
  from: Point
  to: Point
  /** Side of the line on which the figure stands. */
  side: 'left' | 'right' | 'above' | 'below' | 'over'
  length: Metres
  words?: string
}

export interface Note {
  key: string
  at: Point
  text: string
  side: 'left' | 'right'
}

/** The same points, higher by `rise`. */
export const lifted = (points: readonly Point[], rise: Metres): Point[] =>
  rise === 0 ? [...points] : points.map(([x, y]) => [x, y + rise] as const)

export function box(left: Metres, right: Metres, bottom: Metres, top: Metres): Point[] {
  return [
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
  ]
}

/** An upright of constant width that leans by `slope` metres for each metre of height. */
export function leaning(width: Metres, bottom: Metres, top: Metres, slope: number): Point[] {
  const half = width / 2
  return [
    [slope * bottom - half, bottom],
    [slope * bottom + half, bottom],
    [slope * top + half, top],
    [slope * top - half, top],
  ]
}
