import type { Metres, Pascals } from '../units/types'
import { groundState, type GroundState, type Soil } from './soil'

/** One layer of the ground, from the one above down to `bottom`. */
export interface Layer {
  /** Below finished ground, m. */
  bottom: Metres
  soil: Soil
  saturated: boolean
  /** Apparent cohesion that is counted, Pa; none when absent. */
  cohesion?: Pascals
}

/** What the ground is, down to any depth. */
export interface Ground {
  soil: Soil
  saturated: boolean
  /** Apparent cohesion that is counted, Pa; none when absent. */
  cohesion?: Pascals
  /** As they were met from the ground down; the last one goes on to any depth. `soil` all through when absent. */
  layers?: readonly Layer[]
  /** Strength and stiffness over the working values, as a pull measured them; 1 when absent. */
  strength?: number
}

/** A layer's resistance, down to its bottom. */
export interface Stratum {
  bottom: Metres
  state: GroundState
}

/**
 * The resistance of the ground by layers. What lies above presses on each by its own weight; all else is the layer's
 * own, at its depth below the ground.
 *
 * @source section 6 of the mechanics with γ z summed through the layers
 * @example strata({ soil: firmClay, saturated: false }) // one, down to any depth
 * @example 0.4 m of made ground (15 kN/m³) over firm clay (18): at 0.6 m the clay is pressed by 6.0 + 3.6 = 9.6 kPa
 */
export function strata({ soil, saturated, cohesion, layers, strength = 1 }: Ground): Stratum[] {
  if (!layers || layers.length === 0)
    return [{ bottom: Infinity, state: stronger(groundState(soil, saturated, cohesion), strength) }]
  let top = 0
  /** Pressure of what lies above `top`, Pa. */
  let pressure = 0
  return layers.map((layer, i) => {
    const own = groundState(layer.soil, layer.saturated, layer.cohesion)
    const state = stronger(pressedBy(own, pressure - own.weight * top), strength)
    pressure += own.weight * (layer.bottom - top)
    top = layer.bottom
    return { bottom: i === layers.length - 1 ? Infinity : layer.bottom, state }
  })
}

/** With what lies above heavier than its own soil would be, by so much, Pa. */
const pressedBy = (state: GroundState, extra: Pascals): GroundState =>
  extra === 0 ? state : { ...state, limitAtTop: state.limitAtTop + state.limitPerPressure * extra }

function stronger(state: GroundState, strength: number): GroundState {
  if (strength === 1) return state
  return {
    ...state,
    limitAtTop: state.limitAtTop * strength,
    limitRate: state.limitRate * strength,
    limitRatePerWidth: state.limitRatePerWidth * strength,
    cap: state.cap * strength,
    stiffnessAtTop: state.stiffnessAtTop * strength,
    stiffnessRate: state.stiffnessRate * strength,
  }
}

/** Layers that a footing of this depth stands in. */
export const layersDownTo = ({ soil, saturated, layers }: Ground, depth: Metres): readonly Layer[] =>
  layers && layers.length > 0
    ? layers.filter((_layer, i) => i === 0 || layers[i - 1]!.bottom < depth)
    : [{ bottom: Infinity, soil, saturated }]

/** The layer that a footing of this depth stands on. */
export const layerAt = (ground: Ground, depth: Metres): Layer => layersDownTo(ground, depth).at(-1)!

/**
 * Mean of a figure of the soils that a hole goes through, each by its thickness.
 *
 * @example overDepth(ground, 0.6, ({ digging }) => digging) // 0.4 m of made ground at 1, 0.2 of stiff clay at 2: 1.33
 */
export function overDepth(ground: Ground, depth: Metres, figure: (soil: Soil) => number): number {
  const through = layersDownTo(ground, depth)
  let top = 0
  let sum = 0
  for (const [i, { bottom, soil }] of through.entries()) {
    const end = i === through.length - 1 ? depth : bottom
    sum += figure(soil) * (end - top)
    top = end
  }
  return depth > 0 ? sum / depth : figure(ground.soil)
}
