import type { BagOrder, Filling, Mix } from '~~/core/concrete/bags'
import type { FillQuantities } from '~~/core/concrete/fill'
import { litres } from '~~/core/units/quantity'

/** How the water and the layers are counted, in words. */
export function waterWords(mix: Mix, filling: Filling, bags: BagOrder, fill: FillQuantities): string {
  if (mix.supply === 'lorry') return 'Add no water on site.'
  if (bags.batch) {
    const { count, cement, ballast, water } = bags.batch.batches
    return `${count} barrow ${count === 1 ? 'batch' : 'batches'}, each ${cement.toFixed(1)} kg of cement, ${ballast.toFixed(0)} kg of damp ballast, ${water.toFixed(1)} L of water.`
  }
  if (filling.water === 'third-of-hole') {
    const off = bags.ruleWater - bags.water
    return `A third of the hole is ${litres(bags.ruleWater)} L: ${litres(Math.abs(off))} too ${off > 0 ? 'much' : 'little'}. Count the litres.`
  }
  const toEach = `${litres(fill.waterPerBag ?? 0)} L to each bag.`
  return fill.layers === undefined
    ? toEach
    : `${fill.layers} layers, ${litres(fill.waterPerLayer ?? 0)} L to each: ${toEach}`
}
