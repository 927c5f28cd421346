import type { MaterialRow } from '../timber/materials'
import { INCH, POUND_FORCE, POUND_PER_SQUARE_INCH } from '../units/constants'
import type { Metres, Newtons } from '../units/types'
import type { Capacity, FixingPart } from '../tables/parts'
import { OVER_CODE } from '../tables/parts'

/** Gust duration and wet service, NDS 2018 Tables 2.3.2 and 11.3.3. */
const GUST = 1.6
const WET = 0.7
/** Withdrawal at failure over the tabled figure. */
const WITHDRAWAL_OVER = 3
/** Allowable share of a bolt's yield in tension. */
const BOLT_ALLOWABLE = 0.6
const HOLE_OVER_BOLT = 0.001

/**
 * Tension that one fixing takes when the spur is pulled away from the post.
 *
 * Screw: withdrawal 1800 G^1.5 D^0.75 lb per inch of thread, × 1.6 gusts × 0.7 wet, failing at
 * three times it. Through bolt: the wood under its washer, or the bolt's own tension.
 *
 * @source NDS 2018 eq. 12.2-1; washer bearing 2.0 MPa in wet softwood, 3.5 in hardwood
 * @example M12 with a 50 mm square washer in softwood: code 4.7 kN, governed by the wood
 */
export function fixingTension(fixing: FixingPart, wood: MaterialRow): Capacity {
  if (fixing.kind === 'screw') {
    const perInch = 1800 * (wood.gravity ?? 0) ** 1.5 * (fixing.diameter / INCH) ** 0.75
    const code = perInch * POUND_FORCE * (fixing.thread / INCH) * GUST * WET
    return { code, over: code * WITHDRAWAL_OVER }
  }
  const hole = fixing.diameter + HOLE_OVER_BOLT
  const washer = (fixing.washer ** 2 - (Math.PI * hole ** 2) / 4) * (wood.washerBearing ?? 0)
  return {
    code: Math.min(washer, fixing.stressArea * fixing.yield * BOLT_ALLOWABLE),
    over: Math.min(washer * OVER_CODE, fixing.stressArea * fixing.yield),
  }
}

/**
 * Shear that one dowel-like fixing takes across the grain of the wood it goes through.
 *
 * @param through wood that bears on it, m
 * @returns code at a fifth of the yield, × 1.6 gusts × 0.7 wet; over at the yield, × 0.7 wet
 * @source NDS 2018 §12.3, mode I_m with R_d = 5: F_e⊥ = 6100 G^1.45/√D psi, D in inches
 * @example M12 through 100 mm of softwood: F_e⊥ 17.4 MPa, yield 20.9 kN; code 4.7, over 14.6 kN
 */
export function fixingShear({ diameter }: Pick<FixingPart, 'diameter'>, wood: MaterialRow, through: Metres): Capacity {
  const bearing = (6100 * (wood.gravity ?? 0) ** 1.45) / Math.sqrt(diameter / INCH)
  const yields = bearing * POUND_PER_SQUARE_INCH * diameter * through
  return { code: (yields / SHEAR_REDUCTION) * GUST * WET, over: yields * WET }
}
const SHEAR_REDUCTION = 5

/**
 * Loads in the two fixings of a spur per newton of wind on the post.
 *
 * @param height of the wind load above ground, m
 * @returns upper F2 = (e − z1)/(z2 − z1), lower F1 = F2 − 1
 * @source equilibrium of the post above its cut
 * @example fixingShares(0.94, 0.25, 0.5) // upper 2.76, lower 1.76
 */
export function fixingShares(height: Metres, lower: Metres, upper: Metres): { lower: number; upper: number } {
  const share = (height - lower) / (upper - lower)
  return { upper: share, lower: share - 1 }
}

/**
 * Load at `height` that the wood round a grouted pin takes.
 *
 * @param bearing wood across the grain, Pa
 * @source plastic bearing on a rigid pin: H = f D [√((2e − L)² + L²) − (2e − L)]
 * @example pinBearing(0.94, 0.0334, 0.3, 2.5e6) // 2357 N
 */
export function pinBearing(height: Metres, diameter: Metres, insertion: Metres, bearing: number): Newtons {
  const arm = 2 * height - insertion
  return bearing * diameter * (Math.sqrt(arm * arm + insertion * insertion) - arm)
}
