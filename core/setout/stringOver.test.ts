import { fc } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { stringOver } from './stringOver'

const RAKE = [
  { station: 0, height: 1.8 },
  { station: 10, height: 1.3 },
]

describe('the string over the posts', () => {
  it('is straight between the posts that hold it, and goes on straight beyond them', () => {
    expect(stringOver(RAKE, 4)).toBeCloseTo(1.6, 12)
    expect(stringOver(RAKE, 12)).toBeCloseTo(1.2, 12)
    expect(stringOver(RAKE, -2)).toBeCloseTo(1.9, 12)
  })
  it('turns at a post in between that holds it too', () => {
    const turned = [RAKE[0]!, { station: 6, height: 1.8 }, RAKE[1]!]
    expect(stringOver(turned, 3)).toBeCloseTo(1.8, 12)
    expect(stringOver(turned, 6)).toBeCloseTo(1.8, 12)
    expect(stringOver(turned, 8)).toBeCloseTo(1.55, 12)
  })
  it('is level when one post alone holds it, and refuses none', () => {
    expect(stringOver([RAKE[1]!], 99)).toBe(1.3)
    expect(() => stringOver([], 0)).toThrow('at least one post that carries the string')
  })
  it('meets every hold', () => {
    const holds = fc
      .uniqueArray(fc.integer({ min: 0, max: 500 }), { minLength: 2, maxLength: 9 })
      .chain((stations) =>
        fc.tuple(
          ...stations
            .sort((a, b) => a - b)
            .map((at) => fc.tuple(fc.constant(at / 10), fc.double({ min: -3, max: 3, noNaN: true }))),
        ),
      )
    fc.assert(
      fc.property(holds, (pairs) => {
        const all = pairs.map(([station, height]) => ({ station, height }))
        for (const { station, height } of all) expect(stringOver(all, station)).toBeCloseTo(height, 9)
      }),
    )
  })
})
