import { wholeUp } from '../numeric/rounding'
import type { CubicMetres, Kilograms, Metres } from '../units/types'
import type { Filling } from './bags'

/** What somebody counts while the hole is being filled. */
export interface FillQuantities {
  layers?: number
  /** Of one layer, m: equal layers, none thicker than the way of filling allows. */
  layerThickness?: Metres
  /** Of stone or soil, tamped, kg. */
  mass?: Kilograms
  waterPerBag?: CubicMetres
  waterPerLayer?: CubicMetres
}

/**
 * Layers, masses and litres of one way of filling.
 *
 * @param volume to be filled, m³
 * @param height of the filled zone, m
 * @param order  bags and water, where concrete is poured
 * @example stone, 36 L over 0.6 m: 5 layers of 0.12 m, 64.8 kg
 * @example in layers, 4 bags and 11.2 L over 0.6 m: 4 layers, 2.8 L to each
 */
export function fillQuantities(
  filling: Filling,
  volume: CubicMetres,
  height: Metres,
  order?: { count: number; water: CubicMetres },
): FillQuantities {
  const layers = filling.layer === undefined ? undefined : Math.max(1, wholeUp(height / filling.layer))
  const result: FillQuantities = {}
  if (layers !== undefined) {
    result.layers = layers
    result.layerThickness = height / layers
    if (order) result.waterPerLayer = order.water / layers
  }
  if (filling.density !== undefined) result.mass = volume * filling.density
  if (order && order.count > 0) result.waterPerBag = order.water / order.count
  return result
}
