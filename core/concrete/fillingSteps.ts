import { wholeUp } from '../numeric/rounding'
import type { Measures } from '../units/quantity'
import type { CubicMetres, Metres } from '../units/types'
import type { BagOrder, Filling, Mix } from './bags'
import type { FillQuantities } from './fill'

/** What is filled, and with what. */
export interface FillingQuestion {
  filling: Filling
  fill: FillQuantities
  /** Concrete, or stone and soil as they lie tamped, m³. */
  volume: CubicMetres
  /** Of the filled zone, m. */
  height: Metres
  /** Where concrete is poured. */
  poured?: { mix: Mix; bags: BagOrder }
}

/** Thickness of a lift that a bar still rods through, m; a working value. */
const LIFT: Metres = 0.2

/**
 * One way of filling as instructions: litres, layers and what to take care of, one action a line.
 *
 * @example water first, 36.4 L in post mix: 'Water into the hole to a third of its concrete: 12.1 L.' …
 */
export function fillingSteps(question: FillingQuestion, says: Measures): string[] {
  const { filling, poured } = question
  if (!poured) return packed(question, says)
  if (poured.mix.supply === 'lorry') return fromLorry(question, says)
  if (poured.bags.batch) return batched(question, poured.bags, says)
  switch (filling.water) {
    case 'on-top':
      return onTop(poured.bags, question.fill, says)
    case 'third-of-hole':
      return waterFirst(poured.bags, says)
    case 'mixed':
    case 'none':
      return filling.layer === undefined
        ? mixed(question, poured.bags, says)
        : layered(question.fill, poured.bags, says)
  }
}

const RODDED = 'Rod it to the bottom all round, behind the post too.'
const bagsOf = (count: number) => `${count} ${count === 1 ? 'bag' : 'bags'}`

function mixed({ fill, volume, height }: FillingQuestion, { count }: BagOrder, says: Measures): string[] {
  const lifts = Math.max(1, wholeUp(height / LIFT))
  return [
    `Mix ${bagsOf(count)} one by one, ${says.volume(fill.waterPerBag ?? 0)} of water to each: it stands in a handful.`,
    `Place it in ${lifts} ${lifts === 1 ? 'lift' : 'lifts'} of about ${says.volume(volume / lifts)}, and rod each into the one below.`,
    RODDED,
  ]
}

function onTop({ count, water }: BagOrder, fill: FillQuantities, says: Measures): string[] {
  return [
    `Pour ${bagsOf(count)} in dry, evenly round the post.`,
    `Water on top, ${says.volume(fill.waterPerBag ?? 0)} to each bag, ${says.volume(water)} in all: slowly, and wait until it is gone.`,
    'Push a bar down at four places: it has to come up wet. No dry powder stays on top.',
  ]
}

function waterFirst({ count, water, ruleWater }: BagOrder, says: Measures): string[] {
  const off = ruleWater - water
  const enough = Math.abs(off) < 0.05 * water
  const advice = enough
    ? 'That is what the bags want.'
    : off > 0
      ? `The bags want ${says.volume(water)}: leave ${says.volume(off)} of it out.`
      : `The bags want ${says.volume(water)}: keep ${says.volume(-off)} at hand and pour it on the last of them.`
  return [
    `Water into the hole to a third of its concrete: ${says.volume(ruleWater)}. ${advice}`,
    `Shake in ${bagsOf(count)} a little at a time until the mix stands over the water.`,
    RODDED,
  ]
}

function layered({ layers = 1, waterPerLayer = 0 }: FillQuantities, { count }: BagOrder, says: Measures): string[] {
  const each = (count / layers).toFixed(1).replace(/\.0$/, '')
  return [
    `${layers} ${layers === 1 ? 'layer' : 'layers'}: ${says.volume(waterPerLayer)} of water, then ${each} of a bag, worked in before the next.`,
    'Tick off every layer: nobody knows the water afterwards.',
    RODDED,
  ]
}

function batched({ volume }: FillingQuestion, { batch }: BagOrder, says: Measures): string[] {
  const { count, cement, ballast, water } = batch!.batches
  return [
    `${count} barrow ${count === 1 ? 'batch' : 'batches'}: ${says.mass(cement)} of cement, ${says.mass(ballast)} of damp ballast, ${says.volume(water / 1e3)} of water to each.`,
    `Mix dry until it is one colour, then wet. ${says.volume(volume)} in all.`,
    RODDED,
  ]
}

const fromLorry = ({ volume }: FillingQuestion, says: Measures): string[] => [
  `${says.volume(volume)} from the lorry. Add no water on site.`,
  'Have the way clear and a second hole ready for what is left.',
  RODDED,
]

function packed({ filling, fill, volume }: FillingQuestion, says: Measures): string[] {
  const { layers = 1, layerThickness = 0, mass = 0 } = fill
  const isStone = filling.key === 'stone'
  const each = isStone ? says.mass(mass / layers) : says.volume(volume / layers)
  return [
    `${layers} layers of ${says.small(layerThickness)}, about ${each} each, tamped until the bar rings.`,
    'The first layer, tamped hard, holds the post plumb while the rest goes in.',
    isStone
      ? 'Mixed sizes with dust. Turf over the last one.'
      : 'The soil that came out, damp, no turf and no roots in it.',
  ]
}
