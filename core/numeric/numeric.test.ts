import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { GAUSS_NODES, GAUSS_WEIGHTS } from './quadrature'
import { roundUpTo, tidy, wholeUp } from './rounding'
import { bracketedRoot } from './roots'
import { mean, median } from './statistics'

describe('the quadrature', () => {
  it.each(Array.from({ length: 12 }, (_, degree) => degree))('is exact for x to the power of %i', (degree) => {
    const sum = GAUSS_NODES.reduce((total, x, i) => total + GAUSS_WEIGHTS[i]! * x ** degree, 0)
    expect(sum).toBeCloseTo(1 / (degree + 1), 12)
  })
})

describe('rounding', () => {
  it('takes dust away, and goes up to the next mark', () => {
    expect(tidy(0.1 + 0.2)).toBe(0.3)
    expect(roundUpTo(0.71, 0.05)).toBe(0.75)
    expect(roundUpTo(0.75, 0.05)).toBe(0.75)
    expect(roundUpTo(0.7500001, 0.05)).toBe(0.8)
    expect([wholeUp(3), wholeUp(3 + 1e-12), wholeUp(3.01), wholeUp(0)]).toEqual([3, 3, 4, 0])
  })
  property.prop([fc.double({ min: 0, max: 10, noNaN: true }), fc.constantFrom(0.025, 0.05, 0.0254)])(
    'never ends below, and by less than a step above',
    (length, step) => {
      const up = roundUpTo(length, step)
      expect(up).toBeGreaterThanOrEqual(length - 1e-6)
      expect(up - length).toBeLessThan(step + 1e-6)
    },
  )
})

describe('the middle', () => {
  it('is the one between as many larger as smaller', () => {
    expect(median([3, 1, 2])).toBe(2)
    expect(median([1.2, 1.1, 1.3, 1.15])).toBeCloseTo(1.175, 12)
    expect(median([])).toBeNaN()
    expect([mean([1, 2, 6]), mean([])]).toEqual([3, 0])
  })
})

it('a root is found from either side, and none without a change of sign', () => {
  expect(bracketedRoot((x) => x * x - 2, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 11)
  expect(bracketedRoot((x) => 2 - x * x, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 11)
  expect(bracketedRoot((x) => x, 0, 1, 1e-12)).toBe(0)
  expect(() => bracketedRoot((x) => x * x + 1, 0, 2, 1e-12)).toThrow(RangeError)
})
