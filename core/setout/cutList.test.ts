import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { cutList, KERF, type StockLength } from './cutList'

/** Every way to put pieces into bars, one after the other. */
function cheapest(pieces: readonly number[], stock: readonly StockLength[]): number {
  const bars: { left: number; price: number }[] = []
  let best = Infinity
  const place = (i: number, price: number): void => {
    if (price >= best) return
    if (i === pieces.length) {
      best = price
      return
    }
    const needed = pieces[i]! + KERF
    for (const bar of bars) {
      // The last piece of a bar needs no kerf behind it.
      if (bar.left + KERF < needed - 1e-9) continue
      bar.left -= needed
      place(i + 1, price)
      bar.left += needed
    }
    for (const { length, price: cost } of stock) {
      if (length + KERF < needed - 1e-9) continue
      bars.push({ left: length - needed, price: cost })
      place(i + 1, price + cost)
      bars.pop()
    }
  }
  place(0, 0)
  return best
}

describe('pieces cut from stock', () => {
  property.prop(
    [
      fc.array(fc.integer({ min: 3, max: 30 }), { minLength: 1, maxLength: 6 }),
      fc.array(fc.record({ length: fc.integer({ min: 30, max: 60 }), price: fc.integer({ min: 1, max: 20 }) }), {
        minLength: 1,
        maxLength: 3,
      }),
    ],
    { numRuns: 150 },
  )('are never beaten by trying every way', (lengths, kinds) => {
    const pieces = lengths.map((each) => each / 10)
    const stock = kinds.map(({ length, price }) => ({ length: length / 10, price }))
    const { price, bars, exact } = cutList(
      pieces.map((length) => ({ length, count: 1 })),
      stock,
    )
    expect(exact).toBe(true)
    expect(price).toBe(cheapest(pieces, stock))
    expect(bars.flatMap((bar) => bar.pieces).sort()).toEqual([...pieces].sort())
    for (const { stock: length, pieces: cut, offcut } of bars) {
      const taken = cut.reduce((sum, each) => sum + each, 0)
      expect(taken + (cut.length - 1) * KERF).toBeLessThanOrEqual(length + 1e-9)
      expect(offcut).toBeCloseTo(Math.max(0, length - taken - cut.length * KERF), 9)
    }
  })
  it('takes two of the shorter stock where the longest first would cost more', () => {
    const { bars, price } = cutList(
      [
        { length: 2, count: 2 },
        { length: 1.1, count: 1 },
      ],
      [
        { length: 4.8, price: 960 },
        { length: 3.6, price: 720 },
      ],
    )
    expect(price).toBe(1440)
    expect(bars.map(({ pieces }) => pieces)).toEqual([[2, 1.1], [2]])
  })
  it('takes what lies in the yard first, as long as it is there', () => {
    const stock = [
      { length: 2.5, price: 0, count: 1 },
      { length: 3, price: 500 },
    ]
    expect(cutList([{ length: 2.4, count: 2 }], stock)).toMatchObject({ price: 500, exact: true })
    expect(() => cutList([{ length: 2.4, count: 2 }], [stock[0]!])).toThrow(InputError)
  })
  it('takes the fewer bars where nothing else differs', () => {
    // 2.0 - 2 × 0.903 and twice 1.0 - 0.903 leave the same.
    const stock = [
      { length: 1, price: 100 },
      { length: 2, price: 200 },
    ]
    expect(cutList([{ length: 0.9, count: 2 }], stock).bars).toHaveLength(1)
  })
  it('refuses a piece that no stock is long enough for', () => {
    expect(() => cutList([{ length: 5, count: 1 }], [{ length: 4.8, price: 1 }])).toThrow('at most 4.8 m')
  })
  it('cuts a great many pieces, and says that it has not tried every way', () => {
    const pieces = Array.from({ length: 40 }, (_, i) => ({ length: 0.4 + i * 0.03, count: 5 }))
    const { bars, exact } = cutList(pieces, [
      { length: 3.6, price: 720 },
      { length: 4.8, price: 930 },
    ])
    expect(exact).toBe(false)
    expect(bars.flatMap((bar) => bar.pieces)).toHaveLength(200)
  })
})
