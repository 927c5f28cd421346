import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { sectionProperties } from '../timber/section'
import { gustsOf, linkMaker, linkOnGustScale } from './links'
import type { LoadCase } from './loadCases'

/* How parts become links: with experience where it counts, and with every steady load before any wind. */

const scale = { forceAtUnitGust: 2, gust50: 38, experience: { ...tables.experience, ground: 0.5, part: 0.8 } }

describe('a part on the scale of gusts', () => {
  it('is felt as experience has it where it leans or gives way; a code asks the bare formulas', () => {
    // 800 N at 2 N for each (m/s)²: 20 m/s bare; the ground feels half of it.
    expect(gustsOf({ link: 'ground', name: '', of: 'ground', over: 800, lean: 200 }, scale)).toEqual({
      givesWay: Math.sqrt(800),
      lean: Math.sqrt(200),
    })
    expect(gustsOf({ link: 'ground', name: '', of: 'ground', code: 800 }, scale).givesWay).toBe(20)
    const link = linkOnGustScale({ link: 'ground', name: '', of: 'ground', over: 800, code: 200 }, scale)
    expect([link.over, link.code, link.bare]).toEqual([Math.sqrt(800), 10, 20])
  })
})

describe('a bent member under steady loads', () => {
  const flat = sectionProperties({ shape: 'rectangle', along: 0.1, across: 0.05 })
  const wood = tables.materials.oak
  const bentUnder = (across: number, along: number) => {
    const load: LoadCase = {
      name: 'steady',
      windShare: 1,
      across: { force: 0, moment: across },
      along: { force: 0, moment: along },
    }
    return linkMaker([load], 0.9).bent('post', 'the post', flat, wood, 0.9).over!
  }
  it('adds the stresses of both directions: along the line it is twice as stiff, and feels half', () => {
    const free = bentUnder(0, 0)
    const across = free - bentUnder(100, 0)
    expect(across).toBeCloseTo(100 / 0.9, 6)
    expect(free - bentUnder(0, 100)).toBeCloseTo(across * (flat.modulus / flat.modulusAlong), 6)
    expect(flat.modulus / flat.modulusAlong).toBeCloseTo(0.5, 9)
  })
  it('holds less the longer its arm', () => {
    const held = (arm: number) =>
      linkMaker(
        [{ name: '', windShare: 1, across: { force: 0, moment: 0 }, along: { force: 0, moment: 0 } }],
        0.9,
      ).bent('post', '', flat, wood, arm)
    expect(held(0.45).over! / held(0.9).over!).toBeCloseTo(2, 9)
    // Only where it meets the ground does what is left of its strength count.
    expect(held(0.9).weakened!(0.5)).toBeCloseTo(held(0.9).over! / 2, 6)
    expect(held(0.45).weakened).toBeUndefined()
  })
})
