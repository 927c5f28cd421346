import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { columnCapacity } from './column'

const wood = { compression: 6e6, leastStiffness: 2.8e9 }
const square = (size: number) => ({ along: size, across: size })

describe('a wooden prop', () => {
  it('of 100 × 100 over 2 m carries 40.6 kN: l/d 20, F_cE 5.754 MPa, C_P 0.676', () => {
    expect(columnCapacity({ section: square(0.1), length: 2, ...wood }) / 40_580).toBeCloseTo(1, 2)
  })

  it('carries its whole compression where it is short, less the longer it is, nothing over l/d 50', () => {
    const at = (length: number) => columnCapacity({ section: square(0.1), length, ...wood })
    expect(at(0)).toBeCloseTo(60_000, 6)
    const carried = [0, 0.5, 1, 2, 3, 4, 5].map(at)
    expect(carried).toEqual([...carried].sort((a, b) => b - a))
    expect(at(5.01)).toBe(0)
    expect(() => at(-1)).toThrow(InputError)
  })

  it('buckles about its thin side', () => {
    const flat = columnCapacity({ section: { along: 0.1, across: 0.05 }, length: 2, ...wood })
    expect(flat).toBeCloseTo(columnCapacity({ section: square(0.05), length: 2, ...wood }) * 2, 6)
  })
})
