import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { soilNamed } from '../../tests/support/builders'
import { leanAfterGusts, momentRotation } from './curves'
import { bindingDepths, recommendedDepth, type DepthQuestion } from './depthRules'
import { frostWarnings } from './frost'
import { findHole } from './holeFinder'
import { groundCapacity, type BuriedPost } from './postInGround'

const post: BuriedPost = {
  soil: soilNamed('medium-sand'),
  saturated: false,
  ignoredTop: 0,
  segments: [{ top: 0, bottom: 0.76, width: 0.25 }],
  height: 0.94,
}

describe('curves for charts', () => {
  it('rise with the moment, and cross the tolerance at the leaning load', () => {
    const curve = momentRotation(post, 60)
    expect(curve[0]).toEqual({ force: 0, moment: 0, rotation: 0, residual: 0 })
    for (const [i, point] of curve.entries()) {
      if (i === 0) continue
      expect(point.rotation).toBeGreaterThan(curve[i - 1]!.rotation)
      expect(point.residual).toBeLessThan(point.rotation)
    }
    const { lean } = groundCapacity(post)
    const crossing = curve.findIndex((point) => point.residual > 1 / 120)
    expect(curve[crossing - 1]!.force).toBeLessThanOrEqual(lean)
    expect(curve[crossing]!.force).toBeGreaterThan(lean)
  })

  it('add up over gusts: only a worse one leans it further', () => {
    const after = leanAfterGusts(post, [300, 600, 300, 700, 2000, 100])
    expect(after[1]).toBeGreaterThan(after[0]!)
    expect(after[2]).toBe(after[1])
    expect(after[3]).toBeGreaterThan(after[2]!)
    expect(after.slice(4)).toEqual([null, null])
  })
})

describe('frost', () => {
  const facts = { frostDepth: 0.45, bottom: 0.6, topDiameter: 0.3, bottomDiameter: 0.3 }
  it('leaves a deep straight footing alone', () => {
    expect(frostWarnings(facts)).toEqual([])
  })
  it('warns of every way in which it takes hold', () => {
    expect(frostWarnings({ ...facts, bottom: 0.5 })).toEqual([
      'The footing ends 0.10 m short of 0.15 m below the frost.',
    ])
    expect(frostWarnings({ ...facts, topDiameter: 0.4, collar: true, waterAtBase: true, heaves: true })).toHaveLength(4)
    expect(frostWarnings({ ...facts, frostDepth: 0, topDiameter: 0.4 })).toEqual([])
  })
})

describe('the hole finder', () => {
  const question: DepthQuestion = {
    soil: soilNamed('firm-clay'),
    saturated: false,
    ignoredTop: 0.15,
    width: 0,
    force: 1200,
    height: 0.94,
    postLength: 2.4,
    frostDepth: 0.45,
    minimumDepth: 0.6,
  }
  const costs = { digging: 3.5, pouring: 0.9, perCubicMetre: 150, perMinute: 0.6 }
  const section = { shape: 'rectangle' as const, along: 0.1, across: 0.1 }
  const search = (reach: number, diameters = [0.2, 0.25, 0.3, 0.4]) =>
    findHole(question, section, 0.1, 0.075, { diameters, reach }, costs)

  it('gives the whole curve, never deeper for a wider hole', () => {
    const { curve } = search(2)
    expect(curve.map((hole) => hole.diameter)).toEqual([0.2, 0.25, 0.3, 0.4])
    for (const [i, hole] of curve.entries()) if (i > 0) expect(hole.footing).toBeLessThanOrEqual(curve[i - 1]!.footing)
  })

  it('never takes a hole that does not hold: deeper than any hole is not shallow', () => {
    const heavy = { ...question, force: 60_000 }
    const { best, curve } = findHole(heavy, section, 0.1, 0.075, { diameters: [0.2, 0.3], reach: 3 }, costs)
    expect(best).toBeNull()
    expect(curve.map(({ holds }) => holds)).toEqual([false, false])
    expect(recommendedDepth({ ...heavy, width: 0.2 })).toMatchObject({ noHoleHolds: true })
    // Just under what 2 m holds, and just over it: the depth does not fall back without a word.
    const depthOf = (force: number) => recommendedDepth({ ...question, width: 0.25, force })
    const forces = Array.from({ length: 60 }, (_, i) => 400 * (i + 1))
    const deepest = forces.map(depthOf).filter(({ noHoleHolds }) => !noHoleHolds)
    expect(deepest.map(({ depth }) => depth)).toEqual(deepest.map(({ depth }) => depth).toSorted((a, b) => a - b))
    expect(forces.map(depthOf).filter(({ noHoleHolds }) => noHoleHolds).length).toBeGreaterThan(0)
  })

  it('asks of a post that ends somewhere what it asks of any, and no more than that', () => {
    const asked = (deepest?: number) =>
      bindingDepths({ ...question, width: 0.25, demand: { over: 1200, lean: 800 }, ...(deepest ? { deepest } : {}) })
    const free = asked()
    for (const deepest of [0.4, 0.6, 0.8, 1, 1.5, 3]) {
      for (const rule of ['target-gust', 'target-lean'])
        expect(asked(deepest).get(rule)).toBeCloseTo(Math.min(deepest, free.get(rule)!), 3)
    }
    const heavy = { ...question, width: 0.2, force: 60_000 }
    expect(bindingDepths({ ...heavy, deepest: 3 }).get('target-gust')).toBeNull()
    expect(bindingDepths({ ...heavy, deepest: 0.7 }).get('target-gust')).toBe(0.7)
  })

  it('takes the cheapest one within reach', () => {
    const { best, curve } = search(2)
    const covered = curve.filter(({ thinCover }) => !thinCover)
    expect(best!.cost).toBe(Math.min(...covered.map((hole) => hole.cost)))
    // Less cover than the hole's own screen would warn of is never proposed, however cheap.
    expect(curve.filter(({ thinCover }) => thinCover).map(({ diameter }) => diameter)).toEqual([0.2])
    const deepest = curve[0]!.depth
    const shallow = search(deepest - 0.05)
    expect(shallow.curve[0]!.outOfReach).toBe(true)
    expect(shallow.best!.diameter).toBeGreaterThan(0.2)
    expect(search(0.3).best).toBeNull()
    expect(() => search(2, [])).toThrow(InputError)
  })
})
