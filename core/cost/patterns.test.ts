import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { bestPatterns, patternsOf, tooMany, type Pattern, type Sticks } from './patterns'

const bar = (length: number) => ({ length, price: 1, count: 9 })
/** 2.4 m in tenths of a millimetre, and so on. */
const metres = (length: number) => Math.round(length * 1e4)

const sticks: fc.Arbitrary<Sticks> = fc.record({
  kinds: fc
    .uniqueArray(fc.integer({ min: 3, max: 30 }), { minLength: 1, maxLength: 4 })
    .chain((lengths) =>
      fc.tuple(
        ...lengths
          .sort((a, b) => b - a)
          .map((length) => fc.record({ length: fc.constant(length * 10), count: fc.integer({ min: 1, max: 4 }) })),
      ),
    ),
  bars: fc.array(
    fc.integer({ min: 20, max: 60 }).map((length) => bar(length * 10)),
    { minLength: 1, maxLength: 2 },
  ),
  kerf: fc.constantFrom(0, 10, 30),
})
const long = ({ bar: which, taken }: Pattern, { kinds, bars, kerf }: Sticks) => ({
  used: taken.reduce((sum, count, kind) => sum + count * (kinds[kind]!.length + kerf), 0) - kerf,
  room: bars[which]!.length,
})

describe('ways to cut a stick', () => {
  it('are all that there are: rails of 1.8 and 1.2 m out of 3.6 m, 3 mm lost at a cut', () => {
    const of: Sticks = {
      kinds: [
        { length: metres(1.8), count: 2 },
        { length: metres(1.2), count: 3 },
      ],
      bars: [bar(metres(3.6))],
      kerf: 30,
    }
    // Two of 1.8 m and the kerf between them are longer than the stick, three of 1.2 m as well.
    expect(patternsOf(of, 100)).toEqual([
      { bar: 0, taken: [1, 1] },
      { bar: 0, taken: [1, 0] },
      { bar: 0, taken: [0, 2] },
      { bar: 0, taken: [0, 1] },
    ])
    expect(patternsOf({ ...of, kerf: 0 }, 100)).toContainEqual({ bar: 0, taken: [2, 0] })
  })
  it('are given up where there are more than one asks for', () => {
    const of: Sticks = { kinds: [{ length: 10, count: 9 }], bars: [bar(100)], kerf: 0 }
    expect(patternsOf(of, 9)).toHaveLength(9)
    expect(patternsOf(of, 8)).toBe(tooMany)
  })
  property.prop([sticks])('fit their stick, take no more than is wanted, and none is there twice', (of) => {
    const found = patternsOf(of, 100_000) as Pattern[]
    for (const pattern of found) {
      const { used, room } = long(pattern, of)
      expect(used).toBeLessThanOrEqual(room)
      pattern.taken.forEach((count, kind) => expect(count).toBeLessThanOrEqual(of.kinds[kind]!.count))
    }
    expect(new Set(found.map((pattern) => JSON.stringify(pattern))).size).toBe(found.length)
  })
  property.prop([sticks, fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 4, maxLength: 4 })])(
    'the one worth most is the best of all of them, whatever the pieces are worth',
    (of, worths) => {
      const worth = of.kinds.map((_kind, i) => worths[i]!)
      const valueOf = (taken: readonly number[]) => taken.reduce((sum, count, kind) => sum + count * worth[kind]!, 0)
      const all = patternsOf(of, 100_000) as Pattern[]
      for (const [which, { taken, value }] of bestPatterns(of, worth).entries()) {
        const most = Math.max(0, ...all.filter((each) => each.bar === which).map((each) => valueOf(each.taken)))
        expect(value).toBeCloseTo(most, 9)
        expect(valueOf(taken)).toBeCloseTo(most, 9)
        const { used, room } = long({ bar: which, taken }, of)
        expect(used).toBeLessThanOrEqual(room)
      }
    },
  )
})
