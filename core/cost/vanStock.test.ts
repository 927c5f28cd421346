import { describe, expect, it } from 'vitest'
import { vanStock, withBags } from './vanStock'

const yard = [{ key: 'mix/post-mix-20', onVan: 8 }, { key: 'mix/general-20' }, { key: 'spur/spur-100', onVan: 2 }]

describe('what is on the van', () => {
  it('is what the yard keeps on it, where nobody has counted for this job', () => {
    expect([...vanStock(undefined, yard, 'post-mix-20')]).toEqual([
      ['mix/post-mix-20', 8],
      ['spur/spur-100', 2],
    ])
  })
  it('has the bags that were counted for this job in the place of the yard’s', () => {
    expect(vanStock({ mix: 'post-mix-20', bags: 3 }, yard, 'general-20').get('mix/post-mix-20')).toBe(3)
    expect(vanStock({ mix: 'post-mix-20', bags: 0 }, yard).get('mix/post-mix-20')).toBe(0)
    expect(vanStock({ bags: 5 }, yard, 'general-20').get('mix/general-20')).toBe(5)
    expect(vanStock({ bags: 5 }, yard, 'general-20').get('spur/spur-100')).toBe(2)
  })
  it('is unknown of what nobody counted', () => {
    expect(vanStock({ mix: 'post-mix-20' }, yard).get('mix/general-20')).toBeUndefined()
    expect(vanStock({ bags: 5 }, yard).get('mix/post-mix-20')).toBe(8)
  })
  it('keeps a count for each mix, over the yard’s and over the one count of an older file', () => {
    const counted = [
      { mix: 'post-mix-20', bags: 3 },
      { mix: 'general-20', bags: 6 },
    ]
    const stock = vanStock({ mix: 'post-mix-20', bags: 9, counted }, yard)
    expect([stock.get('mix/post-mix-20'), stock.get('mix/general-20')]).toEqual([3, 6])
  })
})

describe('bags counted for a job', () => {
  it('of one mix leave those of another, an older file’s too', () => {
    const first = withBags({ mix: 'post-mix-20', bags: 9 }, 'general-20', 6)
    expect(first).toEqual({
      counted: [
        { mix: 'post-mix-20', bags: 9 },
        { mix: 'general-20', bags: 6 },
      ],
    })
    expect(withBags(first!, 'post-mix-20', 2)!.counted).toEqual([
      { mix: 'post-mix-20', bags: 2 },
      { mix: 'general-20', bags: 6 },
    ])
  })
  it('are none once the last count is taken back', () => {
    const both = withBags(withBags(undefined, 'a', 0)!, 'b', 1)!
    expect(withBags(both, 'a', null)).toEqual({ counted: [{ mix: 'b', bags: 1 }] })
    expect(withBags({ bags: 4 }, 'a', null)).toBeNull()
  })
})
