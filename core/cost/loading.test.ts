import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { exact } from '../money/exact'
import { hiresOf } from './hire'
import { factorOf } from './total'
import { loadVans, type Vehicle } from './vehicle'

describe('what goes into which van', () => {
  const small: Vehicle = { key: 'small', name: 'Small van', payload: 600, bed: 2 }
  const large: Vehicle = { key: 'large', name: 'Van', payload: 900, bed: 3.2 }
  const bags = (count: number) => ({ key: 'bag', mass: 25, count })
  const massOf = (loading: ReturnType<typeof loadVans>) =>
    Object.fromEntries(loading.vans.map(({ vehicle, mass }) => [vehicle.key, mass]))

  it('goes into the one with most room left: 1 000 kg make 350 and 650', () => {
    // The larger takes 300 kg until both have 600 left; then by turns.
    expect(massOf(loadVans([bags(40)], [small, large]))).toEqual({ small: 350, large: 650 })
  })
  it('is loaded heaviest first, whatever order it is listed in', () => {
    const cargo = [
      { key: 'light', mass: 10, count: 10 },
      { key: 'heavy', mass: 500, count: 1 },
    ]
    expect(loadVans(cargo, [small, large]).vans).toEqual(loadVans([...cargo].reverse(), [small, large]).vans)
    expect(massOf(loadVans(cargo, [small, large]))).toEqual({ small: 100, large: 500 })
  })
  it('goes only where it is long enough, and is named where it is nowhere', () => {
    const loading = loadVans(
      [
        { key: 'post', mass: 20, count: 2, length: 3 },
        { key: 'pole', mass: 9, count: 1, length: 4 },
      ],
      [small, large],
    )
    expect(massOf(loading)).toEqual({ small: 0, large: 40 })
    expect(loading.tooLong).toEqual([{ key: 'pole', length: 4 }])
    expect(loading.vans.map(({ trips }) => trips)).toEqual([0, 1])
  })
  it('makes further trips over its payload, and home again by all vans together', () => {
    const { vans, mass, homeTrips } = loadVans([bags(49)], [small], 1_300)
    expect([mass, vans[0]!.trips, homeTrips]).toEqual([1_225, 3, 3])
    expect(loadVans([bags(24)], [small]).vans[0]!.trips).toBe(1)
    expect(loadVans([bags(24)], [small, large], 1_500).homeTrips).toBe(1)
    expect(loadVans([bags(4)], []).homeTrips).toBe(0)
  })
})

describe('half a day of hire', () => {
  const mixer = (from: number, to: number) => hiresOf([{ tool: 'mixer', from, to }], catalogue)
  it('is up to five hours', () => {
    expect(mixer(480, 780)).toEqual({ 'hire/mixer/half-day': 1 })
    expect(mixer(480, 781)).toEqual({ 'hire/mixer': 1 })
  })
})

describe('what stands on a line beside its price', () => {
  const settings = { ...costSettings, waste: 5, overhead: 10, markUp: 20 }
  it.each([
    ['mix', '1.386'],
    ['stone', '1.386'],
    ['timber', '1.386'],
    ['post', '1.386'],
    ['preservative', '1.386'],
    ['fixing', '1.32'],
    ['labour', '1.32'],
    ['travel', '1.32'],
  ] as const)('is waste where it is cut or poured, overhead and mark-up: %s', (group, factor) => {
    expect(factorOf(group, settings).equals(exact(factor))).toBe(true)
  })
})
