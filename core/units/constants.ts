import type { Metres, Newtons } from './types'

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665
export const INCH: Metres = 0.0254
export const FOOT: Metres = 12 * INCH
export const POUND_FORCE: Newtons = 4.4482216
/** Weight of water, N/m³, and of wet concrete. */
export const WATER_WEIGHT = 9_810
export const WET_CONCRETE_WEIGHT = 24_000
/** Of water, kg/m³. */
export const WATER_DENSITY = 1_000
