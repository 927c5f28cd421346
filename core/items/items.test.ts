import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { plan } from '../plan/plan'
import { measuresIn } from '../units/quantity'
import { row } from '../tables/tables'
import { itemsOf, itemWords, orderFigure } from './items'

const methods = plan(
  jobOf(
    runOfPosts(3, 2.4, () => ({
      observations: { probeAtGround: 0.03 },
      repair: { holes: { 'repair-spur': { stoneBed: 0.1, depth: 0.6 } } },
    })),
  ),
  tables,
).posts[1]!.methods
const SAYS = measuresIn('metric')
const method = (key: string) => methods.find((each) => each.method === key)!
const words = (key: string) => itemsOf('A2', method(key), tables).map((item) => itemWords(item, SAYS))

describe('what is brought to a post', () => {
  it('is there for a method without a hole too, with its time', () => {
    expect(method('make-safe').hole).toBeUndefined()
    const { bring } = row(tables.parts.methods, 'make-safe')
    expect(words('make-safe').slice(-bring.length)).toEqual(bring)
    expect(words('make-safe')[0]).toBe('2 × 38 × 88 prop')
    expect(method('make-safe').minutes).toBeGreaterThan(0)
    expect(words('steel-pin')[0]).toMatch(/^1 × /)
  })

  it('has concrete, water and stone by their amounts, and each part by its number', () => {
    const { concrete } = method('repair-spur')
    const items = itemsOf('A2', method('repair-spur'), tables)
    const amount = (unit: string, what: RegExp) =>
      items.find((item) => item.unit === unit && what.test(item.what))!.amount
    expect(amount('bags', /post mix/)).toBe(concrete!.bags.count)
    expect(amount('L', /^water$/)).toBeCloseTo(concrete!.bags.water * 1e3, 9)
    expect(amount('L', /stone/)).toBeCloseTo(concrete!.stone * 1e3, 9)
    expect(words('repair-spur').some((each) => each.startsWith('2 × '))).toBe(true)
    expect(items.every(({ post }) => post === 'A2')).toBe(true)
    const { value, unit } = orderFigure(row(tables.mixes, concrete!.mix), concrete!.bags, concrete!.concrete, SAYS)
    expect([value, unit.startsWith('bags, ')]).toEqual([String(concrete!.bags.count), true])
  })

  it('is one bag, or several', () => {
    const item = { what: 'post mix', unit: 'bags', post: 'A2' }
    expect([1, 2].map((amount) => itemWords({ ...item, amount }, SAYS))).toEqual([
      '1 bag of post mix',
      '2 bags of post mix',
    ])
  })
})
