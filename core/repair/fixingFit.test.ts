import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { measuresIn } from '../units/quantity'
import { fixingFit, fixingsThatFit, sawFaces, type FixingAtHand, type FixingPlace } from './fixingFit'

const says = measuresIn('metric')
const fit = (place: Partial<FixingPlace>, fixing: FixingAtHand) =>
  fixingFit({ hole: 0.0075, part: 0.075, wood: 0.1, ...place }, fixing, says)
const screw: FixingAtHand = { kind: 'screw', diameter: 0.0065, length: 0.15 }
const bolt: FixingAtHand = { kind: 'bolt', diameter: 0.01, length: 0.2 }

describe('whether a fixing fits', () => {
  it('M10 in the 8 mm holes of a spur: 3 mm too small', () => {
    expect(fit({ hole: 0.008 }, bolt).refusals).toEqual(['The hole is 3 mm too small: 11 mm for this bolt.'])
  })

  it('6.5 × 150 through a 75 mm spur into a 100 mm post: 75 mm of bite', () => {
    expect(fit({}, screw)).toEqual({
      fits: true,
      refusals: [],
      pilot: expect.closeTo(0.0039, 9) as number,
      bite: expect.closeTo(0.075, 9) as number,
      socket: null,
    })
  })

  it.each<[string, Partial<FixingPlace>, FixingAtHand, RegExp]>([
    ['a wide hole without a washer', { hole: 0.012 }, screw, /wider than the screw: a washer/],
    ['too little bite', {}, { ...screw, length: 0.13 }, /bites 55 mm of wood: 60 mm is the least/],
    ['too little bite for its thickness', {}, { ...screw, diameter: 0.01, length: 0.15 }, /bites 75 mm of wood: 80 mm/],
    ['through to the far face', {}, { ...screw, length: 0.17 }, /165 mm is the longest/],
    ['a short bolt', { hole: 0.011 }, { ...bolt, length: 0.18 }, /12 mm too short: 192 mm with its nut/],
    ['a long bolt', { hole: 0.011 }, { ...bolt, length: 0.26 }, /stands out by 68 mm/],
    ['a bolt where nobody gets behind', { hole: 0.011, isOneSided: true }, bolt, /a screw here/],
    ['near the edge', { edge: 0.02 }, screw, /20 mm from the edge: 26 mm/],
    ['near the end', { end: 0.04 }, screw, /40 mm from the end of the wood: 46 mm/],
    ['near the next', { between: 0.025 }, screw, /25 mm from the next fixing/],
    [
      'plated steel in treated wood',
      { isHarsh: true },
      { ...screw, coating: 'plated' },
      /hot-dip galvanised or stainless/,
    ],
  ])('%s is refused, with the rule and by how much', (_name, place, fixing, words) => {
    const { fits, refusals } = fit(place, fixing)
    expect(fits).toBe(false)
    expect(refusals.join(' ')).toMatch(words)
  })

  it('bores 0.6 of the screw in softwood, 0.7 in heartwood, nothing for a thin self-drilling one', () => {
    expect(fit({ isHard: true }, screw).pilot).toBeCloseTo(0.7 * 0.0065, 9)
    expect(fit({}, { ...screw, isSelfDrilling: true }).pilot).toBeNull()
    expect(fit({ isHard: true }, { ...screw, isSelfDrilling: true }).pilot).not.toBeNull()
    expect(fit({ hole: 0.011 }, { ...screw, diameter: 0.01, isSelfDrilling: true }).pilot).toBeCloseTo(0.006, 9)
  })

  it('a washer covers a wide hole', () => {
    expect(fit({ hole: 0.012 }, { ...screw, washer: 0.03 }).fits).toBe(true)
  })

  it('lists what fits, the most bite first', () => {
    const yard = [0.13, 0.14, 0.15, 0.16, 0.17].map((length) => ({ ...screw, length }))
    expect(fixingsThatFit({ hole: 0.0075, part: 0.075, wood: 0.1 }, yard, says).map(({ length }) => length)).toEqual([
      0.16, 0.15, 0.14,
    ])
  })

  it('names the socket of its head, as it is sold', () => {
    expect(fit({ hole: 0.011 }, bolt).socket).toBe(0.016)
    expect(fit({ hole: 0.014 }, { ...bolt, diameter: 0.0127 }).socket).toBeCloseTo(0.01905, 9)
  })

  it('says from how many faces a saw has to come', () => {
    expect(sawFaces(0.1, 0.1, 0.1)).toBe(1)
    expect(sawFaces(0.065, 0.1, 0.1)).toBe(2)
    expect(sawFaces(0.04, 0.1, 0.1)).toBeNull()
    // The narrow way through is the one that is cut.
    expect(sawFaces(0.065, 0.05, 0.15)).toBe(1)
    expect(() => sawFaces(0, 0.1, 0.1)).toThrow(InputError)
  })

  it('refuses sizes that no fixing has', () => {
    expect(() => fit({}, { ...screw, diameter: 0.2 })).toThrow(InputError)
  })
})
