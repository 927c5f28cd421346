import { describe, expect, it } from 'vitest'
import { FOOT, INCH } from './constants'
import { gustFigure, measuresIn } from './quantity'
import { stepped } from './step'

describe('quantities as they are read', () => {
  const metric = measuresIn('metric')
  const feet = measuresIn('feet-inches')

  it('in metres, litres and kilograms', () => {
    expect(metric.gust(34.28)).toBe('34 m/s')
    expect(metric.gust(Infinity)).toBe('any gust')
    expect(metric.volume(0.03489)).toBe('34.9 L')
    expect([metric.mass(14), metric.mass(0.34)]).toEqual(['14 kg', '0.3 kg'])
    expect(metric.small(0.0334)).toBe('33 mm')
    expect(metric.strength(15e6)).toBe('15 MPa')
  })

  it('in feet, gallons and pounds', () => {
    expect(feet.gust(38)).toBe('85 mph')
    expect(gustFigure(44.704, 'feet-inches')).toBe('100')
    expect(feet.volume(0.003785411784)).toBe('1.0 gal')
    expect(feet.mass(22.7)).toBe('50 lb')
    expect(feet.small(0.0508)).toBe(`2"`)
    expect(feet.length(2.5 * FOOT)).toBe(`2' 6"`)
    expect(feet.strength(20e6)).toBe('2900 psi')
  })

  it('in litres all the same for whoever counts so', () => {
    expect(measuresIn('feet-inches', 'litres').volume(0.01)).toBe('10.0 L')
  })
})

describe('a step of a length', () => {
  it('is as said on a metric tape', () => {
    expect(stepped(0.6, 0.05, 'metric')).toBe(0.65)
    expect(stepped(0.6, -0.05, 'metric')).toBe(0.55)
  })
  it('goes from inch to inch, or by the quarter, and from between them to the next', () => {
    expect(stepped(24 * INCH, 0.05, 'feet-inches')).toBeCloseTo(25 * INCH, 6)
    expect(stepped(24 * INCH, -0.05, 'feet-inches')).toBeCloseTo(23 * INCH, 6)
    expect(stepped(0.6, 0.05, 'feet-inches')).toBeCloseTo(24 * INCH, 6)
    expect(stepped(0.6, -0.05, 'feet-inches')).toBeCloseTo(23 * INCH, 6)
    expect(stepped(2 * INCH, 0.01, 'feet-inches')).toBeCloseTo(2.25 * INCH, 6)
    expect(stepped(0, -0.025, 'feet-inches')).toBeCloseTo(-INCH, 6)
  })
})
