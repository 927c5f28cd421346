import { InputError } from '../errors'
import { wholeUp } from '../numeric/rounding'
import type { Section } from '../timber/section'
import { WATER_DENSITY } from '../units/constants'
import type { CubicMetres, Kilograms, Metres, Minutes, Pascals } from '../units/types'
import { BAG, BARROW, handBatch, handBatchStrength, inBatches, type Batches, type HandBatch } from './handBatch'
import { freeVolume, type HoleShape } from './volume'

interface MixBase {
  key: string
  name: string
  /** At 20 °C. */
  stiffens: Minutes
  hard: Minutes
}

/** Dry mix in bags, bought whole. */
export interface BaggedMix extends MixBase {
  supply: 'bag'
  /** Of one bag, kg. */
  mass: Kilograms
  /** Concrete from one bag, m³. */
  yields: CubicMetres
  /** Water to one bag when mixed, m³, and when poured on top, m³. */
  waterMixed: CubicMetres
  waterOnTop?: CubicMetres
  /** Share of cement in the dry mass. */
  cementShare: number
  /** 28-day strength at the label's water. */
  strength: Pascals
}

/** Cement and all-in ballast, batched by hand. */
export interface BatchMix extends MixBase {
  supply: 'batch'
  /** Ballast to cement by loose volume. */
  ratio: number
  waterCement: number
  /** Water in the ballast over its dry mass. */
  moisture: number
}

/** Ready from the lorry. */
export interface DeliveredMix extends MixBase {
  supply: 'lorry'
  strength: Pascals
}

export type Mix = BaggedMix | BatchMix | DeliveredMix

export interface Filling {
  key: string
  name: string
  how: string
  risk: string
  /** How the water is measured; none where no concrete is poured. */
  water: 'mixed' | 'on-top' | 'third-of-hole' | 'none'
  /** Placed in layers of this thickness, m. */
  layer?: Metres
  /** Of the filling when it is tamped, kg/m³, where it is not concrete. */
  density?: Kilograms
}

export interface BagOrder {
  /** Whole bags to buy, of mix or of cement and ballast together; none from the lorry. */
  count: number
  exactCount: number
  /** What the order is short of by measure, m³: the over-dig or the fill's top gives it. */
  short?: CubicMetres
  /** Water for the whole bags by the label, or to add to the batches, m³. */
  water: CubicMetres
  /** Water that the rule of this filling gives, m³: a third of the hole for water-first. */
  ruleWater: CubicMetres
  /** 28-day strength with the rule's water, Pa. */
  strength: Pascals
  /** Where cement and ballast are batched by hand. */
  batch?: HandBatch & { batches: Batches }
}

/** Abrams: eight times weaker for each unit of water over cement. */
const ABRAMS_BASE = 8

/**
 * Bags, water and strength for one hole.
 *
 * @param concrete wanted, m³, > 0
 * @source yields and water are working values of the mix; strength after Abrams,
 *   f = class · 8^(−Δ(w/c))
 * @param holes that are filled alike with it
 * @param gives whether the over-dig in it has something to give: what was learnt from one's own holes has not, and
 *   then no bag is left out for a hair
 * @example 36.41 L in post-mix-20, water first in a round 0.300 × 0.600 hole:
 *   3.64 bags, 12.14 L by the rule where whole bags want 11.2 L
 */
export function bagOrder(
  concrete: CubicMetres,
  mix: Mix,
  filling: Filling,
  hole: HoleShape,
  post?: Section,
  { holes = 1, gives = true }: { holes?: number; gives?: boolean } = {},
): BagOrder {
  if (filling.water === 'none') throw new InputError('filling', filling.key, 'a filling that uses concrete')
  if (!takesFilling(mix, filling)) {
    throw new InputError('filling', filling.key, `one that ${mix.name} can take: it must be mixed`)
  }
  switch (mix.supply) {
    case 'bag':
      return baggedOrder(concrete, mix, filling, gives, () => thirdOfHole(hole, post) * holes)
    case 'batch':
      return batchedOrder(concrete, mix)
    case 'lorry':
      return { count: 0, exactCount: 0, water: 0, ruleWater: 0, strength: mix.strength }
  }
}

function baggedOrder(
  concrete: CubicMetres,
  mix: BaggedMix,
  filling: Filling,
  gives: boolean,
  third: () => CubicMetres,
): BagOrder {
  const exactCount = concrete / mix.yields
  const count = gives ? wholeBags(exactCount) : wholeUp(exactCount)
  const water = count * (filling.water === 'on-top' ? mix.waterOnTop! : mix.waterMixed)
  const ruleWater = filling.water === 'third-of-hole' ? third() : water
  // What is poured on top is more than the label has it mixed with, and makes it weaker.
  const extra = count > 0 ? ruleWater / count - mix.waterMixed : 0
  const short = exactCount > count + 1e-9 ? { short: (exactCount - count) * mix.yields } : {}
  return { count, exactCount, ...short, water, ruleWater, strength: strengthWithWater(mix, extra) }
}

/** Nobody opens a bag for a hair: up to this share of the whole. */
const A_HAIR = 0.03

/**
 * Bags to buy.
 *
 * @example wholeBags(3.09) // 3: short by a hair
 * @example wholeBags(3.1) // 4
 */
export function wholeBags(exact: number): number {
  const fewer = Math.floor(exact)
  return fewer >= 1 && exact - fewer <= A_HAIR * exact ? fewer : wholeUp(exact)
}

function batchedOrder(concrete: CubicMetres, { ratio, waterCement, moisture }: BatchMix): BagOrder {
  const batch = handBatch(concrete, ratio, waterCement, moisture)
  const water = batch.water / WATER_DENSITY
  return {
    count: batch.bagsCement + batch.bagsBallast,
    exactCount: (batch.cement + batch.ballast) / BAG,
    water,
    ruleWater: water,
    strength: handBatchStrength(waterCement),
    batch: { ...batch, batches: inBatches(batch, concrete, BARROW) },
  }
}

/** Ordinary concrete has to be mixed: it cannot be poured dry with water on top. Stone and soil take no mix. */
export function takesFilling(mix: Mix, filling: Filling): boolean {
  switch (filling.water) {
    case 'mixed':
      return true
    case 'on-top':
      return mix.supply === 'bag' && mix.waterOnTop !== undefined
    case 'third-of-hole':
      return mix.supply === 'bag'
    case 'none':
      return false
  }
}

function thirdOfHole(hole: HoleShape, post: Section | undefined): CubicMetres {
  return freeVolume(hole, post, (hole.depth * 2) / 3, hole.depth)
}

/**
 * 28-day strength of a bagged mix with water beyond the label's.
 *
 * @param extra water over the label's per bag, m³; less than the label's adds no strength
 * @source Abrams 1918, bulletin 1, Lewis Institute
 * @example strengthWithWater(postMix20, 0.001) // 0.56 of its class: Δ(w/c) is 0.278
 */
export function strengthWithWater(mix: BaggedMix, extra: CubicMetres): Pascals {
  const change = (Math.max(0, extra) * WATER_DENSITY) / (mix.cementShare * mix.mass)
  return mix.strength * ABRAMS_BASE ** -change
}
