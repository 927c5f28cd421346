import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { fence } from '../../data/demo/days'
import { applyCommands } from '../edit/apply'
import { applyChanges } from '../yard/apply'
import { settled } from '../yard/settle'
import { rowsNow } from '../yard/rows'
import { shippedYard, YARD_TABLES } from '../../data/yard'
import { exact } from '../money/exact'
import { afterLines, afterTotals, type UsedNote } from './after'
import type { CatalogueRow } from './catalogue'
import { cutSticks } from './cutting'
import { frozenLine } from './frozen'
import { chargedLine } from './total'
import { countSolver } from '../../shared/solver'

const KEY = 'mix/post-mix-20'
const rowOf = (key: string) => catalogue.find((row) => row.key === key)!
const plain = { ...costSettings, markUp: 0, waste: 0, overhead: 0 }
const planned = (key: string, quantity: number, settings = plain) =>
  frozenLine(chargedLine(exact(quantity), rowOf(key), settings), settings)
const after = (notes: UsedNote[], lines = [planned(KEY, 12), planned('labour/dig', 8)]) =>
  afterLines(lines, notes, { catalogue, settings: plain })
const empty = { cuts: {}, taken: [] }
const haveOf = (rows: readonly CatalogueRow[], have: number): CatalogueRow[] =>
  rows.map((row) => (row.key === KEY ? { ...row, have } : row))

describe('planned against actual', () => {
  it('is as planned until somebody says otherwise', () => {
    const lines = after([])
    expect(lines.every(({ used, needsReason }) => used === undefined && !needsReason)).toBe(true)
    // 12 bags at 6.40 and 8 hours at 38.00, by hand: 76.80 + 304.00.
    expect(afterTotals(lines)).toEqual({ planned: 38_080n, used: 38_080n })
  })

  it('asks for a reason over a tenth, either way, and not at a tenth', () => {
    const off = (used: number) => after([{ key: KEY, used }])[0]!
    expect([off(15).needsReason, off(15).off]).toEqual([true, 0.25])
    expect([13, 13.2, 10.8].map((used) => off(used).needsReason)).toEqual([false, false, false])
    expect([13.3, 10.7].map((used) => off(used).needsReason)).toEqual([true, true])
    expect(after([{ key: KEY, used: 15, reason: 'holes larger' }])[0]!.reason).toBe('holes larger')
    // 3 bags more at 6.40.
    expect(afterTotals(after([{ key: KEY, used: 15 }]))).toEqual({ planned: 38_080n, used: 40_000n })
  })

  it('takes what was bought on the way for used where nobody counted', () => {
    const [line] = after([{ key: KEY, bought: 3 }])
    expect([line!.used!.valueOf(), line!.needsReason]).toEqual([15, true])
  })

  it('has what nobody had planned as a line of its own', () => {
    const lines = after([{ key: 'stone/gravel', used: 40 }])
    expect(lines.at(-1)).toMatchObject({ key: 'stone/gravel', needsReason: true, usedAmount: 820n, plannedAmount: 0n })
    expect(after([{ key: 'level', missed: true }])).toHaveLength(2)
  })
})

describe('what goes back to the yard', () => {
  const back = (have: number, note: UsedNote) => {
    const rows = haveOf(catalogue, have)
    return settled(afterLines([planned(KEY, 12)], [note], { catalogue: rows, settings: plain }), empty, {
      catalogue: rows,
      offcuts: [],
    })
  }
  it.each([
    // Lay there, used, bought beside: what lies there then.
    [0, 12, 0, 0],
    [0, 10, 0, 2],
    [4, 14, 3, 1],
    [20, 12, 0, 8],
    [4, 30, 0, 0],
  ])('%d lay there, %d used, %d bought beside: %d', (have, used, bought, there) => {
    const { changes } = back(have, { key: KEY, used, bought })
    expect(changes).toEqual(
      there === have ? [] : [{ table: 'catalogue', key: KEY, path: 'have', was: have, value: there }],
    )
  })

  it('never is work, hire or travel', () => {
    const lines = afterLines([planned('labour/dig', 8), planned('hire/mixer', 1)], [{ key: 'labour/dig', used: 5 }], {
      catalogue,
      settings: plain,
    })
    expect(settled(lines, empty, { catalogue, offcuts: [] }).changes).toEqual([])
  })

  it('is an offcut that is long enough, and one less of those that were taken; the next cut list has them', async () => {
    const stock = 'post/post-100'
    const solver = await countSolver()
    const offcut = { key: 'last-week', name: 'an offcut', stockOf: stock, length: 1.2, count: 2 }
    const cut = cutSticks(
      [
        { length: 2, count: 1 },
        { length: 1.1, count: 1 },
      ],
      [
        { length: 1.2, price: 0, count: 2 },
        { length: 3, price: 2_280 },
      ],
      solver,
    )
    const { changes, back } = settled(
      [],
      { cuts: { [stock]: cut }, taken: [{ offcut, count: 1 }] },
      { catalogue, offcuts: [offcut] },
    )
    expect(back).toEqual([{ name: '100 × 100 post, 1.00 m', count: 1, unit: 'each' }])
    const known = { shipped: { ...shippedYard, offcuts: [offcut as never] }, tables: YARD_TABLES }
    const { own, conflicts } = applyChanges({}, changes, known)
    expect(conflicts).toEqual([])
    const lie = rowsNow(known.shipped, own).offcuts!
    expect(lie.map(({ length, count }) => [length, count])).toEqual([
      [1.2, 1],
      [0.997, 1],
    ])
    const next = cutSticks(
      [{ length: 0.9, count: 2 }],
      [
        ...(lie as unknown as { length: number; count: number }[]).map((each) => ({ ...each, price: 0 })),
        { length: 1.8, price: 1_368 },
      ],
      solver,
    )
    expect(next.price).toBe(0)
  })
})

describe('edits of it', () => {
  it('are taken back to what was', () => {
    const job = fence({ posts: 2 })
    const note = { name: 'noteUsed' as const, key: KEY, value: { used: 15, reason: 'larger' } }
    const at = '2026-11-27T15:00:00.000Z'
    const done = applyCommands(job, [note, { name: 'settleLoad', value: at }])
    expect(done.load).toEqual({ used: [{ key: KEY, used: 15, reason: 'larger' }], settled: at })
    expect(
      applyCommands(done, [
        { ...note, value: null },
        { name: 'settleLoad', value: null },
      ]),
    ).toEqual(job)
  })
})
