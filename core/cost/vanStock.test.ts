import { describe, expect, it } from 'vitest'
import { vanStock } from './vanStock'

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
})
