import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { stations } from '../../data/stations'
import { InputError } from '../errors'
import { airOf, groundSpans, HOUR_MS, hoursIn, joinedAir } from './forecast'
import { MOODS, simulatedHour, simulatedHours } from './simulated'

const FROM = Date.UTC(2026, 10, 3, 6)
const air = (temperatures: number[], from = FROM) => ({ from: new Date(from).toISOString(), temperatures })

describe('the air that a pour is reckoned with', () => {
  it('gives the ground the mean of the day before, from a moment within an hour on', () => {
    const spans = groundSpans(air([...new Array<number>(24).fill(4), 28]), FROM + 23.5 * HOUR_MS)
    expect(spans).toEqual([
      { minutes: 30, temperature: 4 },
      { minutes: 60, temperature: 5 },
    ])
  })
  it('holds what it has before its first hour and after its last', () => {
    expect(groundSpans(air([6, 8]), FROM - HOUR_MS / 2)).toEqual([
      { minutes: 30, temperature: 6 },
      { minutes: 60, temperature: 6 },
      { minutes: 60, temperature: 7 },
    ])
    expect(groundSpans(air([6, 8]), FROM + 9 * HOUR_MS)).toEqual([{ minutes: 60, temperature: 7 }])
    expect(() => groundSpans(air([]), FROM)).toThrow(InputError)
  })
  it('takes the newer forecast, and the older one for hours that it does not have', () => {
    expect(joinedAir(air([1, 2, 3]), air([9, 9, 9], FROM + HOUR_MS))).toEqual(air([1, 9, 9, 9]))
    expect(joinedAir(air([1, 2, 3, 4, 5], FROM), air([9, 9], FROM + HOUR_MS))).toEqual(air([1, 9, 9, 4, 5]))
    expect(joinedAir(air([1, 2], FROM + HOUR_MS), air([9], FROM))).toEqual(air([9, 1, 2]))
    // Nothing is known in between.
    expect(joinedAir(air([1, 2]), air([9], FROM + 5 * HOUR_MS))).toEqual(air([9], FROM + 5 * HOUR_MS))
    expect(joinedAir(undefined, air([1]))).toEqual(air([1]))
    expect(joinedAir(air([1]), undefined)).toEqual(air([1]))
  })
})

const [bank, hollow, ridge] = stations as [(typeof stations)[0], (typeof stations)[0], (typeof stations)[0]]
const YEAR = 8766

describe('the stand-in for a forecast', () => {
  property.prop([
    fc.constantFrom(...stations),
    fc.integer({ min: 300_000, max: 700_000 }),
    fc.integer({ min: 1, max: 300 }),
  ])('says the same of an hour however it is asked', (station, hour, before) => {
    const one = simulatedHour(station, hour)
    const many = simulatedHours(station, (hour - before) * HOUR_MS + 1, before + 1)
    expect(many.at(-1)).toEqual({ at: new Date(hour * HOUR_MS).toISOString(), ...one })
    expect(Object.values(one).every(Number.isFinite)).toBe(true)
    expect(one.rain).toBeGreaterThanOrEqual(0)
    expect(one.gust).toBeGreaterThan(0)
  })
  it('has seasons, days and fronts that bring wind and rain together', () => {
    const hours = simulatedHours(bank, Date.UTC(2026, 0, 1), YEAR)
    const mean = (of: typeof hours, key: 'temperature' | 'gust') =>
      of.reduce((sum, each) => sum + each[key], 0) / of.length
    const month = (m: number) => hours.filter(({ at }) => new Date(at).getUTCMonth() === m)
    expect(mean(month(6), 'temperature')).toBeGreaterThan(mean(month(0), 'temperature') + 8)
    const at = (h: number) => hours.filter(({ at: time }) => new Date(time).getUTCHours() === h)
    expect(mean(at(15), 'temperature')).toBeGreaterThan(mean(at(4), 'temperature') + 3)
    const windy = hours.toSorted((a, b) => b.gust - a.gust).slice(0, 200)
    expect(windy.filter(({ rain }) => rain > 0.2).length).toBeGreaterThan(100)
    // A gale or two in a year, and no more than the place has seen.
    expect(windy[0]!.gust).toBeGreaterThan(22)
    expect(windy[0]!.gust).toBeLessThan(38)
    expect(windy[20]!.gust).toBeLessThan(32)
  })
  it('is calmer in a hollow than on a ridge', () => {
    const worst = (station: typeof bank) =>
      Math.max(...simulatedHours(station, Date.UTC(2026, 0, 1), YEAR).map(({ gust }) => gust))
    expect(worst(hollow)).toBeLessThan(worst(ridge))
  })
  it('is frosty by night, and storms on the second evening, when it is told to', () => {
    const days = simulatedHours(bank, Date.UTC(2026, 10, 3), 48, 'storm')
    expect(days[14]!.temperature).toBe(5)
    expect(Math.min(...days.map(({ temperature }) => temperature))).toBe(-2)
    const gusts = days.map(({ gust }) => gust)
    expect(Math.max(...gusts)).toBeGreaterThan(24)
    expect(gusts.indexOf(Math.max(...gusts)) % 24).toBe(19)
    for (const mood of MOODS) expect(simulatedHours(bank, FROM, 3, mood)).toHaveLength(3)
    expect(simulatedHour(bank, 1, 'outage')).toEqual(simulatedHour(bank, 1))
    expect(Math.max(...simulatedHours(bank, FROM, 24, 'heat').map(({ temperature }) => temperature))).toBe(34)
    expect(
      hoursIn({ hours: simulatedHours(bank, FROM, 24, 'wet') }, FROM, FROM + 24 * HOUR_MS).filter(
        ({ rain }) => rain > 2,
      ),
    ).toHaveLength(5)
  })
  it('refuses what is no time', () => {
    expect(() => simulatedHours(bank, NaN, 3)).toThrow(InputError)
  })
  it('touches the hours that a stretch lies in', () => {
    const hours = simulatedHours(bank, FROM, 5)
    expect(hoursIn({ hours }, FROM + HOUR_MS / 2, FROM + HOUR_MS + 1)).toEqual(hours.slice(0, 2))
    expect(airOf({ hours })).toEqual(air(hours.map(({ temperature }) => temperature)))
    expect(airOf({ hours: [] })).toBeUndefined()
  })
})
