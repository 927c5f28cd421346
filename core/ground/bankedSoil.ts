import type { Metres, Pascals } from '../units/types'
import type { AnySoil } from './soil'

/** Loose soil that never was compacted presses with this share of its weight; a working value between rest and active. */
const SIDEWAYS = 0.5
/** Where the soil gives no figure, N/m³. */
const HEAVY = 18_000

/**
 * Soil heaped against a fence, as a load that is even over its height.
 *
 * @param height of the heap at the fence, m, > 0
 * @returns mean pressure K γ h / 2, Pa, over that height
 * @source triangular earth pressure, K = 0.5; even over the height it turns the post somewhat more: on the safe side
 * @example bankedSoil(0.4, firmClay) // { height: 0.4, pressure: 1800 } at 18 kN/m³
 */
export function bankedSoil(height: Metres, soil: AnySoil): { height: Metres; pressure: Pascals } {
  const weight = soil.kind === 'none' ? HEAVY : soil.unitWeight
  return { height, pressure: (SIDEWAYS * weight * height) / 2 }
}
