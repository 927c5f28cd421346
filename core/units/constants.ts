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

/** International pound, kg; US gallon, m³; mile per hour, m/s: exact. Pound-force on a square inch, Pa. */
export const POUND = 0.45359237
export const GALLON = 0.003785411784
export const MILE_PER_HOUR = 0.44704
export const POUND_PER_SQUARE_INCH = 6894.757
