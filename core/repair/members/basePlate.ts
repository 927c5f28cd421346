import { requireNumber } from '../../errors'
import type { Metres, NewtonMetres, Newtons, Pascals } from '../../units/types'
import type { Capacity } from '../../tables/parts'

export interface PlateLoad {
  /** About the plate, N m, ≥ 0. */
  moment: NewtonMetres
  /** Anchors on the side that is pulled up. */
  anchorsInTension: number
  anchors: number
  /** From the compressed edge of the plate to the anchors in tension, m. */
  edgeToAnchors: Metres
  /** Weight on the plate, N, ≥ 0. */
  deadLoad?: Newtons
}

/** The compressed strip under the plate is not a line: share of the distance that is lever. */
const LEVER_SHARE = 0.9

/**
 * Tension in one anchor of a base plate.
 *
 * @returns N, ≥ 0
 * @source T = M/(n · lever), less the dead load that each anchor has over it; lever 0.9 × the
 *   distance from the compressed edge to the anchors in tension
 * @example anchorTension({ moment: 1000, anchors: 4, anchorsInTension: 2, edgeToAnchors: 0.15 }) // 3704 N
 */
export function anchorTension(load: PlateLoad): Newtons {
  const { moment, anchorsInTension, anchors, edgeToAnchors, deadLoad = 0 } = load
  requireNumber('moment', moment, 0, 1e6, 'N m')
  requireNumber('anchors', anchors, 1, 24)
  requireNumber('anchorsInTension', anchorsInTension, 1, anchors)
  requireNumber('edgeToAnchors', edgeToAnchors, 0.02, 2, 'm')
  requireNumber('deadLoad', deadLoad, 0, 1e6, 'N')
  return Math.max(0, moment / (anchorsInTension * LEVER_SHARE * edgeToAnchors) - deadLoad / anchors)
}

export interface Anchorage {
  /** Cylinder strength of the slab, Pa. */
  concrete: Pascals
  /** Effective depth of the anchor, m. */
  depth: Metres
  /** To the nearest edge and to the next anchor in tension, m; none when absent. */
  edge?: Metres
  spacing?: Metres
}

/** Allowable share of the breakout load. */
const ALLOWABLE_BREAKOUT = 2.5

/**
 * Tension at which one anchor breaks a cone out of the slab. Simplified: one reduction for the
 * nearest edge, one for the nearest anchor. Pull-out, steel and plate bending are the maker's.
 *
 * @source after ACI 318-19 §17.6.2: N_cb = 7 √f'c h_ef^1.5 (MPa, mm) × c/(1.5 h_ef) × s/(3 h_ef)
 * @example 25 MPa, 80 mm deep, far from edges: over 25.0 kN, code 10.0 kN
 */
export function concreteBreakout({ concrete, depth, edge = Infinity, spacing = Infinity }: Anchorage): Capacity {
  requireNumber('concrete', concrete, 5e6, 100e6, 'Pa')
  requireNumber('depth', depth, 0.02, 0.6, 'm')
  requireNumber('edge', edge, 0.01, Infinity, 'm')
  requireNumber('spacing', spacing, 0.02, Infinity, 'm')
  const whole = 7 * Math.sqrt(concrete / 1e6) * (depth * 1e3) ** 1.5
  const over = whole * Math.min(1, edge / (1.5 * depth)) * Math.min(1, spacing / (3 * depth))
  return { code: over / ALLOWABLE_BREAKOUT, over }
}

/** Slab that an anchor needs under it, over the anchor's depth. */
const SLAB_OVER_DEPTH = 1.5

/** Thinnest slab that takes an anchor so deep, m. @example thinnestSlab(0.08) // 0.12 */
export const thinnestSlab = (depth: Metres): Metres => SLAB_OVER_DEPTH * depth
