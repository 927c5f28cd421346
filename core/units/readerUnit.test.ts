import { fc, test } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { LENGTH_SYSTEMS } from './length'
import { figure, figureWords, readFigure, typedFigure, unitIn, unitName } from './readerUnit'

describe('figures with their unit', () => {
  it.each([
    [0.254, 'm', 'feet-inches', '10″'],
    [0.0349, 'm³', 'metric', '34.9'],
    [38, 'm/s', 'feet-inches', '85.0036'],
    [20, '°C', 'feet-inches', '68'],
    [0.00338, 'm', 'metric', '0.00338'],
    [0.00338, 'm', 'feet-inches', '0.13307 in'],
    [1e9, 'Pa', 'metric', '1e9'],
  ] as const)('%f %s in %s stands as %s', (value, unit, system, typed) => {
    expect(typedFigure(value, unit, system).replace('"', '″')).toBe(typed)
  })
  it.each([
    [0.75, 'm', 'metric', '0.75 m'],
    [412.8225, 'N', 'metric', '412.8 N'],
    [412.8225, 'N', 'feet-inches', '92.81 lb'],
    [0.0349, 'm³', 'feet-inches', '9.22 gal'],
    [Math.PI / 6, 'rad', 'metric', '30°'],
    [-10, '°C', 'feet-inches', '14 °F'],
    [0.0021775, 'm³', 'metric', '2.178 L'],
    [7, '', 'metric', '7'],
    [0.003823, 'm', 'metric', '3.823 mm'],
    [3.188e-4, 'm²', 'metric', '3.188 cm²'],
    [2.1775e-6, 'modulus in m³', 'metric', '2.178 cm³'],
  ] as const)('%f %s in %s is said as %s', (value, unit, system, words) => {
    expect(figureWords(value, unit, system)).toBe(words)
  })
  it('has a name for its unit', () => {
    expect(['m', 'm/s', 'Pa/m', '°C', 'rad', ''].map((unit) => unitName(unit, 'feet-inches'))).toEqual([
      'ft in',
      'mph',
      'psf/ft',
      '°F',
      'rad',
      '',
    ])
    expect(['m', 'm³', 'N'].map((unit) => unitName(unit, 'metric'))).toEqual(['m', 'L', 'N'])
  })
  it('is refused where it is no number, by its key', () => {
    expect(() => readFigure('two', 'N', 'metric', 'force')).toThrow('force')
    expect(() => readFigure('', 'N', 'metric', 'force')).toThrow('force')
    expect(readFigure('−2,5', 'N', 'metric', 'force')).toBe(-2.5)
  })
  test.prop([
    fc.integer({ min: -5_000_000, max: 5_000_000 }).map((each) => each / 10_000),
    fc.constantFrom('m', 'm/s', 'N', 'N m', 'Pa', 'Pa/m', 'm²', 'm³', 'kg', '°C', ''),
    fc.constantFrom(...LENGTH_SYSTEMS),
  ])('comes back as it was typed', (value, unit, system) => {
    const back = readFigure(typedFigure(value, unit, system), unit, system, 'value')
    expect(Math.abs(back - value)).toBeLessThanOrEqual(Math.max(3e-4, 1e-5 * Math.abs(value)) + 1e-12)
  })
  it('finds the unit that words begin with', () => {
    expect(unitIn('N, null where the code gives no pressure')).toBe('N')
    expect(unitIn('m per m a year')).toBe('m per m a year')
    expect(unitIn('minutes from the pour')).toBe('')
    expect(unitIn('m³ dug')).toBe('m³')
    expect(unitIn('median')).toBe('')
    expect(unitIn('N m')).toBe('N m')
    expect(unitIn('modulus in m³, bending across the line')).toBe('modulus in m³')
  })
  it('keeps what is large and small short', () => {
    expect([figure(0.30000000000000004), figure(1.5e7), figure(2.1e-6), figure(0)]).toEqual([
      '0.3',
      '1.5e7',
      '2.1e-6',
      '0',
    ])
  })
})
