import type { AfterLine } from '../cost/after'
import type { LineBill, Offcut } from '../cost/lineBill'
import { KEPT_OFFCUT, type Cutting } from '../cost/cutting'
import type { CatalogueRow } from '../cost/catalogue'
import { exact, NONE } from '../money/exact'
import type { YardChange } from './change'
import type { YardRow } from './column'

/** What goes back, and what is new there. */
export interface Settled {
  changes: YardChange[]
  /** Units that are put back, by row, and offcuts that come to the list. */
  back: { name: string; count: number; unit: string }[]
}

/**
 * What the yard's list is changed by when the work is done: what lay there less what was used, what was bought and
 * is left over, offcuts that are long enough.
 *
 * What is missing from the yard for a plan is bought for it; so a thing that came as planned leaves the list as it was.
 *
 * @example 12 bags planned, 4 lay there, 8 and 3 more bought, 14 used: 1 lies there
 */
export function settled(
  lines: readonly AfterLine[],
  { cuts, taken }: { cuts: Readonly<Record<string, Cutting>>; taken: LineBill['offcuts'] },
  { catalogue, offcuts }: { catalogue: readonly CatalogueRow[]; offcuts: readonly Offcut[] },
): Settled {
  const back: Settled['back'] = []
  const counts = lines.flatMap(({ key, planned, used, bought, isGoods, unit, name }): YardChange[] => {
    const row = catalogue.find((each) => each.key === key)
    if (!isGoods || !row) return []
    const had = exact(row.have ?? 0)
    const short = planned.sub(had)
    const fetched = (short.s > 0n ? short : NONE).add(bought)
    const left = had.add(fetched).sub(used ?? planned)
    const value = left.s > 0n ? left.valueOf() : 0
    if (value > had.valueOf()) back.push({ name, count: value - had.valueOf(), unit })
    return value === had.valueOf() ? [] : [{ table: 'catalogue', key, path: 'have', was: row.have ?? null, value }]
  })
  return { changes: [...counts, ...offcutChanges(cuts, taken, catalogue, offcuts, back)], back }
}

/** A tenth of a millimetre is no other offcut. */
const HAIR = 1e-4

function offcutChanges(
  cuts: Readonly<Record<string, Cutting>>,
  taken: LineBill['offcuts'],
  catalogue: readonly CatalogueRow[],
  offcuts: readonly Offcut[],
  back: Settled['back'],
): YardChange[] {
  const rows = new Map(offcuts.map((each) => [each.key, { before: each as Offcut | undefined, now: { ...each } }]))
  for (const { offcut, count } of taken) rows.get(offcut.key)!.now.count -= count
  for (const [stockOf, { bars }] of Object.entries(cuts))
    for (const { offcut: length } of bars.filter((bar) => bar.offcut >= KEPT_OFFCUT - HAIR)) {
      const name = offcutName(stockOf, length, catalogue)
      const known = [...rows.values()].find(
        ({ now }) => now.stockOf === stockOf && Math.abs(now.length - length) < HAIR,
      )
      const key = `${stockOf.replaceAll('/', '-')}-${Math.round(length * 1e3)}`
      if (known) known.now.count++
      else
        rows.set(key, {
          before: undefined,
          now: { key, name, stockOf, length: Math.round(length * 1e4) / 1e4, count: 1 },
        })
      back.push({ name, count: 1, unit: 'each' })
    }
  return [...rows.values()].flatMap(({ before, now }): YardChange[] => {
    const row = now as unknown as YardRow
    if (!before) return [{ table: 'offcuts', key: now.key, was: null, value: row }]
    if (now.count === before.count) return []
    if (now.count <= 0) return [{ table: 'offcuts', key: now.key, was: before as unknown as YardRow, value: null }]
    return [{ table: 'offcuts', key: now.key, path: 'count', was: before.count, value: now.count }]
  })
}

/** @example '100 × 100 post, 0.75 m' */
function offcutName(stockOf: string, length: number, catalogue: readonly CatalogueRow[]): string {
  const sold = catalogue.find((row) => row.stockOf === stockOf)?.name ?? stockOf
  return `${sold.split(',')[0]}, ${length.toFixed(2)} m`
}
