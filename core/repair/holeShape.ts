import type { HoleShape } from '../concrete/volume'
import type { HOLE_SHAPES } from '../document/vocabulary'
import type { Segment } from '../ground/profile'
import type { Metres } from '../units/types'
import type { Point } from './solids'

/** A hole as designed, all sizes in metres; of a square one `diameter` is its side. */
export interface DesignedHole {
  shape: (typeof HOLE_SHAPES)[number]
  diameter: Metres
  /** From finished ground to the bottom of the stone bed. */
  depth: Metres
  stoneBed: Metres
  fillTop: Metres
  /** Bottom of the concrete: what the depth rules speak of. */
  footingBottom: Metres
  /** Rule that asked for the depth; 'chosen' when the technician set it. */
  rule: string
  /** At the bottom of a tapered hole; its `diameter` is that of the top. */
  bottomDiameter?: Metres
  bellDiameter?: Metres
  bellHeight?: Metres
  crown?: boolean
  /** Of what stands in it from the middle of the hole, to the right positive. */
  shift?: Metres
  /** Wedged into the concrete, share of its volume. */
  stones?: number
  /** A board across the push near the surface, on both faces. */
  key?: boolean
  /** No hole that can be dug holds the target gust: nobody may call this depth recommended. */
  noHoleHolds?: true
}

/* What the shape of a hole means: its widths by depth, for bearing, for volumes and for the drawing. */

/** A taper bears by slices, each as wide as it is in its middle. */
const SLICES = 8

/** Width at its foot, m: of a tapered or a belled hole another than at its top. */
export function footWidth({ shape, diameter, bottomDiameter, bellDiameter }: DesignedHole): Metres {
  if (shape === 'tapered') return bottomDiameter ?? diameter
  return shape === 'belled' ? Math.max(diameter, bellDiameter ?? diameter) : diameter
}

/** Width at a depth below the ground, m; of a square hole its side. */
export function widthAt(hole: DesignedHole, z: Metres): Metres {
  const { shape, diameter, depth } = hole
  switch (shape) {
    case 'round':
    case 'square':
      return diameter
    case 'tapered':
      return diameter + ((footWidth(hole) - diameter) * Math.min(z, depth)) / depth
    case 'belled':
      return z < bellTop(hole) ? diameter : footWidth(hole)
  }
}

/** Depth at which the bell begins, m. */
const bellTop = ({ depth, bellHeight = USUAL_BELL }: DesignedHole): Metres => Math.max(0, depth - bellHeight)
/** Height of a bell where nobody said another, m; a working value. */
export const USUAL_BELL: Metres = 0.2

/** The shape as volumes are worked out of it. */
export function volumeShape(hole: DesignedHole): HoleShape {
  const { shape, diameter, depth, stoneBed, fillTop, crown } = hole
  const zones = { depth, stoneBed, fillTop, ...(crown ? { crown } : {}) }
  switch (shape) {
    case 'round':
      return { shape, diameter, ...zones }
    case 'square':
      return { shape, side: diameter, ...zones }
    case 'tapered':
      return { shape, topDiameter: diameter, bottomDiameter: footWidth(hole), ...zones }
    case 'belled':
      return { shape, diameter, bellDiameter: footWidth(hole), bellHeight: depth - bellTop(hole), ...zones }
  }
}

/** Stretches of its concrete by the width that they bear with, from `top` down to its foot. */
export function bearingSegments(hole: DesignedHole, top: Metres, bearing = 1): Segment[] {
  const bottom = hole.footingBottom
  const wide = (z: Metres) => widthAt(hole, z) * bearing
  switch (hole.shape) {
    case 'round':
    case 'square':
      return [{ top, bottom, width: hole.diameter * bearing }]
    case 'tapered': {
      const slice = (bottom - top) / SLICES
      return Array.from({ length: SLICES }, (_, i) => ({
        top: top + i * slice,
        bottom: i === SLICES - 1 ? bottom : top + (i + 1) * slice,
        width: wide(top + (i + 0.5) * slice),
      }))
    }
    case 'belled': {
      const step = bellTop(hole)
      if (step <= top) return [{ top, bottom, width: wide(bottom) }]
      if (step >= bottom) return [{ top, bottom, width: wide(top) }]
      return [
        { top, bottom: step, width: wide(top) },
        { top: step, bottom, width: wide(bottom) },
      ]
    }
  }
}

/** Its outline between two heights over the ground, about its own middle. */
export function holeOutline(hole: DesignedHole, from: Metres, to: Metres): Point[] {
  const step = -bellTop(hole)
  const bends = hole.shape === 'belled' && step > from && step < to ? [step] : []
  const right: Point[] = [
    [widthAt(hole, -from) / 2, from],
    ...bends.flatMap((y): Point[] => [
      [widthAt(hole, -y) / 2, y],
      [widthAt(hole, -y - 1e-9) / 2, y],
    ]),
    [widthAt(hole, -to) / 2, to],
  ]
  const middle = -(hole.shift ?? 0)
  const left = right.map(([x, y]): Point => [-x, y]).reverse()
  return [...right, ...left].map(([x, y]): Point => [x + middle, y])
}
