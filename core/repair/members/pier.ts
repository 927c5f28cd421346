import { requireNumber } from '../../errors'
import type { Soil } from '../../ground/soil'
import { WET_CONCRETE_WEIGHT } from '../../units/constants'
import type { Metres, Newtons, Pascals, SquareMetres } from '../../units/types'

export interface PierBearing {
  pressure: Pascals
  /** Null where the soil has no presumptive figure. */
  allowable: Pascals | null
  holds: boolean
}

/**
 * Pressure under a load-bearing pier against what the soil bears.
 *
 * Load-bearing work is for a licensed builder or engineer; this figure is a first look.
 *
 * @param load dead and live, N, ≥ 0
 * @param base area of the foot, m²
 * @source presumptive bearing by soil, working values
 * @example pierBearing(6000, 0.0707, firmClay) // 84.9 kPa of 100: holds
 */
export function pierBearing(load: Newtons, base: SquareMetres, soil: Soil): PierBearing {
  requireNumber('load', load, 0, 1e7, 'N')
  requireNumber('base', base, 0.001, 20, 'm²')
  const pressure = load / base
  return { pressure, allowable: soil.bearing, holds: soil.bearing !== null && pressure <= soil.bearing }
}

/**
 * Force with which wet concrete lifts a form that is wider at its foot than at its top.
 *
 * @param depth     of concrete over the taper, m
 * @param taperArea plan area by which the foot is wider than the top, m²
 * @returns N: weigh or tie the form down against it
 * @source hydrostatic, 24 kN/m³ × depth × taper area
 * @example formUplift(0.6, 0.05) // 720 N, as much as 73 kg weighs
 */
export function formUplift(depth: Metres, taperArea: SquareMetres): Newtons {
  requireNumber('depth', depth, 0, 5, 'm')
  requireNumber('taperArea', taperArea, 0, 10, 'm²')
  return WET_CONCRETE_WEIGHT * depth * taperArea
}
