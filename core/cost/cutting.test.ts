import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { countSolver } from '../../shared/solver'
import { drawsFrom } from '../numeric/draws'
import { InputError } from '../errors'
import { KERF, type StockLength } from '../setout/cutList'
import { cutSticks } from './cutting'
import { cases } from '../../tests/support/cases'

const solver = await countSolver()
const TENTH = 1e-4

interface Cut {
  price: number
  waste: number
  bars: number
}
/** Every way to put pieces into sticks, one after the other: the best by price, then by what is left over, then by sticks. */
function best(pieces: readonly number[], stock: readonly StockLength[]): Cut | undefined {
  const open: { left: number; price: number }[] = []
  const counts = stock.map(({ count }) => count ?? Infinity)
  let found: Cut | undefined
  const isWorse = (cut: Cut) =>
    found && (cut.price - found.price || cut.waste - found.waste || cut.bars - found.bars) >= 0
  const place = (i: number, price: number): void => {
    if (found && price > found.price) return
    if (i === pieces.length) {
      const waste = open.reduce((sum, { left }) => {
        const offcut = Math.max(0, Math.round(left / TENTH))
        return sum + (offcut < 5_000 ? offcut : 0)
      }, 0)
      const cut = { price, waste, bars: open.length }
      if (!isWorse(cut)) found = cut
      return
    }
    const takes = pieces[i]! + KERF
    for (const bar of open) {
      if (bar.left + KERF < takes - 1e-9) continue
      bar.left -= takes
      place(i + 1, price)
      bar.left += takes
    }
    stock.forEach(({ length, price: cost }, at) => {
      if (length + KERF < takes - 1e-9 || counts[at]! < 1) return
      counts[at]!--
      open.push({ left: length - takes, price: cost })
      place(i + 1, price + cost)
      open.pop()
      counts[at]!++
    })
  }
  place(0, 0)
  return found
}

const wasteOf = (bars: readonly { offcut: number }[]) =>
  bars.reduce((sum, { offcut }) => sum + (offcut < 0.5 - 1e-9 ? Math.round(offcut / TENTH) : 0), 0)

describe('sticks cut to pieces', () => {
  it('are two of 3.6 m, where cutting the longest first takes one of each', () => {
    const found = cutSticks(
      [
        { length: 2, count: 2 },
        { length: 1.1, count: 1 },
      ],
      [
        { length: 4.8, price: 960 },
        { length: 3.6, price: 720 },
      ],
      solver,
    )
    expect(found).toMatchObject({ price: 1_440, exact: true, gap: 0, bound: 1_440 })
    expect(found.bars.map(({ stock, pieces }) => [stock, pieces])).toEqual([
      [3.6, [2, 1.1]],
      [3.6, [2]],
    ])
    expect(found.bars[0]!.offcut).toBeCloseTo(3.6 - 3.1 - 2 * KERF, 9)
  })
  it('take offcuts of the yard first, as many as there are', () => {
    const stock = [
      { length: 3, price: 600 },
      { length: 1.4, price: 0, count: 2 },
    ]
    const found = cutSticks([{ length: 1.2, count: 5 }], stock, solver)
    expect(found.price).toBe(1_200)
    expect(found.bars.map((bar) => bar.stock)).toEqual([3, 3, 1.4])
    // One more from the yard would serve as well as the second of 3 m.
    expect(cutSticks([{ length: 1.2, count: 4 }], stock, solver).price).toBe(600)
  })
  it('fit to a tenth of a millimetre: n pieces and n − 1 cuts', () => {
    const exactly = [{ length: 2 * 1.2 + KERF, price: 1 }]
    expect(cutSticks([{ length: 1.2, count: 2 }], exactly, solver).bars).toHaveLength(1)
    const short = [{ length: 2 * 1.2 + KERF - TENTH, price: 1 }]
    expect(cutSticks([{ length: 1.2, count: 2 }], short, solver).bars).toHaveLength(2)
  })
  it('refuse a piece longer than all stock, and stock that runs out', () => {
    expect(() => cutSticks([{ length: 3, count: 1 }], [{ length: 2.4, price: 1 }], solver)).toThrow(InputError)
    expect(() => cutSticks([{ length: 2, count: 3 }], [{ length: 2.4, price: 1, count: 2 }], solver)).toThrow(/stock/)
    expect(cutSticks([], [{ length: 2.4, price: 1 }], solver)).toMatchObject({ bars: [], price: 0 })
  })
  property.prop(
    [
      fc.array(fc.integer({ min: 3, max: 30 }), { minLength: 1, maxLength: 6 }),
      fc.array(
        fc.record({
          length: fc.integer({ min: 30, max: 60 }),
          price: fc.integer({ min: 0, max: 20 }),
          count: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    ],
    { numRuns: cases(120, 500) },
  )('are cut as cheaply, as tidily and out of as few as by trying everything', (tenths, kinds) => {
    const pieces = tenths.map((tenth) => tenth / 10)
    const stock = kinds.map(({ length, ...rest }) => ({ length: length / 10, ...rest }))
    const tried = best(pieces, stock)
    const wanted = pieces.map((length) => ({ length, count: 1 }))
    if (!tried) {
      expect(() => cutSticks(wanted, stock, solver)).toThrow(/stock/)
      return
    }
    const { price, bars, exact } = cutSticks(wanted, stock, solver)
    expect({ price, waste: wasteOf(bars), bars: bars.length, exact }).toEqual({ ...tried, exact: true })
    expect(bars.flatMap(({ pieces: cut }) => cut).sort()).toEqual([...pieces].sort())
  })
  it('are 200 pieces from five stock lengths within a fiftieth of what no cutting can be cheaper than', () => {
    const draws = drawsFrom(7)
    const pieces = Array.from({ length: 200 }, () => ({
      length: Math.round(600 + 2_400 * draws.share()) / 1e3,
      count: 1,
    }))
    const stock = [
      { length: 2.4, price: 520 },
      { length: 3, price: 640 },
      { length: 3.6, price: 760 },
      { length: 4.8, price: 1_020 },
      { length: 6, price: 1_300 },
    ]
    const found = cutSticks(pieces, stock, solver)
    expect(found.bars.flatMap(({ pieces: cut }) => cut)).toHaveLength(200)
    expect(found.gap).toBeLessThan(0.02)
    expect(found.bound).toBeLessThanOrEqual(found.price)
    expect(
      found.bars.reduce((sum, { stock: length }) => sum + stock.find((each) => each.length === length)!.price, 0),
    ).toBe(found.price)
  })
})
