import type { Metres } from '~~/core/units/types'
import type { Point } from '~~/core/repair/solids'

/** How metres become pixels: one scale for both directions, the ground at one height. */
export interface Viewport {
  width: number
  height: number
  pixelsPerMetre: number
  /** Of the ground line from the top of the drawing, px. */
  groundY: number
}

export const ZOOM = { least: 40, most: 320 }

/** Share of the drawing that lies above the ground when a fence of this height is to fit. */
const ABOVE_SHARE = 0.62
const ROOM_ABOVE: Metres = 0.45
/** Under this height a drawing cannot show fence and hole at a readable scale: it shows one of them. */
const LOW = 320
/** Then the hole comes first: this much lies above the ground, and this is free below the hole. */
const ABOVE_HOLE_SHARE = 0.4
const ROOM_BELOW: Metres = 0.42

/**
 * A viewport in which the fence and the hole below it fit, at 100 to 160 px per metre where the
 * screen allows.
 *
 * @param wish `zoom` px per metre that a person asked for; `hole` depth of the hole that
 *   matters more than the top of the fence, m
 */
export function fitViewport(
  width: number,
  height: number,
  fenceHeight: Metres,
  wish: { zoom?: number; hole?: Metres } = {},
): Viewport {
  const { zoom, hole } = wish
  if (height < LOW && hole !== undefined && zoom === undefined) {
    const scale = (height * (1 - ABOVE_HOLE_SHARE)) / (hole + ROOM_BELOW)
    return {
      width,
      height,
      pixelsPerMetre: Math.max(ZOOM.least, Math.min(160, scale)),
      groundY: height * ABOVE_HOLE_SHARE,
    }
  }
  const aboveFits = (height * ABOVE_SHARE) / (fenceHeight + ROOM_ABOVE)
  const fitted = Math.min(160, Math.max(ZOOM.least, aboveFits))
  const pixelsPerMetre = Math.min(ZOOM.most, Math.max(ZOOM.least, zoom ?? fitted))
  const above = Math.min(height * ABOVE_SHARE, (fenceHeight + ROOM_ABOVE) * pixelsPerMetre)
  return { width, height, pixelsPerMetre, groundY: Math.max(above, height * 0.45) }
}

/** SVG point list, relative to `origin` metres along the line. */
export function svgPoints(points: readonly Point[], viewport: Viewport, origin: Metres = 0): string {
  return points
    .map(
      ([x, y]) => `${px((x + origin) * viewport.pixelsPerMetre)},${px(viewport.groundY - y * viewport.pixelsPerMetre)}`,
    )
    .join(' ')
}

export const px = (value: number) => Math.round(value * 10) / 10
