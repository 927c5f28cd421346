import type { BagOrder, Mix } from '../concrete/bags'
import { BAG } from '../concrete/handBatch'
import type { MethodPlan } from '../plan/types'
import { row, type Tables } from '../tables/tables'
import { measuresIn, type Measures, type Parts } from '../units/quantity'
import type { CubicMetres } from '../units/types'

/** One thing to bring to a post. */
export interface Item {
  what: string
  /** How much or how many of it; absent where the words say all. */
  amount?: number
  /** Behind the amount: L, bags; nothing where things are counted. */
  unit?: string
  post: string
}

/**
 * All that a method wants brought to a post: concrete, stone, parts and gear. A function of the plan, for sheet,
 * load list and cost.
 *
 * @example itemsOf('B7', spurPlan, tables) // 4 bags of 20 kg fast post mix, 11.2 L of water, …, 1 × 100 mm spur, 1.2 m
 */
export function itemsOf(post: string, { method, hole, concrete, packed, parts }: MethodPlan, tables: Tables): Item[] {
  const poured: Omit<Item, 'post'>[] = []
  if (concrete) {
    const { bags, stone } = concrete
    poured.push(...boughtItems(row(tables.mixes, concrete.mix), bags, concrete.concrete, measuresIn(tables.units)))
    if (bags.water > 0) poured.push({ what: 'water', amount: bags.water * 1e3, unit: 'L' })
    if (stone > 0) poured.push({ what: 'stone for the bed', amount: stone * 1e3, unit: 'L' })
  }
  if (packed?.filling === 'stone')
    poured.push({ what: 'graded stone with dust', amount: Math.ceil(packed.fill.mass ?? 0), unit: 'kg' })
  const made = parts.map(({ kind, key, count }) => ({
    what: row(tables.parts.lists[kind]!.rows, key).name,
    amount: count,
  }))
  if (hole?.key) poured.push({ what: 'treated board for the key, 1 m × 150 × 50 mm', amount: 2 })
  const gear = row(tables.parts.methods, method).bring.map((what) => ({ what }))
  return [...poured, ...made, ...gear].map((item) => ({ ...item, post }))
}

function boughtItems(mix: Mix, bags: BagOrder, concrete: CubicMetres, says: Measures): Omit<Item, 'post'>[] {
  switch (mix.supply) {
    case 'bag':
      return [{ what: `${mix.name} (${bags.exactCount.toFixed(1)} by measure)`, amount: bags.count, unit: 'bags' }]
    case 'batch':
      return [
        { what: `cement, ${says.mass(BAG)} each`, amount: bags.batch!.bagsCement, unit: 'bags' },
        { what: `all-in ballast, ${says.mass(BAG)} each`, amount: bags.batch!.bagsBallast, unit: 'bags' },
      ]
    case 'lorry':
      return [{ what: mix.name, amount: concrete * 1e3, unit: 'L' }]
  }
}

/**
 * An item as a list says it.
 *
 * @example itemWords({ what: 'water', amount: 11.2, unit: 'L', post: 'B7' }, measuresIn('metric')) // '11.2 L of water'
 */
export function itemWords({ what, amount, unit }: Item, says: Measures): string {
  if (amount === undefined) return what
  if (unit === undefined) return `${amount} × ${what}`
  if (unit === 'kg') return `${says.mass(amount)} of ${what}`
  if (unit === 'L') return `${says.volume(amount / 1e3)} of ${what}`
  return `${amount} ${amount === 1 && unit === 'bags' ? 'bag' : unit} of ${what}`
}

/**
 * What to buy for a pour: the number, and what it counts.
 *
 * @example orderFigure(mix, { count: 4, … }, 0.036, measuresIn('metric')) // { value: '4', unit: 'bags, 20 kg fast post mix' }
 */
export function orderFigure(mix: Mix, bags: BagOrder, concrete: CubicMetres, says: Measures): Parts {
  switch (mix.supply) {
    case 'bag':
      return { value: String(bags.count), unit: `${bags.count === 1 ? 'bag' : 'bags'}, ${mix.name}` }
    case 'batch': {
      const { bagsCement, bagsBallast } = bags.batch!
      return { value: `${bagsCement} + ${bagsBallast}`, unit: `bags of ${says.mass(BAG)}, cement + ballast` }
    }
    case 'lorry': {
      const { value, unit } = says.volumeParts(concrete)
      return { value, unit: `${unit} from the lorry` }
    }
  }
}
