import { exact, ofHundred, type Exact } from '../money/exact'
import { roundedOnce, taxOn, totalOf, type Currency, type Minor } from '../money/money'
import { TAX_KEYS, type CatalogueRow, type CostSettings, type TaxKey } from './catalogue'

/** A line of a bill as it is charged. */
export interface ChargedLine {
  key: string
  name: string
  row: CatalogueRow
  /** Units, exactly. */
  quantity: Exact
  /** Rounded once, with waste, overhead and mark-up in it. */
  amount: Minor
}

export interface Total {
  lines: ChargedLine[]
  net: Minor
  /** By rate: what stands under it, and the tax on it, rounded once. */
  taxes: { tax: TaxKey; percent: number; net: Minor; amount: Minor }[]
  gross: Minor
  /** Handed back: untaxed, in no total. */
  deposits: Minor
}

const WASTED: readonly CatalogueRow['group'][] = ['mix', 'stone', 'timber', 'post', 'preservative']

/** What stands on a line beside its price: waste where it is cut or poured, overhead and mark-up. */
export const factorOf = (group: CatalogueRow['group'], { markUp, waste, overhead }: CostSettings): Exact =>
  (WASTED.includes(group) ? ofHundred(waste) : exact(1)).mul(ofHundred(overhead)).mul(ofHundred(markUp))

/**
 * A line's amount: quantity × price of a pack ÷ its units, with waste where it is cut or poured, overhead and mark-up,
 * rounded once.
 *
 * @example 3.6 bags at 6.40, mark-up 20 %: 27.648, so 27.65
 */
export function chargedLine(quantity: Exact, row: CatalogueRow, settings: CostSettings): ChargedLine {
  const amount = quantity.mul(row.price).div(row.pack).mul(factorOf(row.group, settings))
  return { key: row.key, name: row.name, row, quantity, amount: roundedOnce(amount) }
}

/**
 * Sums of rounded lines; tax worked and rounded once on the sum of each rate.
 *
 * @param deposits of what is hired, by the time that it is out
 */
export function totalOfLines(
  lines: readonly ChargedLine[],
  { taxes }: Pick<CostSettings, 'taxes'>,
  currency: Currency,
): Total {
  const net = totalOf(
    lines.map(({ amount }) => amount),
    currency,
  )
  const byRate = TAX_KEYS.flatMap((tax) => {
    const of = lines.filter(({ row }) => row.tax === tax).map(({ amount }) => amount)
    if (of.length === 0) return []
    const sum = totalOf(of, currency)
    return [{ tax, percent: taxes[tax], net: sum, amount: taxOn(sum, taxes[tax], currency) }]
  })
  return {
    lines: [...lines],
    net,
    taxes: byRate,
    gross: totalOf([net, ...byRate.map(({ amount }) => amount)], currency),
    deposits: totalOf(
      lines.map(({ row }) => BigInt(row.deposit ?? 0)),
      currency,
    ),
  }
}
