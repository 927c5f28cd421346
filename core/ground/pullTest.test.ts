import { mersenne } from 'pure-rand/generator/mersenne'
import { describe, expect, it } from 'vitest'
import { soilNamed, tables } from '../../tests/support/builders'
import { calculate } from '../calc/registry'
import { groundCapacity, groundResponse } from './postInGround'
import { foretold, PRIOR_SCATTER, safePull, scaleFrom, SCALES, weighed, type Pull, type PulledPost } from './pullTest'

const post = {
  soil: soilNamed('firm-clay'),
  saturated: false,
  ignoredTop: 0,
  segments: [
    { top: 0, bottom: 0.05, width: 0.1 },
    { top: 0.05, bottom: 0.6, width: 0.25 },
  ],
}
/** 100 × 100 of 8 GPa: I = 8.333e-6 m⁴. */
const pulled: PulledPost = { post, stiffness: 8e9 * 8.3333e-6 }
const at = (force: number, height = 1.2, read = 1.2) => ({ force, height, at: read })

describe('a pull test', () => {
  it('foretells what the ground and the wood do, at scale 1 by hand', () => {
    const one = SCALES.findIndex((scale) => Math.abs(scale - 1) < 1e-9)
    const found = foretold(pulled, at(200))[one]!
    const ground = groundResponse({ ...post, height: 1.2 }, 200)!
    // A cantilever under its end load: F a³/3EI = 200 · 1.728/(3 · 66 667) = 1.73 mm.
    expect(found).toBeCloseTo(ground.groundMovement + 1.2 * ground.rotation + 0.001728, 6)
    // Read above the rope, 1.6 m: F a² (3m − a)/6EI = 200 · 1.44 · 3.6/400 000 = 2.59 mm.
    const over = foretold(pulled, at(200, 1.2, 1.6))[one]!
    expect(over).toBeCloseTo(ground.groundMovement + 1.6 * ground.rotation + 0.002592, 6)
    // Read below it, 0.8 m: F m² (3a − m)/6EI = 200 · 0.64 · 2.8/400 000 = 0.90 mm.
    const under = foretold(pulled, at(200, 1.2, 0.8))[one]!
    expect(under).toBeCloseTo(ground.groundMovement + 0.8 * ground.rotation + 0.000896, 6)
  })

  it('of a soil twice as strong and stiff is that of the plain soil under half the pull', () => {
    const force = 300
    const strong = groundResponse({ ...post, height: 1.2, strength: 2 }, force)!
    const plain = groundResponse({ ...post, height: 1.2 }, force / 2)!
    expect(strong.rotation).toBeCloseTo(plain.rotation, 9)
  })

  it('without a reading says what was said before it', () => {
    const { scale, low, high } = scaleFrom([])
    expect(scale).toBeCloseTo(1, 3)
    expect(low).toBeCloseTo(Math.exp(-1.645 * 0.5), 2)
    expect(high).toBeCloseTo(Math.exp(1.645 * 0.5), 2)
  })

  it('rules out a soil that would have let go', () => {
    const { over } = groundCapacity({ ...post, height: 1.2 })
    const force = over / 2
    const foretells = foretold(pulled, at(force))
    for (const [i, scale] of SCALES.entries()) expect(foretells[i] === null).toBe(scale <= 0.5 + 1e-9)
    expect(scaleFrom([weighed(foretells, 0.004)]).low).toBeGreaterThan(0.5)
  })

  it('of several readings is narrower than of one, and answers to each', () => {
    const reading = (force: number, movement: number) => weighed(foretold(pulled, at(force)), movement)
    const one = scaleFrom([reading(200, 0.005)])
    const two = scaleFrom([reading(200, 0.005), reading(100, 0.0022)])
    expect(two.high / two.low).toBeLessThan(one.high / one.low)
    expect(scaleFrom([reading(200, 0.009)]).scale).toBeLessThan(one.scale)
  })

  it('gives a simulated soil back within its range nine times in ten', () => {
    // Drawn from the prior, read with the noise that the likelihood takes: calibrated by construction, if it is right.
    const random = mersenne(20_261_126)
    const uniform = () => (random.next() >>> 0) / 2 ** 32
    const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
    const pulls = [at(100), at(180)]
    const foretells = pulls.map((each) => foretold(pulled, each))
    let inside = 0
    const runs = 1_000
    for (let run = 0; run < runs; run++) {
      let truth: number
      let expected: (number | null)[]
      do {
        const log = PRIOR_SCATTER * normal()
        truth = Math.exp(log)
        const i = Math.min(SCALES.length - 1, Math.max(0, Math.round((log + 2) / 0.01)))
        truth = SCALES[i]!
        expected = foretells.map((each) => each[i]!)
        // Whoever pulled it over has no movement to read.
      } while (expected.some((each) => each === null))
      const readings = expected.map((each) => each! + Math.hypot(0.001, 0.05 * each!) * normal())
      const { low, high } = scaleFrom(readings.map((movement, i) => weighed(foretells[i]!, movement)))
      if (truth >= low && truth <= high) inside += 1
    }
    expect(inside).toBeGreaterThanOrEqual(870)
    expect(inside).toBeLessThanOrEqual(930)
  })

  it('says beforehand how hard to pull: 220 N at 1.2 m in the standard case', () => {
    const { lean } = groundCapacity({ ...post, ignoredTop: 0.15, height: 1.2 })
    expect(safePull(lean) / 220).toBeGreaterThan(0.9)
    expect(safePull(lean) / 220).toBeLessThan(1.1)
    expect(safePull(1e5)).toBe(500)
  })

  it('is one of the calculations, with what the ground then holds', () => {
    const pulls: Pull[] = [{ ...at(200), movement: 0.006 }]
    const input = {
      soil: 'firm-clay',
      ignoredTop: 0.15,
      pullIgnoredTop: 0,
      segments: post.segments,
      height: 0.94,
      section: { shape: 'rectangle', along: 0.1, across: 0.1, soft: 0.005 },
      material: 'treated-softwood',
      pulls,
    }
    const found = calculate('pull-test', input, tables) as Record<'scale' | 'low' | 'high' | 'over' | 'lean', number>
    const { over, lean } = groundCapacity({ ...post, ignoredTop: 0.15, height: 0.94 })
    expect(found.over).toBeCloseTo(over * found.scale, 6)
    expect(found.lean).toBeCloseTo(lean * found.scale, 6)
    expect(found.low).toBeLessThan(found.scale)
    // Half of the wood gone bends more: the ground then did less of it.
    const thin = calculate('pull-test', { ...input, section: { ...input.section, soft: 0.02 } }, tables)
    expect(thin.scale).toBeGreaterThan(found.scale)
    expect(() => calculate('pull-test', { ...input, pulls: [{ ...at(0), movement: 0 }] }, tables)).toThrow(/force/)
    expect(() => calculate('pull-test', { ...input, material: 'concrete' }, tables)).toThrow(/material/)
  })
})
