import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { boredLengthwise, boredThrough, notched, soundShell } from './cuts'
import { sectionProperties, type Section } from './section'

const post: Section = { shape: 'rectangle', along: 0.1, across: 0.1 }
const pole: Section = { shape: 'round', diameter: 0.12 }

describe('soft wood face by face', () => {
  it('takes each face away by itself', () => {
    const left = sectionProperties(post, { start: 0.01, end: 0, front: 0.02, back: 0.005 })
    expect(left.modulus).toBeCloseTo((0.09 * 0.075 ** 2) / 6, 15)
    expect(left.modulusAlong).toBeCloseTo((0.075 * 0.09 ** 2) / 6, 15)
  })
  it('is the same as one depth when all faces are alike, down to nothing', () => {
    const alike = { start: 0.02, end: 0.02, front: 0.02, back: 0.02 }
    for (const section of [post, pole]) {
      const { modulus, inertiaAlong, area } = sectionProperties(section, alike)
      const whole = sectionProperties(section, 0.02)
      expect([modulus / whole.modulus, inertiaAlong / whole.inertiaAlong, area / whole.area]).toEqual(
        [1, 1, 1].map((one) => expect.closeTo(one, 12) as number),
      )
    }
    expect(sectionProperties(post, { start: 0.06, end: 0.06, front: 0, back: 0 }).modulus).toBe(0)
  })
  it('takes the deepest all round where a section has no faces', () => {
    expect(sectionProperties(pole, { start: 0.01, end: 0, front: 0.03, back: 0 })).toEqual(
      sectionProperties(pole, 0.03),
    )
  })
})

describe('bores, notches and rotten hearts', () => {
  it('a bolt hole narrows the post', () => {
    expect(boredThrough(post, 0.012).modulus).toBeCloseTo((0.088 * 0.1 ** 2) / 6, 15)
    expect(boredThrough(pole, 0).modulus).toBeCloseTo(sectionProperties(pole).modulus, 15)
  })
  it('a pin hole up the middle costs little', () => {
    const bored = boredLengthwise(post, 0.0334)
    expect(bored.inertia).toBeCloseTo(0.1 ** 4 / 12 - (Math.PI * 0.0334 ** 4) / 64, 15)
    expect(bored.modulus / sectionProperties(post).modulus).toBeCloseTo(0.993, 3)
    expect(() => boredLengthwise(post, 0.11)).toThrow(InputError)
  })
  it('a notch takes from the side that it is cut into', () => {
    expect(notched(post, 0.025, 'across').modulus).toBeCloseTo((0.1 * 0.075 ** 2) / 6, 15)
    expect(notched(post, 0.025, 'along').modulus).toBeCloseTo((0.075 * 0.1 ** 2) / 6, 15)
  })
  it('a sound shell carries most of it', () => {
    const shell = sectionProperties(soundShell(post, 0.02))
    expect(shell.modulus).toBeCloseTo((0.1 ** 4 - 0.06 ** 4) / 12 / 0.05, 15)
    expect(soundShell(pole, 0.03)).toEqual({ shape: 'tube', diameter: 0.12, wall: 0.03 })
    expect(soundShell(post, 0.05)).toBe(post)
  })
})
