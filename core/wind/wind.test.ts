import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { meanCoefficient, type Run } from './coefficient'
import { velocityPressure, windLoad } from './force'
import { gust50From } from './gust50'
import { gustOfReturnPeriod, returnPeriodOfGust, returnPeriodWords } from './returnPeriod'

const run: Run = { length: 40, height: 1.83, solidity: 1, cornerAtStart: false, cornerAtEnd: false }

describe('wind on the stretch that one post carries', () => {
  it('comes to the worked figure in the middle of a 40 m run', () => {
    const load = windLoad({ ...run, from: 18.78, to: 21.22, gap: 0.05, exposure: 0.57, shelter: 1 }, 40)
    expect(load.coefficient).toBeCloseTo(1.2, 12)
    expect(load.force).toBeCloseTo(2477, 0)
    expect(load.height).toBeCloseTo(0.94, 12)
  })

  it('takes velocity pressure from ASCE 7-16 eq. 26.10-1', () => {
    expect(velocityPressure(40, 0.57, 1)).toBeCloseTo(475.2, 1)
    expect(velocityPressure(40, 0.57, 0.4)).toBeCloseTo(190.1, 1)
  })
})

describe('coefficients of EN 1991-1-4 Table 7.9', () => {
  const at = (x: number, changed: Partial<Run> = {}) => meanCoefficient(x - 1e-6, x + 1e-6, { ...run, ...changed })

  it.each([
    [0.1, 3.4], // zone A of a long run, free end
    [1.0, 2.1],
    [5.0, 1.7],
    [20, 1.2],
    [39.9, 3.4],
  ])('%f m from the start: %f', (x, expected) => {
    expect(at(x)).toBeCloseTo(expected, 9)
  })

  it('has a row of its own behind a return corner', () => {
    expect(at(0.1, { cornerAtStart: true })).toBeCloseTo(2.1, 9)
    expect(at(39.9, { cornerAtStart: true })).toBeCloseTo(3.4, 9)
  })

  it('interpolates between lengths of 5 and 10 heights', () => {
    expect(at(0.1, { length: 7.5 * 1.83 })).toBeCloseTo((2.9 + 3.4) / 2, 9)
    expect(at(0.1, { length: 2 * 1.83 })).toBeCloseTo(2.3, 9)
  })

  it('is 1.2 everywhere at a solidity of 0.8 and falls below it', () => {
    expect(at(0.1, { solidity: 0.8 })).toBeCloseTo(1.2, 9)
    expect(at(0.1, { solidity: 0.9 })).toBeCloseTo((3.4 + 1.2) / 2, 9)
    // 1.2 · f(0.3)/f(0.8), f(ε) = 1 − (1 − ε)^1.5
    expect(at(20, { solidity: 0.3 })).toBeCloseTo((1.2 * (1 - 0.7 ** 1.5)) / (1 - 0.2 ** 1.5), 9)
  })

  it('is averaged exactly across a zone edge', () => {
    const edge = 0.3 * run.height
    expect(meanCoefficient(edge - 0.1, edge + 0.3, run)).toBeCloseTo((0.1 * 3.4 + 0.3 * 2.1) / 0.4, 12)
  })

  property.prop([
    fc.double({ min: 0, max: 39, noNaN: true }),
    fc.double({ min: 0.01, max: 1, noNaN: true }),
    fc.double({ min: 0.01, max: 0.99, noNaN: true }),
  ])('two parts of a stretch add up to the whole', (from, width, share) => {
    const middle = from + width * share
    const whole = meanCoefficient(from, from + width, run) * width
    const parts =
      meanCoefficient(from, middle, run) * (middle - from) +
      meanCoefficient(middle, from + width, run) * (from + width - middle)
    expect(parts).toBeCloseTo(whole, 9)
  })
})

describe('return periods of EN 1991-1-4 eq. 4.2', () => {
  it('gives the published ratios at 10 and 100 years', () => {
    expect(gustOfReturnPeriod(10, 1)).toBeCloseTo(0.902, 3)
    expect(gustOfReturnPeriod(50, 38)).toBeCloseTo(38, 12)
    expect(gustOfReturnPeriod(100, 1)).toBeCloseTo(1.038, 3)
  })

  property.prop([fc.double({ min: 1.05, max: 5000, noNaN: true }), fc.double({ min: 15, max: 70, noNaN: true })])(
    'goes there and back',
    (years, gust50) => {
      const back = returnPeriodOfGust(gustOfReturnPeriod(years, gust50), gust50)
      expect(Math.abs(back / years - 1)).toBeLessThan(1e-9)
    },
  )

  it('never quotes a year where the formula is no frequency', () => {
    expect(returnPeriodWords(1.0001)).toBe('several times a year')
    expect(returnPeriodWords(1.4)).toBe('most years')
    expect(returnPeriodWords(34.2)).toBe('once in 34 years')
    expect(returnPeriodWords(Infinity)).toBe('less than once in 500 years')
  })
})

describe('map figures of another kind', () => {
  it.each([
    ['gust-50', 38, 38],
    ['mean-50', 26, 37.7],
    ['gust-300', 44.8, 38],
    ['gust-700', 48, 37.97],
  ] as const)('%s of %f m/s is %f', (figure, speed, gust50) => {
    expect(gust50From(figure, speed)).toBeCloseTo(gust50, 1)
  })
  it('takes its factors from 0.36 + 0.1 ln 12T', () => {
    for (const [figure, years] of [
      ['gust-300', 300],
      ['gust-700', 700],
    ] as const)
      expect(gust50From(figure, 40) * (0.36 + 0.1 * Math.log(12 * years))).toBeCloseTo(40, 0)
  })
})
