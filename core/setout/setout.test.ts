import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { LIMITS } from '../limits'
import { gateOpening } from './gate'
import { leanSlopes } from './lean'
import { prop } from './prop'
import { panelSpacing, spacing } from './spacing'
import { stringLine, stringSag } from './stringLine'

describe('string', () => {
  const points = [
    { station: 0, offset: 0 },
    { station: 1, offset: 0.03 },
    { station: 2, offset: 0.01 },
    { station: 4, offset: 0.02 },
  ]
  it('runs end to end, by least squares, or with the smallest largest miss', () => {
    expect(stringLine(points, 'ends').misses).toEqual([0, 0.025, 0, 0].map((miss) => expect.closeTo(miss, 12)))
    const { misses } = stringLine(points, 'least-squares')
    expect(misses.reduce((sum, miss) => sum + miss, 0)).toBeCloseTo(0, 12)
    expect(misses.reduce((sum, miss, i) => sum + miss * points[i]!.station, 0)).toBeCloseTo(0, 12)
  })
  property.prop([
    fc.array(
      fc.record({
        station: fc.integer({ min: 0, max: 50_000 }).map((millimetres) => millimetres / 1e3),
        offset: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      }),
      { minLength: 3, maxLength: 12 },
    ),
  ])('no line misses less than the minimax one', (list) => {
    fc.pre(new Set(list.map((point) => point.station)).size > 1)
    const worst = (fit: 'ends' | 'least-squares' | 'minimax') => Math.max(...stringLine(list, fit).misses.map(Math.abs))
    expect(worst('minimax')).toBeLessThanOrEqual(Math.min(worst('ends'), worst('least-squares')) + 1e-9)
  })
  it('sags by w s²/(8 T)', () => {
    expect(stringSag(20, 0.001, 50)).toBeCloseTo((0.001 * 9.80665 * 400) / 400, 12)
  })
  it('needs two stations', () => {
    expect(() =>
      stringLine(
        [
          { station: 1, offset: 0 },
          { station: 1, offset: 1 },
        ],
        'minimax',
      ),
    ).toThrow(InputError)
  })
})

describe('spacing', () => {
  it('is even where nothing is in the way', () => {
    expect(spacing(9.6, 2.5, [])).toEqual([0, 2.4, 4.8, 7.2, 9.6])
  })
  it('clears an old footing with the least uneven bays', () => {
    expect(spacing(12, 2.5, [{ at: 4.8, clear: 0.3 }])).toEqual([0, 2.25, 4.5, 7, 9.5, 12])
  })
  it('refuses what cannot be', () => {
    expect(() => spacing(9.6, 2.5, [{ at: 0.1, clear: 0.3 }])).toThrow('both ends clear')
    expect(() => spacing(9.6, 1, [{ at: 5, clear: 1.5 }])).toThrow(InputError)
  })
  it('needs fewer bays where one can end right before an obstacle', () => {
    expect(spacing(5, 2.5, [{ at: 2.5, clear: 0 }])).toEqual([0, 2.5, 5])
    expect(spacing(5, 2.6, [{ at: 2.5, clear: 0.2 }])).toHaveLength(4)
  })
  it('keeps its promise with as many bays and obstacles as it takes', () => {
    const avoid = Array.from({ length: LIMITS.obstacles }, (_, i) => ({
      at: 37.3 * (i + 1) + (i % 7) * 0.21,
      clear: 0.41,
    }))
    const length = 3_990
    const stations = spacing(length, 2.05, avoid)
    const bays = stations.slice(1).map((at, i) => at - stations[i]!)
    expect([stations[0], stations.at(-1)]).toEqual([0, length])
    expect(bays.length).toBeGreaterThan(length / 2.05 - 1)
    expect(Math.max(...bays)).toBeLessThanOrEqual(2.05 + 1e-6)
    for (const { at, clear } of avoid) expect(stations.every((each) => Math.abs(each - at) >= clear - 1e-6)).toBe(true)
  })
  it('refuses what has no end', () => {
    const obstacle = { at: 5, clear: 0.1 }
    expect(() =>
      spacing(
        100,
        2,
        Array.from({ length: LIMITS.obstacles + 1 }, () => obstacle),
      ),
    ).toThrow('avoid is 101')
    expect(() => spacing(1e6, 0.3, [])).toThrow('wide enough for 2000 bays')
  })
  it('sets whole panels, cut only before an obstacle and at the end', () => {
    expect(panelSpacing(5, 1.83, [])).toEqual([0, 1.83, 3.66, 5])
    expect(panelSpacing(6, 1.8, [{ at: 3.6, clear: 0.2 }]).map((station) => Number(station.toFixed(6)))).toEqual([
      0, 1.8, 3.4, 5.2, 6,
    ])
  })
  it('leaves no sliver of a bay at the end', () => {
    const stations = panelSpacing(3.67, 1.83, [])
    expect(stations).toEqual([0, 1.83, 2.75, 3.67])
    expect(panelSpacing(3.66, 1.83, [])).toEqual([0, 1.83, 3.66])
    // Moved clear of an obstacle in the middle of the two.
    const around = panelSpacing(3.67, 1.83, [{ at: 2.75, clear: 0.1 }])
    expect(around.every((at) => Math.abs(at - 2.75) >= 0.1 - 1e-9)).toBe(true)
    expect(Math.min(...around.slice(1).map((at, i) => at - around[i]!))).toBeGreaterThanOrEqual(0.3)
    // Clear from 2.35 down and from 2.95 up: the upper end is nearer to the middle, 2.75; or the lower one.
    expect(panelSpacing(3.67, 1.83, [{ at: 2.85, clear: 0.3 }])).toEqual([0, 1.83, 2.55, 3.67])
    expect(panelSpacing(3.67, 1.83, [{ at: 2.65, clear: 0.3 }])).toEqual([0, 1.83, 2.95, 3.67])
  })
  const obstacles = fc.array(
    fc.record({ at: fc.double({ min: 1, max: 19, noNaN: true }), clear: fc.double({ min: 0, max: 0.6, noNaN: true }) }),
    { maxLength: 6 },
  )
  property.prop([fc.double({ min: 5, max: 20, noNaN: true }), obstacles])(
    'keeps bays, ends and obstacles',
    (length, avoid) => {
      const inside = avoid.filter(({ at, clear }) => at + clear < length && at - clear > 0)
      let stations: number[]
      try {
        stations = spacing(length, 2.4, inside)
      } catch (error) {
        expect(error).toBeInstanceOf(InputError)
        return
      }
      expect(stations[0]).toBe(0)
      expect(stations.at(-1)).toBeCloseTo(length, 5)
      stations.slice(1).forEach((station, i) => expect(station - stations[i]!).toBeLessThanOrEqual(2.4 + 1e-5))
      for (const { at, clear } of inside)
        for (const station of stations) expect(Math.abs(station - at)).toBeGreaterThanOrEqual(clear - 1e-5)
    },
  )
})

it('opens a gate by its hardware', () => {
  expect(() => gateOpening({ leaves: [], hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01, post: 0.1 })).toThrow(
    'leaves',
  )
  expect(gateOpening({ leaves: [1.1], hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01, post: 0.1 })).toEqual({
    opening: expect.closeTo(1.135, 12),
    centres: expect.closeTo(1.235, 12),
  })
  expect(
    gateOpening({ leaves: [1.5, 1.5], hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01, post: 0.12 }).opening,
  ).toBeCloseTo(3.05, 12)
})

it('props by angle or by foot', () => {
  expect(prop(1.2, { angle: Math.PI / 4 })).toMatchObject({
    length: expect.closeTo(1.2 * Math.SQRT2, 12),
    foot: expect.closeTo(1.2, 12),
  })
  expect(prop(1.2, { foot: 1.2 }).angle).toBeCloseTo(Math.PI / 4, 12)
  expect(() => prop(1.2, {})).toThrow(InputError)
})

it('splits readings along and across the line', () => {
  expect(
    leanSlopes([
      { offset: 0.06, over: 1.2, direction: 0 },
      { offset: 0.03, over: 1.2, direction: 90 },
    ]),
  ).toEqual({ along: expect.closeTo(0.05, 12), across: expect.closeTo(0.025, 12) })
})
