import { InputError, requireNumber } from '../errors'
import { GAUSS_NODES, GAUSS_WEIGHTS } from '../numeric/quadrature'
import { grossArea, type Section } from '../timber/section'
import type { CubicMetres, Metres } from '../units/types'

interface HoleZones {
  depth: Metres
  /** Tamped stone at the bottom, m. */
  stoneBed?: Metres
  /** Top of the fill below finished ground, m; negative when it stands above. */
  fillTop?: Metres
  /** Cone of concrete above the fill's top at the post, shedding water. */
  crown?: boolean
}

export type HoleShape =
  | ({ shape: 'round'; diameter: Metres } & HoleZones)
  | ({ shape: 'square'; side: Metres } & HoleZones)
  | ({ shape: 'tapered'; topDiameter: Metres; bottomDiameter: Metres } & HoleZones)
  | ({ shape: 'belled'; diameter: Metres; bellDiameter: Metres; bellHeight: Metres } & HoleZones)

export interface HoleVolumes {
  /** Dug, with the over-dig, m³. */
  hole: CubicMetres
  concrete: CubicMetres
  stone: CubicMetres
  /** Loose, m³. */
  spoil: CubicMetres
  /** Soil or turf over the fill, m³. */
  topping: CubicMetres
  /** What stands in the concrete, m³. */
  solids: CubicMetres
  /** Beyond the hole: what an old block left that was broken out, m³. */
  void: CubicMetres
}

/** Round room in the ground, about the hole's own middle. */
export interface RoundVoid {
  diameter: Metres
  top: Metres
  bottom: Metres
}

const CROWN_HEIGHT = 0.025

/** Loose volume over dug volume, by kind of ground. */
const SWELL = { clay: 1.3, sand: 1.15 } as const

export interface HoleContents {
  hole: HoleShape
  /** Standing in the concrete down to the stone bed; absent when nothing does. */
  post?: Section
  /** Further volumes inside the concrete: spur, pin, sleeve, stones; a void counts negative, m³. */
  insets?: readonly CubicMetres[]
  /** Share dug over plan and filled with concrete, 0.1 is 10 %. */
  overdig?: number
  ground?: 'clay' | 'sand'
  /** Room that an old block left: concrete fills what is really there. */
  leftBy?: RoundVoid
}

/**
 * What a hole takes and gives.
 *
 * @throws InputError when zones do not fit the depth or sizes leave their range
 * @source volumes of revolution; swell and crown are working values
 * @example round 0.300 by 0.750, stone bed 0.100, fill top 0.075, post 100 × 100:
 *   concrete 34.89 L
 * @example the same where a block of 0.600 by 0.900 came out: 185.55 L more
 */
export function holeVolumes(contents: HoleContents): HoleVolumes {
  const { hole, post, insets = [], overdig = 0, ground = 'clay', leftBy } = contents
  const { depth, stoneBed = 0, fillTop = 0 } = hole
  requireHole(hole)
  requireNumber('overdig', overdig, 0, 2)
  const stoneTop = depth - stoneBed
  const planned = volumeBetween(hole, 0, depth)
  const extra = planned * overdig
  const inHole = volumeBetween(hole, Math.max(0, fillTop), stoneTop)
  const collar = fillTop < 0 ? -fillTop * areaAt(hole, 0) : 0
  const crown = hole.crown ? (areaAt(hole, Math.max(0, fillTop)) * CROWN_HEIGHT) / 3 : 0
  const postVolume = post ? grossArea(post) * (stoneTop - fillTop) : 0
  const insetVolume = insets.reduce((sum, volume) => sum + volume, 0)
  const left = leftBy ? volumeBeyond(hole, leftBy) : 0
  return {
    hole: planned + extra,
    concrete: Math.max(0, inHole + collar + crown + extra - postVolume - insetVolume + left),
    stone: volumeBetween(hole, stoneTop, depth),
    spoil: (planned + extra) * SWELL[ground],
    topping: volumeBetween(hole, 0, Math.max(0, fillTop)),
    solids: postVolume + insetVolume,
    void: left,
  }
}

function requireHole(hole: HoleShape): void {
  requireNumber('hole.depth', hole.depth, 0.05, 5, 'm')
  for (const size of ['diameter', 'side', 'topDiameter', 'bottomDiameter', 'bellDiameter'] as const) {
    if (size in hole) requireNumber(`hole.${size}`, hole[size as keyof HoleShape], 0.05, 3, 'm')
  }
  const { stoneBed = 0, fillTop = 0, depth } = hole
  requireNumber('hole.stoneBed', stoneBed, 0, depth, 'm')
  requireNumber('hole.fillTop', fillTop, -0.5, depth, 'm')
  if (stoneBed + Math.max(0, fillTop) >= depth) {
    throw new InputError(
      'hole.stoneBed',
      stoneBed,
      `less than ${(depth - Math.max(0, fillTop)).toFixed(3)} m, to leave room for the fill`,
    )
  }
  if (hole.shape === 'belled') requireNumber('hole.bellHeight', hole.bellHeight, 0, depth, 'm')
}

function areaAt(hole: HoleShape, z: Metres): number {
  switch (hole.shape) {
    case 'square':
      return hole.side ** 2
    case 'round':
      return disc(hole.diameter)
    case 'tapered':
      return disc(hole.topDiameter + ((hole.bottomDiameter - hole.topDiameter) * z) / hole.depth)
    case 'belled':
      return disc(z < hole.depth - hole.bellHeight ? hole.diameter : hole.bellDiameter)
  }
}

/** Volume between two depths, m³: Simpson's rule is exact for prisms and cones. */
function volumeBetween(hole: HoleShape, top: Metres, bottom: Metres): CubicMetres {
  if (bottom <= top) return 0
  if (hole.shape === 'belled') {
    const step = hole.depth - hole.bellHeight
    const shaft = Math.max(0, Math.min(bottom, step) - top)
    return disc(hole.diameter) * shaft + disc(hole.bellDiameter) * (bottom - top - shaft)
  }
  const middle = areaAt(hole, (top + bottom) / 2)
  return ((bottom - top) / 6) * (areaAt(hole, top) + 4 * middle + areaAt(hole, bottom))
}

/** Of a round void, what lies outside the hole and below its topping, m³. */
function volumeBeyond(hole: HoleShape, { diameter, top, bottom }: RoundVoid): CubicMetres {
  requireNumber('leftBy.diameter', diameter, 0.05, 3, 'm')
  requireNumber('leftBy.bottom', bottom, top, 5, 'm')
  const from = Math.max(top, hole.fillTop ?? 0)
  // Sizes of a hole change at few depths: between two of them one side is the wider all the way, or a cone.
  const stops = [from, bottom, hole.depth, ...(hole.shape === 'belled' ? [hole.depth - hole.bellHeight] : [])]
    .filter((z) => z >= from && z <= bottom)
    .sort((a, b) => a - b)
  const beyond = (z: Metres) => Math.max(0, disc(diameter) - (z < hole.depth ? areaAt(hole, z) : 0))
  return stops.slice(1).reduce((sum, z, i) => {
    const above = stops[i]!
    return (
      sum +
      GAUSS_NODES.reduce((part, x, n) => part + GAUSS_WEIGHTS[n]! * beyond(above + x * (z - above)), 0) * (z - above)
    )
  }, 0)
}

const disc = (diameter: Metres) => (Math.PI * diameter ** 2) / 4

/**
 * Hole less post down to a depth: where the water of the water-first rule stands, m³.
 *
 * @example round 0.300, post 100 × 100, to 0.200 from the bottom of 0.600: 12.14 L
 */
export function freeVolume(hole: HoleShape, post: Section | undefined, top: Metres, bottom: Metres): CubicMetres {
  return volumeBetween(hole, top, bottom) - (post ? grossArea(post) * (bottom - top) : 0)
}
