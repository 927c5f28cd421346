import { NONE, type Exact } from '../money/exact'
import type { Currency } from '../money/money'
import type { BillLine } from './bill'
import type { CatalogueRow, CostSettings } from './catalogue'
import { chargedLine, totalOfLines, type ChargedLine, type Total } from './total'

export interface OptionCost extends Total {
  /** What the catalogue has no row for: nobody knows its price, and it is in no sum. */
  unpriced: string[]
}

/**
 * What one option comes to: each thing by its exact share, with no pack opened for it alone.
 *
 * @param lines of its bill, and its shares of hire and travel
 */
export function optionCost(
  lines: readonly BillLine[],
  catalogue: readonly CatalogueRow[],
  settings: CostSettings,
  currency: Currency,
): OptionCost {
  const { charged, unpriced } = priced(lines, catalogue, settings)
  return { ...totalOfLines(charged, settings, currency), unpriced }
}

/** Lines of one thing stand as one: it is rounded once. */
function priced(lines: readonly BillLine[], catalogue: readonly CatalogueRow[], settings: CostSettings) {
  const sums = new Map<string, { row: CatalogueRow; quantity: Exact }>()
  for (const line of lines) {
    const row = rowOf(line, catalogue)
    if (!row) continue
    const known = sums.get(row.key)
    sums.set(row.key, { row, quantity: known ? known.quantity.add(line.quantity) : line.quantity })
  }
  const charged = [...sums.values()].map(({ row, quantity }): ChargedLine => chargedLine(quantity, row, settings))
  return { charged, unpriced: unpricedOf(lines, catalogue).map(({ key }) => key) }
}

/** What the catalogue has no row for, each thing once with its whole quantity. */
export function unpricedOf(
  lines: readonly BillLine[],
  catalogue: readonly CatalogueRow[],
): { key: string; quantity: Exact }[] {
  const sums = new Map<string, Exact>()
  for (const line of lines)
    if (!rowOf(line, catalogue)) sums.set(line.key, (sums.get(line.key) ?? NONE).add(line.quantity))
  return [...sums].map(([key, quantity]) => ({ key, quantity }))
}

/** Of what is cut from sticks the cheapest one that is long enough. */
export function rowOf({ key, piece }: BillLine, catalogue: readonly CatalogueRow[]): CatalogueRow | undefined {
  if (!piece) return catalogue.find((row) => row.key === key)
  return catalogue
    .filter(({ stockOf, length }) => stockOf === piece.stock && length !== undefined && length >= piece.length - 1e-9)
    .sort((a, b) => a.price - b.price)[0]
}
