import { exact } from '../money/exact'
import { roundedOnce } from '../money/money'
import type { CostSettings } from './catalogue'
import { factorOf, type ChargedLine } from './total'

/** A line as it is charged, with all that its amount is made of: nothing in it is looked up again. */
export interface FrozenLine {
  key: string
  name: string
  /** Units, as a fraction: '18/5'. */
  quantity: string
  unit: string
  /** Of a pack, minor units, and how many units that is. */
  price: number
  pack: number
  /** Waste, overhead and mark-up on it, as a fraction. */
  factor: string
  /** In hundredths. */
  tax: number
  amount: number
}

export const frozenLine = ({ key, name, quantity, row, amount }: ChargedLine, settings: CostSettings): FrozenLine => ({
  key,
  name,
  quantity: quantity.toFraction(),
  unit: row.unit,
  price: row.price,
  pack: row.pack,
  factor: factorOf(row.group, settings).toFraction(),
  tax: settings.taxes[row.tax],
  amount: Number(amount),
})

/** @example amountOf({ quantity: '18/5', price: 640, pack: 1, factor: '6/5', … }) // 2765n */
export const amountOf = ({ quantity, price, pack, factor }: FrozenLine): bigint =>
  roundedOnce(exact(quantity).mul(price).div(exact(pack)).mul(exact(factor)))
