import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { groundThreshold } from '../ground/postInGround'
import type { ResolvedPost } from '../resolve/resolve'
import { plan } from '../plan/plan'
import type { Post } from '../document/job'
import { sectionProperties } from '../timber/section'
import { jobOf, runOfPosts, soilNamed, tables } from '../../tests/support/builders'
import { linkMaker } from './links'
import {
  allowanceByArm,
  hingeForce,
  leafMoment,
  leastAllowance,
  linearAllowance,
  loadCases,
  type LoadCase,
} from './loadCases'

const gatePost = {
  id: 'A1',
  station: 0,
  from: 0,
  to: 2,
  duty: 'gate-hinge',
  duties: ['gate-hinge'],
  gate: { leafWidth: 1.1, leafMass: 32 },
} as ResolvedPost
const holds = (height: number) =>
  groundThreshold(
    {
      soil: soilNamed('firm-clay'),
      saturated: false,
      ignoredTop: 0,
      segments: [{ top: 0, bottom: 0.6, width: 0.25 }],
      height,
    },
    'over',
  )!
const wind = (changed: Partial<LoadCase> = {}): LoadCase => ({
  name: 'x',
  windShare: 1,
  across: { force: 0, moment: 0 },
  along: { force: 0, moment: 0 },
  ...changed,
})

describe('a hung leaf', () => {
  it('pulls with half its weight at its width', () => {
    expect(leafMoment(32, 1.1)).toBeCloseTo((32 * 9.80665 * 1.1) / 2, 9)
    expect(hingeForce(leafMoment(32, 1.1), 0.9)).toBeCloseTo(191.8, 1)
  })

  it('is latched, open or swung on; a line post knows only the wind', () => {
    const [latched, open, swung] = loadCases(gatePost)
    expect(latched).toMatchObject({ windShare: 1, along: { moment: leafMoment(32, 1.1) }, across: { moment: 0 } })
    expect(open!.windShare).toBeCloseTo((2 - 0.55) / 2, 12)
    expect(open!.across.moment).toBeCloseTo(leafMoment(32, 1.1), 12)
    expect(swung).toMatchObject({ windShare: 0 })
    expect(swung!.across.moment).toBeCloseTo(leafMoment(32, 1.1) + 550, 9)
    expect(loadCases({ ...gatePost, duty: 'line', duties: ['line'] })).toHaveLength(1)
  })

  it('weighs on the post and the ground of the plan', () => {
    const planned = (post: Partial<Post>) =>
      plan(
        jobOf(
          runOfPosts(5, 2.4, (i) =>
            i === 2 ? { footing: { kind: 'concrete', diameter: 0.35, top: 0, bottom: 0.8 }, ...post } : {},
          ),
        ),
        tables,
      ).posts[2]!
    const line = planned({ duty: 'line', duties: ['line'] })
    const hinge = planned({
      duty: 'gate-hinge',
      duties: ['gate-hinge'],
      gate: { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 },
    })
    expect(hinge.gate).toMatchObject({ hingeForce: expect.closeTo(191.8, 1) })
    for (const link of ['post', 'footing']) {
      const over = (of: typeof line) => of.standing.links.find((each) => each.link === link)!.over!
      expect(over(hinge)).toBeLessThan(over(line))
      expect(over(hinge)).toBeGreaterThan(0)
    }
    const heavy = planned({ duty: 'gate-hinge', duties: ['gate-hinge'], gate: { leafWidth: 4, leafMass: 400 } })
    expect(heavy.standing.holdingGust).toBe(0)
    expect(heavy.standing.links.map((link) => link.because)).toContain(
      "the latched leaf's own pull alone is more than this holds",
    )
    const hole = (of: typeof line) => of.methods.find((each) => each.method === 'new-post-concrete')!
    expect(hole(hinge).hole!.depth).toBeGreaterThanOrEqual(hole(line).hole!.depth)
    expect(hole(hinge).links.find((link) => link.link === 'footing')!.over!).toBeGreaterThanOrEqual(37.9)
  })
})

describe('what steady loads leave for the wind', () => {
  it('is all of it when there are none', () => {
    expect(allowanceByArm(wind(), 0.94, holds)).toBeCloseTo(1737, 0)
    expect(linearAllowance(100, 0, 2, 1)).toBe(50)
    expect(linearAllowance(100, 0, 2, 0)).toBe(Infinity)
  })

  it('meets the demand exactly', () => {
    const along = { force: 0, moment: 600 }
    const left = allowanceByArm(wind({ along }), 0.94, holds)
    expect(left).toBeLessThan(1737)
    expect(Math.hypot(left * 0.94, 600) / left).toBeGreaterThan(0.94)
    expect(holds(Math.hypot(left * 0.94, 600) / left) / left).toBeCloseTo(1, 3)
  })

  it('is nothing, and says why, when the steady part alone is too much', () => {
    const across = { force: 0, moment: 1e5 }
    expect(allowanceByArm(wind({ across }), 0.94, holds)).toBe(0)
    expect(leastAllowance([wind({ name: 'a leaf', across })], () => 0)).toEqual({
      force: 0,
      because: 'a leaf alone is more than this holds',
    })
  })

  it('adds bending stresses of both directions in timber', () => {
    const section = sectionProperties({ shape: 'rectangle', along: 0.1, across: 0.12 })
    const link = linkMaker([wind({ along: { force: 0, moment: 500 } })], 0.9).bent(
      'post',
      'post',
      section,
      tables.materials['treated-softwood'],
      0.9,
    )
    const stress = (link.over! * 0.9) / section.modulus + 500 / section.modulusAlong
    expect(stress).toBeCloseTo(26e6, 0)
  })

  property.prop([
    fc.double({ min: 0, max: 1500, noNaN: true }),
    fc.double({ min: 0, max: 500, noNaN: true }),
    fc.constantFrom('across' as const, 'along' as const),
  ])('never grows with the steady load', (moment, more, direction) => {
    const left = (of: number) => allowanceByArm(wind({ [direction]: { force: 0, moment: of } }), 0.94, holds)
    expect(left(moment + more)).toBeLessThanOrEqual(left(moment) * (1 + 1e-3) + 1e-6)
  })

  it('counts retained soil with the wind', () => {
    const [pushed] = loadCases({
      ...gatePost,
      duty: 'line',
      duties: ['line'],
      steadyLoad: { pressure: 2000, height: 0.5 },
    })
    expect(pushed!.across).toEqual({ force: 2000, moment: 500 })
  })
})
