import { WATER_WEIGHT } from '../units/constants'
import type { Pascals, Radians } from '../units/types'

/** Seasons in which a post has to stand. */
export const SEASONS = ['wet', 'dry'] as const
export type Season = (typeof SEASONS)[number]

interface SoilBase {
  key: string
  name: string
  /** What a thumb, a bar or a pick finds. */
  fieldTest: string
  /** Bulk unit weight above and below the water, N/m³. */
  unitWeight: number
  saturatedUnitWeight: number
  /** Presumptive lateral pressure per metre of depth, Pa/m; null where the code gives none. */
  lateral: number | null
  /** Presumptive bearing under a pier, Pa; null where there is none. */
  bearing: Pascals | null
  /** Dry-season depth that shrinks or stays loose and is not counted, m. */
  drySeasonIgnored: number
  /** Digging rate against loam, and what a hole takes over its plan. */
  digging: number
  overdig: number
}

export interface Clay extends SoilBase {
  kind: 'clay'
  /** Undrained strength, Pa. */
  cohesion: Pascals
  /** Matlock's J. */
  depthFactor: number
}

export interface Sand extends SoilBase {
  kind: 'sand'
  friction: Radians
  /** Growth of the first stiffness with depth, Pa per metre. */
  stiffnessRate: number
  /** What suction and roots lend it while it is not saturated, Pa. */
  apparentCohesion: Pascals
}

/** A soil that is known and for which no figure is given. */
export interface NoFigureSoil {
  kind: 'none'
  key: string
  name: string
  fieldTest: string
  advice: string
}

export type Soil = Clay | Sand
export type AnySoil = Soil | NoFigureSoil

/** Shares of the dry figures that stay in saturated ground. */
const SATURATED_COHESION = 0.75
const SATURATED_STIFFNESS = 0.6
/** Stiffness of clay at rest over its undrained strength. */
const CLAY_STIFFNESS = 400
/** Matlock's factor for repeated load. */
const REPEATED_LOAD = 0.72

/**
 * Resistance of a soil in one state, per metre of depth and per metre of width.
 *
 * Both laws are straight lines in depth, cut off at `cap`:
 * limit(z) = min(cap, limitAtTop + limitRate · z), stiffness(z) = stiffnessAtTop + stiffnessRate · z.
 */
export interface GroundState {
  /** Pa. */
  limitAtTop: number
  /** Pa per metre; for clay the part that grows with width is `limitRatePerWidth` / width. */
  limitRate: number
  /** Clay only: J c_u, divided by the width of the segment, Pa. */
  limitRatePerWidth: number
  cap: number
  stiffnessAtTop: number
  stiffnessRate: number
  /** Of the soil itself, N/m³, and what each pascal of weight over it adds to the limit. */
  weight: number
  limitPerPressure: number
}

/** What suction and roots lend a soil in this state, Pa: nothing to clay, nothing in standing water. */
export const apparentCohesion = (soil: Soil, saturated: boolean): Pascals =>
  soil.kind === 'sand' && !saturated ? soil.apparentCohesion : 0

/**
 * @param saturated water stands in the ground at the post
 * @param cohesion  counted in sand, gravel and made ground, Pa: adds 3 · 2 c √K_p to the limit, nothing to the stiffness
 * @source clay: Matlock, OTC 1204 (1970), with his factor for repeated load; sand: Broms,
 *   J. Soil Mech. Found. Div. 90 SM3 (1964); stiffness is the tangent at rest, twice
 *   Terzaghi's working-load figures, Géotechnique 5 (1955)
 * @example groundState(firmClay, false).cap // 0.72 · 9 · 40 kPa = 259 200 Pa
 */
export function groundState(soil: Soil, saturated: boolean, cohesion: Pascals = 0): GroundState {
  const weight = saturated ? soil.saturatedUnitWeight - WATER_WEIGHT : soil.unitWeight
  if (soil.kind === 'clay') {
    const cohesion = soil.cohesion * (saturated ? SATURATED_COHESION : 1)
    return {
      limitAtTop: REPEATED_LOAD * 3 * cohesion,
      limitRate: REPEATED_LOAD * weight,
      limitRatePerWidth: REPEATED_LOAD * soil.depthFactor * cohesion,
      cap: REPEATED_LOAD * 9 * cohesion,
      stiffnessAtTop: CLAY_STIFFNESS * cohesion,
      stiffnessRate: 0,
      weight,
      limitPerPressure: REPEATED_LOAD,
    }
  }
  const passive = Math.tan(Math.PI / 4 + soil.friction / 2) ** 2
  return {
    limitAtTop: 6 * cohesion * Math.sqrt(passive),
    limitRate: 3 * passive * weight,
    limitRatePerWidth: 0,
    cap: Infinity,
    stiffnessAtTop: 0,
    stiffnessRate: soil.stiffnessRate * (saturated ? SATURATED_STIFFNESS : 1),
    weight,
    limitPerPressure: 3 * passive,
  }
}

/**
 * Top layer without resistance: turf and frost in the wet season, shrinkage cracks in the dry.
 *
 * @returns m; working values
 */
export function ignoredTop(soil: Soil, season: Season): number {
  return season === 'wet' ? WET_SEASON_IGNORED : soil.drySeasonIgnored
}

const WET_SEASON_IGNORED = 0.15
