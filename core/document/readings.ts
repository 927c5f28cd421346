import type { Metres } from '../units/types'
import type { Observations } from '../cause/observations'

/** Deepest soft wood found at or below the ground line, m; 0 when nobody probed. */
export function softAtGroundOf({ probeAtGround = 0, probeBelow = 0 }: Observations): Metres {
  return Math.max(probeAtGround, probeBelow)
}
