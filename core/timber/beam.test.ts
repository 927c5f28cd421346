import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { beam } from './beam'

const joist = { load: 2_400, section: { width: 0.1, depth: 0.2 }, span: 3.6, bending: 7e6, stiffness: 8e9 }

describe('a beam over posts', () => {
  it('sags and bends as the simple span does', () => {
    const { sag, stress, holds, onPost, postsToAdd } = beam(joist)
    // I = 0.1 · 0.2³/12 = 66.67e-6 m⁴; 5 · 2400 · 167.96/(384 · 8e9 · 66.67e-6) = 9.84 mm, a 360th is 10 mm.
    expect(sag).toBeCloseTo(0.00984, 5)
    // M = 2400 · 12.96/8 = 3888 N m over 666.7 cm³.
    expect(stress / 1e6).toBeCloseTo(5.832, 3)
    expect(holds).toBe(true)
    expect(onPost).toBeCloseTo(8_640, 9)
    expect(postsToAdd).toBe(0)
  })
  it('wants a post in the middle where it sags too far, and two where one is not enough', () => {
    // Sag over span grows with its cube: 4.5 m is 1.95 times over, its halves an eighth of that.
    expect(beam({ ...joist, span: 4.5 }).postsToAdd).toBe(1)
    expect(beam({ ...joist, span: 9 }).postsToAdd).toBe(2)
  })
  it('names what is out of range', () => {
    expect(() => beam({ ...joist, span: 0 })).toThrow(InputError)
    expect(() => beam({ ...joist, span: 0 })).toThrow(/span/)
  })
})
