import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../../errors'
import { followed } from './follow'
import { followTops, levelTops, steppedTops, straightTops, sunkPanel } from './topLine'

const millimetres = (min: number, max: number) => fc.integer({ min, max }).map((each) => each / 1e3)
const ground = (most: number) =>
  fc
    .array(fc.record({ bay: millimetres(300, 4_000), level: millimetres(-600, 600) }), {
      minLength: 3,
      maxLength: most,
    })
    .map((posts) => ({
      levels: posts.map(({ level }) => level),
      stations: posts.reduce<number[]>((all, { bay }, i) => [...all, i === 0 ? 0 : all[i - 1]! + bay], []),
    }))

const bendsOf = (stations: readonly number[], tops: readonly number[]) =>
  tops.slice(2).map((top, i) => {
    const right = (top - tops[i + 1]!) / (stations[i + 2]! - stations[i + 1]!)
    return right - (tops[i + 1]! - tops[i]!) / (stations[i + 1]! - stations[i]!)
  })

describe('tops that follow the ground', () => {
  property.prop([ground(40), fc.constantFrom(0.005, 0.02, 0.1)])(
    'are the best there are: the optimality conditions hold to a millionth',
    ({ stations, levels }, change) => {
      const wanted = levels.map((level) => level + 1.8)
      const { tops, upper, lower } = followed(stations, wanted, change)
      const bends = bendsOf(stations, tops)
      const pull = new Array<number>(tops.length).fill(0)
      bends.forEach((bend, i) => {
        expect(Math.abs(bend)).toBeLessThanOrEqual(change + 1e-6)
        expect(Math.min(upper[i]!, lower[i]!)).toBeGreaterThanOrEqual(-1e-6)
        // A bound that is not reached pushes at nothing.
        expect(upper[i]! * (change - bend)).toBeLessThan(1e-6)
        expect(lower[i]! * (change + bend)).toBeLessThan(1e-6)
        const [a, c] = [1 / (stations[i + 1]! - stations[i]!), 1 / (stations[i + 2]! - stations[i + 1]!)]
        const push = upper[i]! - lower[i]!
        pull[i]! += a * push
        pull[i + 1]! -= (a + c) * push
        pull[i + 2]! += c * push
      })
      tops.forEach((top, i) => expect(Math.abs(top - wanted[i]! + pull[i]!)).toBeLessThan(1e-6))
    },
  )
  it('are found on ground on which the search once went on until it divided by nothing', () => {
    const stations = [0, 0.3, 0.6, 0.9, 4.879, 5.936, 8.222, 9.242, 11.901, 15.479, 16.403, 18.876, 21.93, 23.157]
    const levels = [
      0.451, -0.287, -0.58, -0.063, 0.596, -0.006, 0.327, -0.372, 0.512, 0.148, -0.457, 0.406, 0.005, 0.598,
    ]
    const bends = bendsOf(stations, followTops(stations, levels, 1.8, 0.02))
    for (const bend of bends) expect(Math.abs(bend)).toBeLessThanOrEqual(0.02 + 1e-6)
  })
  it('are the wanted ones where the ground bends little, and one straight line where nothing may bend', () => {
    const stations = [0, 2.4, 4.8, 7.2]
    expect(followTops(stations, [0, 0.02, 0.03, 0.02], 1.8)).toEqual(
      [1.8, 1.82, 1.83, 1.82].map((top) => expect.closeTo(top, 9)),
    )
    // Where nobody asked, 20 mm in a metre from bay to bay: a jump of the ground takes all of it.
    const bends = bendsOf(stations, followTops(stations, [0, 0.3, 0, 0.3], 1.8)).map(Math.abs)
    expect(Math.max(...bends)).toBeCloseTo(0.02, 6)
    expect(bendsOf(stations, followTops(stations, [0, 0.3, 0, 0.3], 1.8, 0))).toEqual(
      [0, 0].map(() => expect.closeTo(0, 12)),
    )
  })
  it('lie on the rake of the ground where nothing may bend', () => {
    expect(followTops([0, 1, 2], [0, 0.1, 0.2], 1.8, 0)).toEqual([1.8, 1.9, 2].map((top) => expect.closeTo(top, 9)))
  })
  property.prop([ground(20), millimetres(-3_000, 3_000)])('go up with the datum and with nothing else', (of, by) => {
    const before = followTops(of.stations, of.levels, 1.8)
    const after = followTops(
      of.stations,
      of.levels.map((level) => level + by),
      1.8,
    )
    after.forEach((top, i) => expect(top - by).toBeCloseTo(before[i]!, 6))
  })
})

describe('stepped tops', () => {
  property.prop([ground(20), fc.constantFrom(0.025, 0.05, 0.1), millimetres(0, 100)])(
    'leave the gap everywhere, step in whole steps, and are no higher than they must be',
    ({ levels }, step, gap) => {
      const { tops, steps, clearances } = steppedTops(levels, 1.8, gap, step)
      tops.forEach((top, i) => {
        const least = top - 1.8 - Math.max(levels[i]!, levels[i + 1]!)
        expect(least).toBeGreaterThanOrEqual(gap - 1e-6)
        expect(least).toBeLessThan(gap + step + 1e-6)
        expect(clearances[i]).toBeGreaterThanOrEqual(least - 1e-9)
      })
      for (const each of steps) expect(Math.abs(each / step - Math.round(each / step))).toBeLessThan(1e-6)
    },
  )
})

describe('level and straight tops, sunk panels', () => {
  it('stand over the highest ground, and run straight between the ends', () => {
    expect(levelTops([0, -0.1, 0.05], 1.8)).toEqual([1.85, 1.85, 1.85].map((top) => expect.closeTo(top, 12)))
    expect(straightTops([0, 2, 4], [0, 0.3, 0.2], 1.8, 1.8)).toEqual(
      [1.8, 1.9, 2].map((top) => expect.closeTo(top, 12)),
    )
  })
  it('refuse stations that do not rise, and a line through one place', () => {
    expect(() => straightTops([0, 2, 2], [0, 0, 0], 1, 1)).toThrow('stations[2]')
    const place = { station: 1, level: 0 }
    expect(() => sunkPanel([place, place], [place, place])).toThrow(InputError)
  })
  property.prop([fc.array(millimetres(-500, 500), { minLength: 4, maxLength: 4 }), millimetres(-2_000, 2_000)])(
    'ask for the same lift wherever the staff stands',
    (levels, by) => {
      const lifts = (over: number) =>
        sunkPanel(
          [
            { station: 0, level: levels[0]! + over },
            { station: 6, level: levels[1]! + over },
          ],
          [
            { station: 1, level: levels[2]! + over },
            { station: 4, level: levels[3]! + over },
          ],
        )
      lifts(by).forEach((lift, i) => expect(lift).toBeCloseTo(lifts(0)[i]!, 9))
    },
  )
})
