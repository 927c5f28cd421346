import { describe, expect, it } from 'vitest'
import { lineBill } from '~~/core/cost/lineBill'
import { exact } from '~~/core/money/exact'
import { catalogue, costSettings } from '~~/data/catalogue'
import { currencies } from '~~/data/currencies'
import { tables } from '~~/data/tables'
import { byPlace, loadingList } from './loadingList'

const line = (key: string, quantity: number, piece?: { stock: string; length: number }) => ({
  key,
  quantity: exact(quantity),
  post: 'B/B1',
  ...(piece ? { piece } : {}),
})
const bill = lineBill(
  [
    line('mix/post-mix-20', 3.6),
    line('fixing/bolt-12', 4),
    line('spur/spur-100', 2),
    line('labour/dig', 2),
    line('disposal/spoil', 80),
    line('unheard-of', 1),
    line('post/post-100', 1, { stock: 'post/post-100', length: 2.4 }),
    line('post/post-oak', 2, { stock: 'post/post-oak', length: 2.55 }),
  ],
  { visits: 1, hires: { 'hire/mixer': 1 } },
  { catalogue, settings: costSettings, currency: currencies[0]! },
)
const list = loadingList(bill, [{ method: { method: 'repair-spur' } as never }], tables, (length) => `${length} m`)
const of = (key: string) => list.lines.find((each) => each.key === key)

describe('the loading list', () => {
  it('has what is carried: packs, sticks, what is hired, and the gear of the methods', () => {
    // 3.6 bags and one to spare: five.
    expect(of('mix/post-mix-20')).toEqual({
      key: 'mix/post-mix-20',
      says: '20 kg fast post mix',
      count: 5,
      mass: 100,
      kept: 'bagged goods',
    })
    expect(of('fixing/bolt-12')).toMatchObject({
      count: 1,
      mass: 2.5,
      says: expect.stringContaining('10 in a pack') as string,
    })
    expect(of('post/post-100/2.4')).toMatchObject({ count: 1, kept: 'timber rack' })
    expect(of('hire/mixer')).toMatchObject({ count: 1, kept: 'hire' })
    expect(list.lines.filter(({ kept }) => kept === 'tools and gear').length).toBeGreaterThan(0)
  })
  it('leaves out what nobody carries, and names what no list has', () => {
    expect(list.lines.some(({ key }) => /labour|travel|disposal/.test(key))).toBe(false)
    expect(of('unheard-of')).toMatchObject({ kept: 'not in the yard’s list', says: 'unheard of' })
    // A post of which no stick is sold is not left at home for that.
    expect(of('post/post-oak 2.55')).toMatchObject({ count: 2, says: 'post post oak, 2.55 m long' })
    expect(bill.unpriced).toContain('post/post-oak')
  })
  it('says what two lift, by the mass of one', () => {
    expect(of('spur/spur-100')).toMatchObject({ count: 2, mass: 58, twoLift: 29 })
    expect(of('mix/post-mix-20')).not.toHaveProperty('twoLift')
  })
  it('is walked place by place', () => {
    const places = byPlace(list.lines)
    expect(places.map(({ kept }) => kept)).toEqual([...places.map(({ kept }) => kept)].sort())
    expect(places.flatMap(({ lines }) => lines)).toHaveLength(list.lines.length)
  })
  it('is the cargo of the vans, sticks with their length', () => {
    expect(list.cargo.find(({ key }) => key === 'post/post-100/2.4')).toMatchObject({ length: 2.4, count: 1 })
    expect(list.cargo.reduce((sum, { mass, count }) => sum + mass * count, 0)).toBeCloseTo(100 + 2.5 + 58 + 13.2, 6)
  })
})
