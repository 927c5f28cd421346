import { COUNTED_WORK, type CountedWork, type WorkRates } from '../tables/parts'
import type { CubicMetres, Minutes } from '../units/types'

export interface WorkQuantities {
  fixedMinutes: Minutes
  /** Dug, m³, and how hard the soil is against loam. */
  dug: CubicMetres
  diggingFactor: number
  oldConcrete: CubicMetres
  /** Concrete mixed on site, and concrete placed, m³. */
  mixed: CubicMetres
  placed: CubicMetres
  /** Of stone or soil, tamped one by one. */
  layers?: number
}

/**
 * Working minutes of one post, without waiting.
 *
 * @source rates are working values: 35 L of loam per 10 min by hand digger, 6 L of old concrete
 *   per 10 min with a breaker, 6 min to mix a bag of 10 L and 3 to place it
 * @example 58 L in firm clay, no old concrete, 50 L mixed, 70 min fixed: 70 + 17 + 45 = 132 min
 */
export function workMinutes(quantities: WorkQuantities, rates: WorkRates): Minutes {
  const counted = countedMinutes(quantities, rates)
  return COUNTED_WORK.reduce((sum, work) => sum + counted[work], quantities.fixedMinutes)
}

/** The minutes that go by quantity, each work by itself. */
export function countedMinutes(quantities: WorkQuantities, rates: WorkRates): Record<CountedWork, Minutes> {
  return {
    digging: ((quantities.dug * 1e3) / rates.digging) * quantities.diggingFactor,
    breaking: (quantities.oldConcrete * 1e3) / rates.breaking,
    mixing: (quantities.mixed / BAG_YIELDS) * rates.mixingPerBag,
    placing: (quantities.placed / BAG_YIELDS) * rates.placingPerBag,
    tamping: (quantities.layers ?? 0) * rates.tampingPerLayer,
  }
}

/** Concrete of the bag that the rates speak of, m³. */
export const BAG_YIELDS: CubicMetres = 0.01
