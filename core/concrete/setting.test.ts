import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { row } from '../tables/tables'
import { tables } from '../../tests/support/builders'
import { abrams, BARROW, handBatch, handBatchStrength, inBatches } from './handBatch'
import { overdig } from './overdig'
import {
  ageOfShare,
  cementPour,
  equivalentAge,
  groundTemperatures,
  hardeningRate,
  mixPour,
  setting,
  strengthShare,
  type Hardening,
} from './setting'
import { brokenOut, concreteSupply, supplyOptions } from './supply'

const normal: Hardening = { kind: 'cement', cement: 'normal' }
const postMix = mixPour(row(tables.mixes, 'post-mix-20'))
const held = (celsius: number) => ({ ...cementPour('normal'), temperatures: [celsius] })

describe('time and temperature', () => {
  it('hardens at the worked rates', () => {
    expect(hardeningRate(20)).toBe(1)
    expect(hardeningRate(5)).toBeCloseTo(0.293, 3)
    expect(hardeningRate(30)).toBeCloseTo(1.574, 3)
    expect(hardeningRate(0)).toBe(0)
  })

  it('has the published shares of EN 1992-1-1 at 3, 7 and 28 days', () => {
    // β_cc for s = 0.25: 0.598, 0.779, 1.
    expect(strengthShare(72, normal)).toBeCloseTo(0.598, 3)
    expect(strengthShare(168, normal)).toBeCloseTo(0.779, 3)
    expect(strengthShare(672, normal)).toBeCloseTo(1, 12)
    expect(strengthShare(72, { kind: 'cement', cement: 'rapid' })).toBeCloseTo(0.663, 3)
    expect(strengthShare(72, { kind: 'cement', cement: 'slow' })).toBeCloseTo(0.458, 3)
  })

  it('reaches 0.30 in the worked hours', () => {
    expect(setting(held(20)).milestones.props).toBeCloseTo(19.9, 1)
    expect(setting(held(5)).milestones.props).toBeCloseTo(67.9, 1)
    expect(setting(held(-3)).milestones).toEqual({ props: null, boards: null, gate: null, frostSafe: null })
    expect(setting(held(-3)).workingMinutes).toBeNull()
  })

  it('leaves the worked minutes to work a post mix', () => {
    expect(setting({ ...postMix, temperatures: [5] }).workingMinutes).toBeCloseTo(17, 0)
    expect(setting({ ...postMix, temperatures: [30] }).workingMinutes).toBeCloseTo(3.2, 1)
    // A slow mix that warms after an hour: 0.2925 of an hour done in the first, the rest at 20 °C.
    const warming = setting({ ...postMix, stiffens: 60, temperatures: [5, 20] })
    expect(warming.workingMinutes).toBeCloseTo(60 + 60 * (1 - 0.29253), 1)
  })

  it('wants 3 MPa before props go, whatever the share', () => {
    const weak = setting({ ...postMix, strength: 5e6, temperatures: [20] }).milestones
    const strong = setting({ ...postMix, temperatures: [20] }).milestones
    expect(strong.props).toBeCloseTo(4, 6)
    expect(weak.props!).toBeGreaterThan(strong.props!)
    expect(setting({ ...postMix, strength: 2e6, temperatures: [20] }).milestones.props).toBeNull()
  })

  it('says from when frost does no harm, by the strength alone', () => {
    // 3.5 of 15 MPa are a share of 0.2333: 1/6 h × 24^(0.2333 / 0.3) = 1.975 h; of 20 MPa 0.175, normal cement 10.57 h.
    expect(setting({ ...postMix, temperatures: [20] }).milestones.frostSafe).toBeCloseTo(1.975, 2)
    const general = mixPour(tables.mixes.find(({ key }) => key === 'general-20')!)
    expect(setting({ ...general, temperatures: [20] }).milestones.frostSafe).toBeCloseTo(10.57, 2)
    expect(setting({ ...cementPour('normal'), temperatures: [20] }).milestones.frostSafe).toBeNull()
    expect(setting({ ...postMix, strength: 3e6, temperatures: [20] }).milestones.frostSafe).toBeNull()
  })

  it('walks through an hourly forecast', () => {
    const forecast = [10, 8, 6, 4, 2, -1, -2, 0, 3, 7]
    const { equivalentAge: age, milestones } = setting({ ...cementPour('rapid'), temperatures: forecast })
    expect(age).toBeCloseTo(
      forecast.reduce((sum, celsius) => sum + hardeningRate(celsius), 0),
      12,
    )
    expect(milestones.props!).toBeGreaterThan(forecast.length)
    expect(equivalentAge([20, 20], 1.5)).toBeCloseTo(1.5, 12)
  })

  it('takes the mean of a day for the ground', () => {
    const ground = groundTemperatures([...Array<number>(24).fill(4), 28])
    expect(ground[23]).toBe(4)
    expect(ground[24]).toBeCloseTo(5, 12)
  })

  property.prop([
    fc.double({ min: 0.02, max: 0.99, noNaN: true }),
    fc.constantFrom<Hardening>(
      normal,
      { kind: 'cement', cement: 'slow' },
      { kind: 'fast', hard: 10 },
      { kind: 'fast', hard: 40 },
    ),
  ])('share and age are each other’s inverse', (share, hardening) => {
    expect(strengthShare(ageOfShare(share, hardening), hardening)).toBeCloseTo(share, 9)
  })
})

describe('batched by hand', () => {
  it('comes to the worked masses', () => {
    const batch = handBatch(0.1, 6, 0.6, 0)
    expect(batch.cement).toBeCloseTo(27.9, 1)
    expect(batch.ballast).toBeCloseTo(191.9, 1)
    expect(batch.water).toBeCloseTo(16.7, 1)
    expect(batch).toMatchObject({ bagsCement: 2, bagsBallast: 8 })
  })

  it('counts the water in damp ballast', () => {
    const [dry, damp] = [handBatch(0.1, 6, 0.6, 0), handBatch(0.1, 6, 0.6, 0.03)]
    expect(damp.ballast / dry.ballast).toBeCloseTo(1.03, 12)
    expect(dry.water - damp.water).toBeCloseTo(dry.ballast * 0.03, 9)
  })

  it('goes into barrows', () => {
    const batch = handBatch(0.1, 6, 0.6, 0)
    const { count, cement } = inBatches(batch, 0.1, BARROW)
    expect(count).toBe(3)
    expect(cement * count).toBeCloseTo(batch.cement, 12)
  })

  property.prop([
    fc.double({ min: 0.01, max: 2, noNaN: true }),
    fc.double({ min: 3, max: 10, noNaN: true }),
    fc.double({ min: 0.45, max: 0.9, noNaN: true }),
  ])('solids, water and air add up to the volume', (volume, ratio, waterCement) => {
    const { cement, ballast, water } = handBatch(volume, ratio, waterCement, 0)
    expect(cement / 3150 + ballast / 2650 + water / 1000 + 0.02 * volume).toBeCloseTo(volume, 9)
  })

  it('is as strong as Abrams says, with site care', () => {
    expect(abrams(0.5) / 1e6).toBeCloseTo(96.5 / Math.sqrt(8), 6)
    expect(handBatchStrength(0.6) / abrams(0.6)).toBeCloseTo(0.75, 12)
  })
})

describe('around the pour', () => {
  it('chooses the supply by volume and way', () => {
    expect([concreteSupply(0.1, 5), concreteSupply(0.4, 5), concreteSupply(0.8, 5), concreteSupply(0.8, 60)]).toEqual([
      'barrow',
      'mixer',
      'delivered',
      'mixer',
    ])
  })
  it('shows every supply with its time and cost, one of them to take', () => {
    const options = supplyOptions(0.8, 12, tables.supply)
    expect(options.map(({ key }) => key)).toEqual(['barrow', 'mixer', 'delivered'])
    expect(options.filter(({ recommended }) => recommended).map(({ key }) => key)).toEqual(['delivered'])
    expect(options[2]).toMatchObject({ minutes: 45 + 0.8 * 72, cost: 6000 + 0.8 * 17000 })
    // Half a cubic metre is the least that a lorry brings.
    expect(supplyOptions(0.1, 12, tables.supply)[2]!.cost).toBe(6000 + 0.5 * 17000)
    expect(supplyOptions(0.8, 60, tables.supply)[2]!.because).toMatch(/further than 30 m/)
    expect(supplyOptions(0, 12, tables.supply).every(({ cost, minutes }) => cost === 0 && minutes === 0)).toBe(true)
  })
  it('gives early milestones as a range', () => {
    const { milestones, expected } = setting(held(5))
    expect(milestones.props).toBeCloseTo(67.9, 1)
    expect(expected.props).toEqual({ from: expect.closeTo(50.9, 1), to: expect.closeTo(84.9, 1) })
    // The gate's share comes after three days at 20 °C: no range.
    expect(expected.gate).toEqual({ from: milestones.gate, to: milestones.gate })
  })
  it('weighs old concrete in lifts', () => {
    expect(brokenOut(0.0226)).toMatchObject({ mass: expect.closeTo(53.1, 1), lifts: 3 })
  })
  it('learns the over-dig from five holes', () => {
    expect(overdig('spade', 0.1)).toBeCloseTo(0.35, 12)
    expect(overdig('auger', 0.1, 1.2)).toBeCloseTo(0.2, 12)
    expect(overdig('auger', 0, 0.97)).toBe(0)
  })
})
