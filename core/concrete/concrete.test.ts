import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { row } from '../tables/tables'
import { tables } from '../../tests/support/builders'
import { bagOrder, strengthWithWater, takesFilling, wholeBags, type BaggedMix } from './bags'
import { fillQuantities } from './fill'
import { concreteToMove } from './supply'
import { holeVolumes, type HoleShape } from './volume'

const post = { shape: 'rectangle' as const, along: 0.1, across: 0.1 }
const postMix = row(tables.mixes, 'post-mix-20') as BaggedMix
const filling = (key: string) => row(tables.fillings, key)

describe('volume of a hole', () => {
  it('comes to the worked 34.89 litres', () => {
    const hole: HoleShape = { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 }
    const volumes = holeVolumes({ hole, post })
    expect(volumes.concrete * 1e3).toBeCloseTo(34.89, 2)
    expect(volumes.stone * 1e3).toBeCloseTo(7.069, 3)
  })

  it('puts the over-dig into concrete', () => {
    const hole: HoleShape = { shape: 'round', diameter: 0.3, depth: 0.6 }
    const [planned, dug] = [holeVolumes({ hole, post }), holeVolumes({ hole, post, overdig: 0.1 })]
    expect(dug.concrete - planned.concrete).toBeCloseTo(planned.hole * 0.1, 12)
  })

  it('knows cones and bells', () => {
    const cone = holeVolumes({ hole: { shape: 'tapered', topDiameter: 0.2, bottomDiameter: 0.4, depth: 0.6 } })
    expect(cone.hole).toBeCloseTo((Math.PI * 0.6 * (0.1 ** 2 + 0.1 * 0.2 + 0.2 ** 2)) / 3, 12)
    const bell = holeVolumes({
      hole: { shape: 'belled', diameter: 0.2, bellDiameter: 0.4, bellHeight: 0.2, depth: 0.6 },
    })
    expect(bell.hole).toBeCloseTo(Math.PI * (0.1 ** 2 * 0.4 + 0.2 ** 2 * 0.2), 12)
  })

  property.prop([
    fc.double({ min: 0.2, max: 0.6, noNaN: true }),
    fc.double({ min: 0.4, max: 1.5, noNaN: true }),
    fc.double({ min: 0, max: 0.15, noNaN: true }),
    fc.double({ min: 0, max: 0.1, noNaN: true }),
  ])('stone, concrete, post and topping add up to the hole', (diameter, depth, stoneBed, fillTop) => {
    const hole: HoleShape = { shape: 'round', diameter, depth, stoneBed, fillTop }
    const { hole: dug, concrete, stone } = holeVolumes({ hole, post })
    const inPost = 0.01 * (depth - stoneBed - fillTop)
    const topping = (Math.PI * diameter ** 2 * fillTop) / 4
    expect(Math.abs(concrete + stone + inPost + topping - dug)).toBeLessThan(1e-9)
  })

  it('refuses a stone bed that leaves no room', () => {
    const hole: HoleShape = { shape: 'round', diameter: 0.3, depth: 0.5, stoneBed: 0.45, fillTop: 0.075 }
    expect(() => holeVolumes({ hole })).toThrow(InputError)
    expect(() => holeVolumes({ hole: { ...hole, diameter: -0.3 } })).toThrow(
      'hole.diameter is -0.3; it must be a number from 0.05 to 3 m',
    )
  })
})

describe('bags and water', () => {
  const hole: HoleShape = { shape: 'round', diameter: 0.3, depth: 0.6 }

  it('compares the third of the hole with what the bags want, as worked', () => {
    const { concrete } = holeVolumes({ hole, post })
    const order = bagOrder(concrete, postMix, filling('water-first'), hole, post)
    expect(concrete * 1e3).toBeCloseTo(36.41, 2)
    expect(order.exactCount).toBeCloseTo(3.64, 2)
    expect(order.count).toBe(4)
    expect(order.ruleWater * 1e3).toBeCloseTo(12.14, 2)
    expect(order.exactCount * 2.8).toBeCloseTo(10.2, 1)
    expect(order.ruleWater / (order.exactCount * 0.0028)).toBeCloseTo(1.19, 2)
    expect(order.ruleWater / order.water).toBeCloseTo(1.08, 2)
  })

  it('is 44 % weaker for one litre more in each bag', () => {
    expect(strengthWithWater(postMix, 0.001) / postMix.strength).toBeCloseTo(0.56, 2)
    expect(strengthWithWater(postMix, -0.001)).toBe(postMix.strength)
  })

  it('never buys a bag for rounding dust', () => {
    expect(bagOrder(0.04, postMix, filling('wet-barrow'), hole).count).toBe(4)
    expect(bagOrder(0.0415, postMix, filling('wet-barrow'), hole).count).toBe(5)
    expect(bagOrder(0.04, postMix, filling('wet-barrow'), hole)).not.toHaveProperty('short')
  })

  it('opens no bag for a hair, and says what it is short of', () => {
    const order = bagOrder(0.0309, postMix, filling('wet-barrow'), hole)
    expect(order.count).toBe(3)
    expect(order.short).toBeCloseTo(0.0009, 9)
    expect([3.09, 3.1, 0.02, 1].map(wholeBags)).toEqual([3, 4, 1, 1])
    // What was learnt from one's own holes has nothing left to give.
    const learnt = bagOrder(0.0309, postMix, filling('wet-barrow'), hole, undefined, { gives: false })
    expect(learnt).toMatchObject({ count: 4 })
    expect(learnt).not.toHaveProperty('short')
  })

  it('refuses to pour a mix dry that has to be mixed', () => {
    expect(() => bagOrder(0.04, row(tables.mixes, 'general-20'), filling('dry-pour'), hole)).toThrow(InputError)
  })

  it('batches cement and ballast by hand, and takes the lorry as it comes', () => {
    const batched = bagOrder(0.1, row(tables.mixes, 'hand-batch'), filling('wet-barrow'), hole)
    // 27.9 kg of cement and 191.9 kg of dry ballast, damp by 3 %.
    expect(batched.batch).toMatchObject({ bagsCement: 2, bagsBallast: 8 })
    expect(batched.batch!.ballast).toBeCloseTo(191.9 * 1.03, 0)
    expect(batched.water * 1e3).toBeCloseTo(16.7 - 191.9 * 0.03, 0)
    expect(batched.batch!.batches.count).toBe(3)
    expect(batched.count).toBe(10)
    expect(bagOrder(0.1, row(tables.mixes, 'mixer-truck'), filling('wet-barrow'), hole)).toMatchObject({
      count: 0,
      water: 0,
      strength: 25e6,
    })
  })

  it('knows which filling takes which mix', () => {
    const taken = (mix: string) =>
      tables.fillings.filter((each) => takesFilling(row(tables.mixes, mix), each)).map((each) => each.key)
    expect(taken('post-mix-20')).toEqual(['wet-barrow', 'dry-pour', 'water-first', 'layered'])
    expect(taken('general-27')).toEqual(['wet-barrow', 'water-first', 'layered'])
    expect(taken('hand-batch')).toEqual(['wet-barrow', 'layered'])
    expect(() => bagOrder(0.04, postMix, filling('stone'), hole)).toThrow(InputError)
  })
})

describe('what is counted while the hole is filled', () => {
  it('layers and litres', () => {
    const order = { count: 4, water: 0.0112 }
    expect(fillQuantities(filling('layered'), 0.036, 0.6, order)).toMatchObject({
      layers: 4,
      waterPerLayer: expect.closeTo(0.0028, 9),
      waterPerBag: expect.closeTo(0.0028, 9),
    })
    expect(fillQuantities(filling('water-first'), 0.036, 0.6, order)).toEqual({ waterPerBag: 0.0028 })
  })
  it('layers and mass of stone and of soil', () => {
    expect(fillQuantities(filling('stone'), 0.036, 0.6)).toMatchObject({
      layers: 5,
      layerThickness: 0.12,
      mass: expect.closeTo(64.8, 9),
    })
    expect(fillQuantities(filling('tamped-soil'), 0.036, 0.65)).toMatchObject({ layers: 7 })
  })
})

it('concrete fills the room that an old block left: 254 L of it for 0.6 by 0.9 m', () => {
  const block = { diameter: 0.6, top: 0, bottom: 0.9 }
  const hole = { shape: 'round', diameter: 0.3, depth: 0.9 } as const
  const whole = holeVolumes({ hole, leftBy: block })
  expect(whole.concrete * 1e3).toBeCloseTo(Math.PI * 0.3 ** 2 * 0.9 * 1e3, 6)
  expect(whole.concrete * 1e3).toBeCloseTo(254.5, 1)
  expect(whole.void * 1e3).toBeCloseTo(254.47 - 63.62, 1)
  // π 0.3² (0.9 − 0.075) less what the hole takes of it, π 0.15² (0.75 − 0.075).
  const usual = { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 } as const
  const post = { shape: 'rectangle', along: 0.1, across: 0.1 } as const
  const without = holeVolumes({ hole: usual, post }).concrete
  expect(without * 1e3).toBeCloseTo(34.89, 2)
  expect((holeVolumes({ hole: usual, post, leftBy: block }).concrete - without) * 1e3).toBeCloseTo(185.55, 2)
  // A hole wider than the block has no room beyond it.
  expect(holeVolumes({ hole: { shape: 'round', diameter: 0.7, depth: 1 }, leftBy: block }).void).toBe(0)
})

it('concrete to move: 170 L are 391 kg and five barrows of 40 L', () => {
  expect(concreteToMove(0.17)).toEqual({ mass: expect.closeTo(391, 6), barrows: 5 })
  expect(concreteToMove(0.16).barrows).toBe(4)
  expect(concreteToMove(0)).toEqual({ mass: 0, barrows: 0 })
})
