import { fc, test } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { studentT } from '../numeric/studentT'
import { leanTrend, LEVEL_ERROR } from './leanTrend'

const WORKED = [
  { years: 0, lean: 0.0008 },
  { years: 0.25, lean: 0.0021 },
  { years: 0.5, lean: 0.0034 },
  { years: 0.75, lean: 0.0051 },
]

describe('the point of Student’s t', () => {
  // Fisher and Yates, Statistical Tables, 90 % of both tails.
  it.each([
    [1, 6.314],
    [2, 2.92],
    [3, 2.353],
    [5, 2.015],
    [10, 1.812],
    [30, 1.697],
    [120, 1.658],
  ])('with %i degrees of freedom is the published one', (freedom, published) => {
    expect(studentT(0.95, freedom)).toBeCloseTo(published, 3)
  })
})

describe('the trend of a lean', () => {
  it('is the worked one, with the error of the level as its floor', () => {
    const found = leanTrend(WORKED)!
    expect(found.slope).toBeCloseTo(0.00568, 5)
    expect(found.standardError).toBeCloseTo(0.00149, 5)
    expect(found.low).toBeCloseTo(0.00133, 5)
    expect(found.high).toBeCloseTo(0.01003, 5)
    expect(found).toMatchObject({ again: true, out: false })
  })
  it('is by the residuals alone where the error is said to be nothing', () => {
    const found = leanTrend(WORKED, 0)!
    expect(found.standardError).toBeCloseTo(0.000277, 6)
    expect(found.low).toBeCloseTo(0.00487, 5)
    expect(found.high).toBeCloseTo(0.00649, 5)
  })
  it('is none of one reading, nor of two at one time', () => {
    expect(leanTrend([])).toBeNull()
    expect(leanTrend([{ years: 0, lean: 0.01 }])).toBeNull()
    expect(
      leanTrend([
        { years: 1, lean: 0.01 },
        { years: 1, lean: 0.02 },
      ]),
    ).toBeNull()
  })
  it('of two readings has the interval of the level’s own error', () => {
    const found = leanTrend([
      { years: 0, lean: 0 },
      { years: 1, lean: 0.01 },
    ])!
    expect(found.slope).toBeCloseTo(0.01, 12)
    expect(found.high - found.slope).toBeCloseTo((1.645 * LEVEL_ERROR) / Math.sqrt(0.5), 12)
    expect(found.again).toBe(true)
  })
  it('is no leaning again where it is slow, or cannot be told from nothing', () => {
    const slow = WORKED.map(({ years, lean }) => ({ years: years * 4, lean }))
    expect(leanTrend(slow)!.low).toBeGreaterThan(0)
    expect(leanTrend(slow)!.again).toBe(false)
    const loose = [0.001, 0.009, 0.001, 0.009].map((lean, i) => ({ years: i / 4, lean }))
    expect(leanTrend(loose)!.slope).toBeGreaterThan(1 / 240)
    expect(leanTrend(loose)!.again).toBe(false)
  })
  it('leans again the other way as well', () => {
    const found = leanTrend(WORKED.map(({ years, lean }) => ({ years, lean: -lean })))!
    expect(found.slope).toBeCloseTo(-0.00568, 5)
    expect(found.again).toBe(true)
  })
  it('is out by its last reading, whatever the order of the list', () => {
    const far = [...WORKED, { years: 1, lean: 0.0168 }]
    expect(leanTrend(far)!.out).toBe(true)
    expect(leanTrend([...far].reverse())!.out).toBe(true)
    expect(leanTrend([{ years: -1, lean: 0.02 }, ...WORKED])!.out).toBe(false)
  })
  test.prop([
    fc.array(
      fc.record({
        years: fc.double({ min: 0, max: 20, noNaN: true }),
        lean: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
      }),
      { minLength: 3, maxLength: 12 },
    ),
    fc.double({ min: 0.1, max: 5, noNaN: true }),
  ])('does not hang on where years are counted from, and turns with the sign', (readings, shift) => {
    const found = leanTrend(readings)
    const later = leanTrend(readings.map(({ years, lean }) => ({ years: years + shift, lean })))
    const other = leanTrend(readings.map(({ years, lean }) => ({ years, lean: -lean })))
    const spread = Math.max(...readings.map(({ years }) => years)) - Math.min(...readings.map(({ years }) => years))
    fc.pre(found !== null && later !== null && spread > 0.01)
    expect(later!.slope).toBeCloseTo(found!.slope, 6)
    expect(other!.slope).toBeCloseTo(-found!.slope, 9)
    expect(found!.low).toBeLessThan(found!.high)
  })
})
