import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { LENGTH_SYSTEMS, parseLength, showLength } from './length'
import { showMinutes } from './quantity'

describe('lengths as typed', () => {
  it.each([
    [`5' 7 3/8"`, 'metric', 1.711325],
    ['1.72', 'metric', 1.72],
    ['1,72', 'metric', 1.72],
    ['172cm', 'feet-inches', 1.72],
    ['600', 'feet-inches', 15.24],
    ['600 mm', 'metric', 0.6],
    [`6'`, 'metric', 1.8288],
    ['3/4"', 'metric', 0.01905],
    ['2ft 6in', 'metric', 0.762],
    ['-2"', 'metric', -0.0508],
  ] as const)('%s in %s', (text, system, metres) => {
    expect(parseLength(text, system)).toBeCloseTo(metres, 9)
  })

  it.each(['', 'deep', '1.2.3', '5 stone', '1/0"'])('refuses %j', (text) => {
    expect(() => parseLength(text, 'metric', 'depth')).toThrow(InputError)
  })
})

describe('lengths as shown', () => {
  it('shows what a tape shows', () => {
    expect(showLength(0.75, 'metric')).toBe('0.75 m')
    expect(showLength(0.0754, 'metric')).toBe('0.075 m')
    expect(showLength(-0.12, 'metric')).toBe('−0.12 m')
    expect(showLength(1.711325, 'feet-inches')).toBe(`5' 7 3⁄8"`)
    expect(showLength(0.0127, 'feet-inches')).toBe(`1⁄2"`)
    expect(showLength(0.3048, 'feet-inches')).toBe(`1'`)
  })

  property.prop([fc.double({ min: 0.01, max: 30, noNaN: true }), fc.constantFrom(...LENGTH_SYSTEMS)])(
    'go round within half a mark',
    (length, system) => {
      const typed = showLength(length, system).replaceAll('⁄', '/')
      expect(Math.abs(parseLength(typed, system) - length)).toBeLessThanOrEqual(
        system === 'metric' ? 0.000501 : 0.0254 / 32 + 1e-9,
      )
    },
  )
})

it('shows minutes as people say them', () => {
  expect(showMinutes(132)).toBe('2 h 10')
  expect(showMinutes(44)).toBe('45 min')
})
