import { describe, expect, it } from 'vitest'
import { sameSection, sectionProperties, type Section } from './section'

const square = (side: number) => ({ shape: 'rectangle' as const, along: side, across: side })

describe('section properties', () => {
  it('says what 120 mm buys over 95 mm', () => {
    const [wide, narrow] = [sectionProperties(square(0.12)), sectionProperties(square(0.095))]
    expect(wide.modulus / narrow.modulus).toBeCloseTo(2.02, 2)
    expect(wide.inertia / narrow.inertia).toBeCloseTo(2.55, 2)
  })

  it('bends across the line with the size across', () => {
    const plank = sectionProperties({ shape: 'rectangle', along: 0.05, across: 0.1 })
    expect(plank.modulus).toBeCloseTo((0.05 * 0.1 ** 2) / 6, 15)
    expect(plank.modulusAlong).toBeCloseTo((0.1 * 0.05 ** 2) / 6, 15)
  })

  it.each([
    ['29.5 × 1.45 conduit', { shape: 'tube', diameter: 0.0295, wall: 0.00145 }, 854],
    ['33.4 × 3.38 pipe', { shape: 'tube', diameter: 0.0334, wall: 0.00338 }, 2177],
    ['48.3 × 3.68 pipe', { shape: 'tube', diameter: 0.0483, wall: 0.00368 }, 5352],
    ['20 mm bar', { shape: 'round', diameter: 0.02 }, 785],
    ['25 mm bar', { shape: 'round', diameter: 0.025 }, 1534],
  ] as const)('%s has its tabled modulus', (_name, section, cubicMillimetres) => {
    expect(sectionProperties(section).modulus * 1e9).toBeCloseTo(cubicMillimetres, -0.5)
  })

  it.each<[string, Section, Section, boolean]>([
    ['keys in another order', square(0.1), { across: 0.1, along: 0.1, shape: 'rectangle' }, true],
    ['3½ in and 89 mm', square(3.5 * 0.0254), square(0.089), true],
    ['a millimetre more', square(0.1), square(0.101), false],
    ['another shape of one size', { shape: 'round', diameter: 0.1 }, square(0.1), false],
    [
      'another wall',
      { shape: 'tube', diameter: 0.06, wall: 0.002 },
      { shape: 'tube', diameter: 0.06, wall: 0.003 },
      false,
    ],
    [
      'turned by a quarter',
      { shape: 'rectangle', along: 0.05, across: 0.1 },
      { shape: 'rectangle', along: 0.1, across: 0.05 },
      false,
    ],
  ])('is the same section or not: %s', (_name, a, b, expected) => {
    expect(sameSection(a, b)).toBe(expected)
  })

  it('carries on what decay has left, down to nothing', () => {
    expect(sectionProperties(square(0.1), 0.02).modulus).toBeCloseTo(0.06 ** 3 / 6, 15)
    expect(sectionProperties(square(0.1), 0.05).modulus).toBe(0)
    expect(sectionProperties({ shape: 'tube', diameter: 0.05, wall: 0.003 }, 0.004).modulus).toBe(0)
  })
})
