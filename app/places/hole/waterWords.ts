import type { BagOrder, Filling, Mix } from '~~/core/concrete/bags'
import type { FillQuantities } from '~~/core/concrete/fill'
import type { Measures } from '~~/core/units/quantity'

/** How the water and the layers are counted, in words. */
export function waterWords(mix: Mix, filling: Filling, bags: BagOrder, fill: FillQuantities, says: Measures): string {
  if (mix.supply === 'lorry') return 'Add no water on site.'
  if (bags.batch) {
    const { count, cement, ballast, water } = bags.batch.batches
    return `${count} barrow ${count === 1 ? 'batch' : 'batches'}, each ${says.mass(cement)} of cement, ${says.mass(ballast)} of damp ballast, ${says.volume(water / 1e3)} of water.`
  }
  if (filling.water === 'third-of-hole') {
    const off = bags.ruleWater - bags.water
    return `A third of the hole is ${says.volume(bags.ruleWater)}: ${says.volume(Math.abs(off))} too ${off > 0 ? 'much' : 'little'}. Count the water.`
  }
  const toEach = `${says.volume(fill.waterPerBag ?? 0)} to each bag.`
  return fill.layers === undefined
    ? toEach
    : `${fill.layers} layers, ${says.volume(fill.waterPerLayer ?? 0)} to each: ${toEach}`
}
