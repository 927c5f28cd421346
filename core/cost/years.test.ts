import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { costPerPlumbYear, crossesAt, cumulatedCost, endsAfter, steadySurvival, stretched, yearsPlumb } from './years'
import { swings, USUAL_RANGE } from './sensitivity'
import { catalogue } from '../../data/catalogue'
import { COST_KNOBS, turned } from './knobs'
import { exact } from '../money/exact'
import { leansEvery, massHome, plumbSurvival, usualVisits } from './stands'
import { loadVans } from './vehicle'

describe('what a repair costs over the years', () => {
  it('is its cost by the years that it is expected to be plumb, the first whole', () => {
    expect(costPerPlumbYear(300, [0.9, 0.8])).toBeCloseTo(300 / 1.9, 9)
    expect(costPerPlumbYear(300, [0.9, 0.8], 0.05)).toBeCloseTo(300 / (1 + 0.9 / 1.05), 9)
    expect(costPerPlumbYear(300, [])).toBe(Infinity)
    expect(steadySurvival(50, 2)).toEqual([0.98, expect.closeTo(0.9604, 9)])
    expect(steadySurvival(0.5, 2)).toEqual([0, 0])
    expect(() => steadySurvival(0, 2)).toThrow(/returnYears/)
  })
  it('is spent again each time that it ends', () => {
    expect(cumulatedCost(100, endsAfter(1, 3))).toEqual([100, 200, 300, 400])
    expect(cumulatedCost(100, endsAfter(2, 5))).toEqual([100, 100, 200, 200, 300, 300])
    // A tenth ends in each year, whatever its age: so a tenth of the cost a year.
    const steady = cumulatedCost(100, steadySurvival(10, 4))
    steady.forEach((spent, year) => expect(spent).toBeCloseTo(100 + 10 * year, 9))
    expect(cumulatedCost(100, endsAfter(1, 2), 0.1)).toEqual([
      100,
      expect.closeTo(100 + 100 / 1.1, 9),
      expect.closeTo(100 + 100 / 1.1 + 100 / 1.21, 9),
    ])
  })
  it('crosses where the cheap one has cost more', () => {
    const straps = cumulatedCost(60, endsAfter(2, 15))
    const post = cumulatedCost(280, steadySurvival(50, 15))
    // 60 in year 0, 2, 4, 6, 8: 300 by the eighth, against 280 and a fiftieth of it a year: 324.8; 360 by the tenth, 336.
    expect(crossesAt(straps, post)).toBe(10)
    expect(crossesAt(post, straps)).toBeUndefined()
  })
  property.prop([
    fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 20 }),
    fc.double({ min: 1, max: 1e4, noNaN: true }),
  ])('never grows less, nor by more than its cost a year', (falls, cost) => {
    let stays = 1
    const survival = falls.map((fall) => (stays *= fall))
    const spent = cumulatedCost(cost, survival)
    spent.slice(1).forEach((each, i) => {
      expect(each).toBeGreaterThanOrEqual(spent[i]! - 1e-6)
      expect(each - spent[i]!).toBeLessThanOrEqual(cost * (1 + 1e-9))
    })
  })
})

describe('what a figure rests on', () => {
  it('is shown value by value, the one that moves it most first, with what would change the order', () => {
    const costs = (key: 'labour' | 'bags', factor: number) =>
      key === 'labour' ? [360 + 240 * factor, 560 + 100 * factor] : [500 + 100 * factor, 640 + 20 * factor]
    const found = swings(
      [
        { key: 'bags', name: 'bags', range: USUAL_RANGE },
        { key: 'labour', name: 'an hour', range: [0.8, 1.5] },
      ],
      costs,
      0,
    )
    expect(found.map(({ key, low, high, changesOrder }) => [key, low, high, changesOrder])).toEqual([
      ['labour', expect.closeTo(552, 9), expect.closeTo(720, 9), true],
      ['bags', expect.closeTo(580, 9), expect.closeTo(620, 9), false],
    ])
  })
})

describe('how long a repair stands', () => {
  const way = (more: object) => ({ method: 'new-post-concrete', ...more }) as never
  it('goes by the gust at which it leans, or goes over; straps by their own life', () => {
    expect(leansEvery(way({ leanReturnYears: 20, returnYears: 60 }))).toBe(20)
    expect(leansEvery(way({ returnYears: 60 }))).toBe(60)
    expect(leansEvery(way({ leanReturnYears: 0.3 }))).toBe(1)
    expect(plumbSurvival(way({ leanReturnYears: 20 }), 2)).toEqual([0.95, expect.closeTo(0.9025, 9)])
    expect(plumbSurvival(way({ leanReturnYears: 20 }), 1, undefined, 2)).toEqual([0.975])
    expect(plumbSurvival(way({ method: 'make-safe', leanReturnYears: 20 }), 3)).toEqual([1, 0, 0])
  })
  it('goes by its own lives where they were reckoned, and stretches them where that is tried', () => {
    const lived = [0.9, 0.6]
    expect(plumbSurvival(way({ leanReturnYears: 20 }), 2, lived)).toEqual([0.9, expect.closeTo(0.6, 9)])
    expect(stretched(lived, 2, 3)).toEqual([0.95, 0.9, 0.75].map((share) => expect.closeTo(share, 9)))
    expect(stretched(lived, 0.5, 2)).toEqual([0.6, 0.6 * (2 / 3) ** 2].map((share) => expect.closeTo(share, 9)))
    expect(stretched([0.9, 0], 0.5, 2)).toEqual([0, 0])
    expect(plumbSurvival(way({ method: 'make-safe' }), 2, lived)).toEqual([1, 0])
    expect(yearsPlumb(lived)).toBeCloseTo(1.9, 9)
  })
  it('is come back to where concrete has to carry', () => {
    expect([usualVisits([]), usualVisits([{}]), usualVisits([{}, { concrete: {} as never }])]).toEqual([0, 1, 2])
    const line = (key: string, kilograms: number) => ({ key, quantity: exact(kilograms), post: 'B/B1' })
    expect(massHome([line('disposal/spoil', 80), line('disposal/concrete', 20.5), line('mix/cement', 4)])).toBe(100.5)
  })
})

describe('a price that is turned', () => {
  it('moves its own kind alone, to the minor unit', () => {
    const dearer = turned(catalogue, 'labour', 1.2)
    const of = (rows: readonly { key: string; price: number }[], key: string) =>
      rows.find((row) => row.key === key)!.price
    expect(of(dearer, 'labour/dig')).toBe(Math.round(of(catalogue, 'labour/dig') * 1.2))
    expect(of(dearer, 'mix/post-mix-20')).toBe(of(catalogue, 'mix/post-mix-20'))
    expect(turned(catalogue, 'stands', 2)).toBe(catalogue)
    for (const { key } of COST_KNOBS.filter(({ key: each }) => each !== 'stands'))
      expect(turned(catalogue, key, 2).filter((row, i) => row.price !== catalogue[i]!.price).length).toBeGreaterThan(0)
  })
})

describe('what goes into the vans', () => {
  const small = { key: 'small', name: 'small van', payload: 600, bed: 2.4 }
  const large = { key: 'large', name: 'large van', payload: 900, bed: 3.6 }
  it('is spread by what each may carry, and by what is long enough for it', () => {
    const { vans, mass } = loadVans(
      [
        { key: 'bag', mass: 20, count: 50 },
        { key: 'post', mass: 16.5, count: 4, length: 3 },
      ],
      [small, large],
    )
    expect(mass).toBe(1_066)
    expect(vans.every(({ mass: each, vehicle, trips }) => each <= vehicle.payload && trips === 1)).toBe(true)
    expect(vans[0]!.items.some(({ key }) => key === 'post')).toBe(false)
    expect(vans.flatMap(({ items }) => items).reduce((sum, { count }) => sum + count, 0)).toBe(54)
  })
  it('says what is too long, and how often somebody drives', () => {
    const found = loadVans(
      [
        { key: 'bag', mass: 20, count: 70 },
        { key: 'rail', mass: 8, count: 2, length: 4.8 },
      ],
      [small],
      1_500,
    )
    expect(found.tooLong).toEqual([{ key: 'rail', length: 4.8 }])
    expect(found.vans[0]).toMatchObject({ mass: 1_400, trips: 3 })
    expect(found.homeTrips).toBe(3)
    expect(loadVans([], [small]).vans[0]!.trips).toBe(0)
  })
})
