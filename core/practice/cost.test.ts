import { describe, expect, it } from 'vitest'
import { costOf, leastWay, mostWorth, VISIT, type Way } from './cost'

/** Two causes alike in chance, each with its own way, and one that answers both and takes longer. */
const way = (method: string, minutes: number, ...wasted: number[]) => ({ method, minutes, wasted }) as unknown as Way
const spur = way('repair-spur', 60, 0, 1)
const recast = way('recast-footing', 80, 1, 0)
const both = way('new-post-concrete', 150, 0, 0)
const even = [0.5, 0.5]

describe('what a commitment is expected to cost', () => {
  it('is its minutes and a visit for each time that it is wasted', () => {
    expect(costOf(spur, even)).toBe(60 + 0.5 * VISIT)
    expect(costOf(both, even)).toBe(150)
    expect(costOf(spur, [1, 0])).toBe(60)
  })
  it('is least of the way that risks least, not of the quickest', () => {
    expect(leastWay([recast, spur, both], even)).toEqual({ way: spur, cost: 120 })
    expect(leastWay([recast, spur, both], [0.1, 0.9]).way).toBe(recast)
  })
  it('falls by no more than knowing all would save: 120 against 70 minutes here', () => {
    expect(mostWorth([spur, recast, both], even, 120)).toBe(120 - (0.5 * 60 + 0.5 * 80))
    // Where there is nothing left to know nothing is worth a look.
    expect(mostWorth([spur, recast, both], [1, 0], 60)).toBe(0)
  })
})
