import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { leftoverOf } from './leftover'

const lifts = (bags: number) => [{ at: '2026-05-04T10:00:00Z', bags, water: 0.002 * bags }]
const mix = tables.mixes.find(({ key }) => key === 'post-mix-20')!
const yields = mix.supply === 'bag' ? mix.yields : NaN
const planned = { bags: 3, concrete: 3 * yields - 0.006 }
const waiting = [
  { post: 'B5', mix: 'general-20' },
  { post: 'B6', mix: 'post-mix-20' },
]

describe('what opened bags leave over', () => {
  const of = (bags: number, of = planned, next = waiting) =>
    leftoverOf({ mix: 'post-mix-20', lifts: lifts(bags) }, of, next, tables)
  it('goes into the next hole of the same mix', () => {
    expect(of(3)).toEqual({ volume: expect.closeTo(0.006, 9), post: 'B6' })
    expect(of(4)!.volume).toBeCloseTo(0.006 + yields, 9)
    expect(of(3, planned, [])).toEqual({ volume: expect.closeTo(0.006, 9) })
  })
  it('is not spoken of before the hole is full, nor where it is not worth the way', () => {
    expect(of(2)).toBeUndefined()
    // A hole that takes no bag, or that nobody planned, leaves nothing over.
    expect(of(1, { bags: 0, concrete: 0 })).toBeUndefined()
    expect(of(3, { bags: 3, concrete: 3 * yields - 0.001 })).toBeUndefined()
    expect(leftoverOf({ mix: 'post-mix-20' }, planned, waiting, tables)).toBeUndefined()
    expect(leftoverOf({ mix: 'post-mix-20', lifts: lifts(3) }, undefined, waiting, tables)).toBeUndefined()
  })
})
