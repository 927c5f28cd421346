import { describe, expect, it } from 'vitest'
import { InputError } from '../../errors'
import { groundCapacity } from '../../ground/postInGround'
import { soilNamed } from '../../../tests/support/builders'
import { anchorTension, concreteBreakout, thinnestSlab } from './basePlate'
import { formUplift, pierBearing } from './pier'
import { sleevePlay, sleeveWarnings } from './sleeve'
import { keyedSegments, type KeyedPost } from './timberKey'

describe('a lift-out sleeve', () => {
  it('lets the post rock by its clearance over its insertion', () => {
    expect(sleevePlay(0.001, 0.5, 1)).toEqual({ rotation: 0.004, topOffset: 0.004 })
    expect(sleevePlay(0.002, 0.3, 1.05).topOffset).toBeCloseTo(0.014, 9)
    expect(() => sleevePlay(0.001, 0, 1)).toThrow(InputError)
  })
  it('is warned of when it holds water or its rim is wrong', () => {
    expect(sleeveWarnings(0.01, true, 0.45)).toEqual([])
    expect(sleeveWarnings(-0.01, false, 0.45).join(' ')).toMatch(/freezes.*soil and water run in/)
    expect(sleeveWarnings(0.05, false, 0).join(' ')).not.toMatch(/freezes/)
  })
})

describe('a base plate on a slab', () => {
  const plate = { moment: 1000, anchors: 4, anchorsInTension: 2, edgeToAnchors: 0.15 }
  it('pulls its anchors by the moment over nine tenths of the lever, less the dead load', () => {
    expect(anchorTension(plate)).toBeCloseTo(1000 / (2 * 0.135), 6)
    expect(anchorTension({ ...plate, deadLoad: 400 })).toBeCloseTo(1000 / 0.27 - 100, 6)
    expect(anchorTension({ ...plate, deadLoad: 1e5 })).toBe(0)
    expect(() => anchorTension({ ...plate, anchorsInTension: 5 })).toThrow(InputError)
  })
  it('breaks a cone out as ACI 318 has it', () => {
    // 7 · √25 · 80^1.5 = 25 044 N
    const far = concreteBreakout({ concrete: 25e6, depth: 0.08 })
    expect(far.over).toBeCloseTo(25_044, 0)
    expect(far.over / far.code).toBeCloseTo(2.5, 9)
    const near = concreteBreakout({ concrete: 25e6, depth: 0.08, edge: 0.06, spacing: 0.12 })
    expect(near.over / far.over).toBeCloseTo(0.25, 9)
    expect(concreteBreakout({ concrete: 25e6, depth: 0.08, edge: 0.12, spacing: 0.24 })).toEqual(far)
    expect(thinnestSlab(0.08)).toBeCloseTo(0.12, 12)
  })
})

describe('a timber key', () => {
  const post: KeyedPost = {
    postWidth: 0.1,
    foot: 0.9,
    key: { length: 1, top: 0.15, bottom: 0.3 },
    soundAbove: true,
    soundAtKey: true,
    soundAtToe: true,
  }
  const over = (keyed: KeyedPost) =>
    groundCapacity({
      soil: soilNamed('firm-clay'),
      saturated: false,
      ignoredTop: 0,
      segments: keyedSegments(keyed),
      height: 0.94,
    }).over

  it('is a wide stretch between two narrow ones', () => {
    expect(keyedSegments(post).map(({ width }) => width)).toEqual([0.1, 1, 0.1])
    expect(() => keyedSegments({ ...post, key: { length: 1, top: 0.85, bottom: 0.95 } })).toThrow(InputError)
  })
  it('helps, and only where the soil that it bears on is sound', () => {
    const bare = over({ ...post, key: { length: 0.1, top: 0.15, bottom: 0.3 } })
    expect(over(post)).toBeGreaterThan(1.5 * bare)
    expect(over({ ...post, soundAtKey: false })).toBeLessThan(bare)
    expect(over({ ...post, soundAbove: false })).toBeLessThan(over(post))
  })
})

describe('a raised pier', () => {
  it('bears on the soil', () => {
    const base = (Math.PI * 0.3 ** 2) / 4
    expect(pierBearing(6000, base, soilNamed('firm-clay'))).toMatchObject({ allowable: 100e3, holds: true })
    expect(pierBearing(6000, base, soilNamed('soft-clay')).holds).toBe(false)
    expect(pierBearing(10, base, soilNamed('made-ground'))).toMatchObject({ allowable: null, holds: false })
  })
  it('lifts its form while it is poured', () => {
    expect(formUplift(0.6, 0.05)).toBeCloseTo(720, 9)
  })
})
