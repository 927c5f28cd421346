import { exact } from '../money/exact'
import type { Currency } from '../money/money'
import type { CutList } from '../setout/cutList'
import type { BillLine } from './bill'
import { SERVICES, type CatalogueRow, type CostSettings } from './catalogue'
import { mergedBill, type MergedLine, type Spares } from './merge'
import { rowOf } from './option'
import { chargedLine, totalOfLines, type ChargedLine, type Total } from './total'

/** Everything that is bought, hired and paid for a line: packs, hire, delivery and visits counted once. */
export interface LineBill {
  merged: MergedLine[]
  /** Sticks to buy by their row. */
  sticks: { row: CatalogueRow; count: number }[]
  total: Total
  unpriced: string[]
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
  { catalogue, settings, currency, cuts = {}, spares }: LineTerms,
): LineBill {
  const once: BillLine[] = [
    { key: 'travel/km', quantity: exact(settings.distance).mul(visits), post: '' },
    { key: 'travel/call-out', quantity: exact(visits), post: '' },
    ...Object.entries(hires).map(([key, days]) => ({ key, quantity: exact(days), post: '' })),
  ].filter(({ quantity }) => quantity.n > 0n)
  const merged = mergedBill([...lines, ...once], catalogue, spares)
  const sticks = sticksOf(lines, catalogue, cuts)
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
  return { merged, sticks, total: totalOfLines(charged, settings, currency), unpriced: [...new Set(unpriced)] }
}

export interface LineTerms {
  catalogue: readonly CatalogueRow[]
  settings: CostSettings
  currency: Currency
  cuts?: Readonly<Record<string, CutList>>
  spares?: Spares
}

function sticksOf(
  lines: readonly BillLine[],
  catalogue: readonly CatalogueRow[],
  cuts: Readonly<Record<string, CutList>>,
): LineBill['sticks'] {
  const counts = new Map<CatalogueRow, number>()
  const add = (row: CatalogueRow | undefined, count: number) => row && counts.set(row, (counts.get(row) ?? 0) + count)
  for (const line of lines)
    if (line.piece && !cuts[line.piece.stock]) add(rowOf(line, catalogue), Number(line.quantity.valueOf()))
  for (const [stock, { bars }] of Object.entries(cuts))
    for (const bar of bars)
      add(
        catalogue.find((row) => row.stockOf === stock && row.length === bar.stock),
        1,
      )
  return [...counts].map(([row, count]) => ({ row, count }))
}

/** What is cut from one kind of stick, for the cut list. */
export function piecesOf(lines: readonly BillLine[]): Record<string, { length: number; count: number }[]> {
  const found: Record<string, { length: number; count: number }[]> = {}
  for (const { piece, quantity } of lines)
    if (piece) (found[piece.stock] ??= []).push({ length: piece.length, count: Number(quantity.valueOf()) })
  return found
}
