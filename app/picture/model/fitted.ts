import type { Edge, Matter, Measure, Point, Side, Solid } from '~~/core/repair/solids'

/* Small drawings in metres, put together by hand and fitted into their frame. */

export interface FittedPicture {
  solids: Solid[]
  /** The ground lies at the height 0. */
  hasGround?: boolean
}
export const solid = (
  key: string,
  matter: Matter,
  outline: Point[],
  measures: Measure[] = [],
  edge: Edge = 'solid',
): Solid => ({
  key,
  matter,
  outline,
  edge,
  ...(measures.length > 0 ? { measures } : {}),
})
export const measure = (key: string, from: Point, to: Point, side: Side, says: string): Measure => ({
  key,
  from,
  to,
  side,
  says,
  length: Math.hypot(to[0] - from[0], to[1] - from[1]),
})
/** A stick from one point to another, so wide. */
export function stick(key: string, [x1, y1]: Point, [x2, y2]: Point, wide: number, matter: Matter = 'wood'): Solid {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  const [dx, dy] = [(-(y2 - y1) / length) * (wide / 2), ((x2 - x1) / length) * (wide / 2)]
  return solid(key, matter, [
    [x1 + dx, y1 + dy],
    [x2 + dx, y2 + dy],
    [x2 - dx, y2 - dy],
    [x1 - dx, y1 - dy],
  ])
}
/** An arrow that pushes to the right, its point at x. */
export const arrow = (x: number, y: number, long: number): Solid =>
  solid(
    'load',
    'steel',
    [
      [x - long, y + 0.012],
      [x - 0.08, y + 0.012],
      [x - 0.08, y + 0.05],
      [x, y],
      [x - 0.08, y - 0.05],
      [x - 0.08, y - 0.012],
      [x - long, y - 0.012],
    ],
    [],
    'none',
  )
export const ARROW = 0.45
