import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { row } from '../tables/tables'
import { measuresIn } from '../units/quantity'
import { bagOrder } from './bags'
import { fillQuantities } from './fill'
import { fillingSteps } from './fillingSteps'
import { oldFootingWays } from './oldFooting'
import type { HoleShape } from './volume'

const says = measuresIn('metric')
const hole: HoleShape = { shape: 'round', diameter: 0.3, depth: 0.6 }
const post = { shape: 'rectangle', along: 0.1, across: 0.1 } as const

function steps(key: string, mixKey = 'post-mix-20', volume = 0.03641) {
  const [filling, mix] = [row(tables.fillings, key), row(tables.mixes, mixKey)]
  if (filling.water === 'none')
    return fillingSteps({ filling, fill: fillQuantities(filling, volume, 0.6), volume, height: 0.6 }, says)
  const bags = bagOrder(volume, mix, filling, hole, post)
  const fill = fillQuantities(filling, volume, 0.6, bags)
  return fillingSteps({ filling, fill, volume, height: 0.6, poured: { mix, bags } }, says)
}

describe('a way of filling as instructions', () => {
  it('water first: a third of the hole, and what the bags want of it', () => {
    // 12.14 L by the rule, 4 bags at 2.8 L want 11.2.
    expect(steps('water-first')[0]).toBe(
      'Water into the hole to a third of its concrete: 12.1 L. The bags want 11.2 L: leave 0.9 L of it out.',
    )
  })
  it('dry bags: what goes on top of each', () => {
    expect(steps('dry-pour').join(' ')).toContain('3.2 L to each bag, 12.8 L in all')
  })
  it('mixed in a barrow: bag by bag, in lifts that are rodded into each other', () => {
    expect(steps('wet-barrow')[0]).toContain('Mix 4 bags one by one, 2.8 L')
    expect(steps('wet-barrow')[1]).toContain('3 lifts of about 12.1 L')
  })
  it('in layers: water and mix of each, to be ticked off', () => {
    // 0.6 m in layers of 0.15: four of them, one bag each.
    expect(steps('layered')[0]).toBe('4 layers: 2.8 L of water, then 1 of a bag, worked in before the next.')
  })
  it('stone and soil: layers, and what holds the post meanwhile', () => {
    expect(steps('stone')[0]).toBe('5 layers of 120 mm, about 13 kg each, tamped until the bar rings.')
    expect(steps('tamped-soil')[0]).toBe('6 layers of 100 mm, about 6.1 L each, tamped until the bar rings.')
    expect(steps('tamped-soil')[1]).toContain('holds the post plumb')
  })
  it('by hand and from the lorry: batches, and no water on site', () => {
    expect(steps('wet-barrow', 'hand-batch', 0.1)[0]).toMatch(/^3 barrow batches: /)
    expect(steps('wet-barrow', 'mixer-truck', 0.1)[0]).toContain('no water on site')
  })
})

describe('an old footing out', () => {
  const first = (diameter: number, bottom: number, mass: number) =>
    oldFootingWays({ diameter, top: 0, bottom }, mass, says).find((way) => way.first)!.way
  it('is lifted while two people can, levered while a bar can, else split', () => {
    expect(first(0.25, 0.4, 42)).toBe('lift-whole')
    expect(first(0.3, 0.6, 93)).toBe('lever')
    expect(first(0.45, 0.8, 290)).toBe('split')
    const heavy = oldFootingWays({ diameter: 0.45, top: 0, bottom: 0.8 }, 290, says)
    expect(heavy.find(({ way }) => way === 'lift-whole')!.because).toContain('290 kg')
  })
})
