import type { Point } from '~~/core/repair/solids'
import type { Metres } from '~~/core/units/types'

/** Words that point at a place of the drawing. */
export interface Note {
  key: string
  at: Point
  text: string
  side: 'left' | 'right'
}

/** The same points, higher by `rise`. */
export const lifted = (points: readonly Point[], rise: Metres): Point[] =>
  rise === 0 ? [...points] : points.map(([x, y]) => [x, y + rise] as const)

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
