import { describe, expect, it } from 'vitest'
import { sectionProperties } from './section'

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

  it('carries on what decay has left, down to nothing', () => {
    expect(sectionProperties(square(0.1), 0.02).modulus).toBeCloseTo(0.06 ** 3 / 6, 15)
    expect(sectionProperties(square(0.1), 0.05).modulus).toBe(0)
    expect(sectionProperties({ shape: 'tube', diameter: 0.05, wall: 0.003 }, 0.004).modulus).toBe(0)
  })
})
