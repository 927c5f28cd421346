import { InputError } from '../errors'
import type { Section } from '../timber/section'
import type { CubicMetres, Kilograms, Minutes, Pascals } from '../units/types'
import { freeVolume, type HoleShape } from './volume'

export interface Mix {
  key: string
  name: string
  /** Of one bag, kg. */
  mass: Kilograms
  /** Concrete from one bag, m³. */
  yields: CubicMetres
  /** Water to one bag when mixed, m³, and when poured on top, m³. */
  waterMixed: CubicMetres
  waterOnTop?: CubicMetres
  /** Share of cement in the dry mass. */
  cementShare: number
  /** At 20 °C. */
  stiffens: Minutes
  hard: Minutes
  /** 28-day strength at the label's water. */
  strength: Pascals
}

export interface Filling {
  key: string
  name: string
  how: string
  risk: string
  /** How the water is measured. */
  water: 'mixed' | 'on-top' | 'third-of-hole' | 'none'
}

export interface BagOrder {
  /** Whole bags to buy. */
  count: number
  exactCount: number
  /** Water for the whole bags by the label, m³. */
  water: CubicMetres
  /** Water that the rule of this filling gives, m³: a third of the hole for water-first. */
  ruleWater: CubicMetres
  /** 28-day strength with the rule's water, Pa. */
  strength: Pascals
}

/** Abrams: eight times weaker for each unit of water over cement. */
const ABRAMS_BASE = 8

/**
 * Bags, water and strength for one hole.
 *
 * @param concrete wanted, m³, > 0
 * @source yields and water are working values of the mix; strength after Abrams,
 *   f = class · 8^(−Δ(w/c))
 * @example 36.41 L in post-mix-20, water first in a round 0.300 × 0.600 hole:
 *   3.64 bags, 12.14 L by the rule where whole bags want 11.2 L
 */
export function bagOrder(concrete: CubicMetres, mix: Mix, filling: Filling, hole: HoleShape, post?: Section): BagOrder {
  if (filling.water === 'none') throw new InputError('filling', filling.key, 'a filling that uses concrete')
  const exactCount = concrete / mix.yields
  const count = Math.ceil(exactCount - 1e-9)
  const onTop = filling.water === 'on-top'
  if (!takesFilling(mix, filling)) {
    throw new InputError('filling', filling.key, `one that ${mix.name} can take: it must be mixed`)
  }
  const water = count * (onTop ? mix.waterOnTop! : mix.waterMixed)
  const ruleWater = filling.water === 'third-of-hole' ? thirdOfHole(hole, post) : water
  const extra = count > 0 ? (ruleWater - water) / count : 0
  return { count, exactCount, water, ruleWater, strength: strengthWithWater(mix, extra) }
}

/** Ordinary concrete has to be mixed: it cannot be poured dry with water on top. */
export function takesFilling(mix: Mix, filling: Filling): boolean {
  return filling.water !== 'on-top' || mix.waterOnTop !== undefined
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
export function strengthWithWater(mix: Mix, extra: CubicMetres): Pascals {
  const change = (Math.max(0, extra) * WATER_DENSITY) / (mix.cementShare * mix.mass)
  return mix.strength * ABRAMS_BASE ** -change
}

const WATER_DENSITY = 1_000
