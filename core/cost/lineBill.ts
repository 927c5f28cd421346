import { exact } from '../money/exact'
import type { Currency } from '../money/money'
import type { CutList, StockLength } from '../setout/cutList'
import type { Metres } from '../units/types'
import type { BillLine } from './bill'
import { SERVICES, type CatalogueRow, type CostSettings } from './catalogue'
import { mergedBill, type MergedLine, type Spares } from './merge'
import { rowOf } from './option'
import { chargedLine, totalOfLines, type ChargedLine, type Total } from './total'

/** Everything that is bought, hired and paid for a line: packs, hire, delivery and visits counted once. */
export interface LineBill {
  merged: MergedLine[]
  /** Sticks to buy by their row, and offcuts that are taken in their place. */
  sticks: { row: CatalogueRow; count: number }[]
  offcuts: { offcut: Offcut; count: number }[]
  total: Total
  unpriced: string[]
  /** To be cut from sticks that the yard's list has none of. */
  unsold: { key: string; length: Metres; count: number }[]
}

export interface OnceForAll {
  visits: number
  /** Days of hire by the key of its row. */
  hires: Readonly<Record<string, number>>
}

/**
 * The bill of a line.
 *
 * @param cuts what the cut list of each kind of stick takes; where it is not worked out yet each piece has a stick of
 *   its own
 */
export function lineBill(
  lines: readonly BillLine[],
  { visits, hires }: OnceForAll,
  { catalogue, settings, currency, cuts = {}, spares, offcuts = [] }: LineTerms,
): LineBill {
  const once: BillLine[] = [
    { key: 'travel/km', quantity: exact(settings.distance).mul(visits), post: '' },
    { key: 'travel/call-out', quantity: exact(visits), post: '' },
    ...Object.entries(hires).map(([key, days]) => ({ key, quantity: exact(days), post: '' })),
  ].filter(({ quantity }) => quantity.n > 0n)
  const merged = mergedBill([...lines, ...once], catalogue, spares)
  const { sticks, taken } = sticksOf(lines, catalogue, cuts, offcuts)
  const charged = [
    ...merged.flatMap(({ row, packs, exact: sum }): ChargedLine[] =>
      row ? [chargedLine(SERVICES.includes(row.group) ? sum : exact(packs).mul(row.pack), row, settings)] : [],
    ),
    ...sticks.map(({ row, count }) => chargedLine(exact(count), row, settings)),
  ]
  const unpriced = [
    ...merged.filter(({ row }) => !row).map(({ key }) => key),
    ...lines.filter((line) => line.piece && !rowOf(line, catalogue)).map(({ key }) => key),
  ]
  const unsold = lines.flatMap((line) =>
    line.piece && !rowOf(line, catalogue)
      ? [{ key: line.key, length: line.piece.length, count: Number(line.quantity.valueOf()) }]
      : [],
  )
  return {
    merged,
    sticks,
    offcuts: taken,
    total: totalOfLines(charged, settings, currency),
    unpriced: [...new Set(unpriced)],
    unsold,
  }
}

export interface LineTerms {
  catalogue: readonly CatalogueRow[]
  settings: CostSettings
  currency: Currency
  cuts?: Readonly<Record<string, CutList>>
  spares?: Spares
  /** In the yard, of any kind of stick. */
  offcuts?: readonly Offcut[]
}

/** What was left of a stick and lies in the yard. */
export interface Offcut {
  key: string
  name: string
  stockOf: string
  length: Metres
  count: number
  kept?: string
}

function sticksOf(
  lines: readonly BillLine[],
  catalogue: readonly CatalogueRow[],
  cuts: Readonly<Record<string, CutList>>,
  offcuts: readonly Offcut[],
): { sticks: LineBill['sticks']; taken: LineBill['offcuts'] } {
  const counts = new Map<CatalogueRow, number>()
  const taken = new Map<Offcut, number>()
  const add = (row: CatalogueRow | undefined, count: number) => row && counts.set(row, (counts.get(row) ?? 0) + count)
  for (const line of lines)
    if (line.piece && !cuts[line.piece.stock]) add(rowOf(line, catalogue), Number(line.quantity.valueOf()))
  for (const [stock, { bars }] of Object.entries(cuts))
    for (const bar of bars) {
      // What lies in the yard costs nothing, so the cut list has taken it first.
      const offcut = offcuts.find((each) => isOf(each, stock, bar.stock) && (taken.get(each) ?? 0) < each.count)
      if (offcut) taken.set(offcut, (taken.get(offcut) ?? 0) + 1)
      else
        add(
          catalogue.find((row) => row.stockOf === stock && row.length === bar.stock),
          1,
        )
    }
  return {
    sticks: [...counts].map(([row, count]) => ({ row, count })),
    taken: [...taken].map(([offcut, count]) => ({ offcut, count })),
  }
}

const isOf = ({ stockOf, length }: Offcut, stock: string, bar: Metres) =>
  stockOf === stock && Math.abs(length - bar) < HAIR
/** A tenth of a millimetre: what the cut list reckons in. */
const HAIR = 1e-4

/** What one kind of stick may be cut from: what is sold, and what lies in the yard at no price. */
export const stockOfKind = (
  stock: string,
  catalogue: readonly CatalogueRow[],
  offcuts: readonly Offcut[],
): StockLength[] => [
  ...offcuts.filter(({ stockOf }) => stockOf === stock).map(({ length, count }) => ({ length, count, price: 0 })),
  ...catalogue.flatMap(({ stockOf, length, price }) =>
    stockOf === stock && length !== undefined ? [{ length, price }] : [],
  ),
]

/** What is cut from one kind of stick, for the cut list. */
export function piecesOf(lines: readonly BillLine[]): Record<string, { length: number; count: number }[]> {
  const found: Record<string, { length: number; count: number }[]> = {}
  for (const { piece, quantity } of lines)
    if (piece) (found[piece.stock] ??= []).push({ length: piece.length, count: Number(quantity.valueOf()) })
  return found
}
