import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Post } from '../document/job'
import { repairMethods } from '../repair/methods'
import { row } from '../tables/tables'
import { methodDetail } from './detail'
import { plan } from './plan'

const rotted: Partial<Post> = {
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const job = (post: Partial<Post> = rotted, line = {}) => jobOf({ ...runOfPosts(5, 1.8, () => post), ...line })
const stepsOf = (method: string, post?: Partial<Post>, line = {}) =>
  methodDetail(job(post, line), tables, 'A3', method)!.steps
const numbered = (method: string, key: string, post?: Partial<Post>) =>
  stepsOf(method, post).findIndex((step) => step.key === key) + 1

describe('what the steps of all methods have in common', () => {
  it.each(repairMethods.map(({ key }) => key))('%s says why each step is not to be skipped', (key) => {
    const { steps } = row(tables.parts.methods, key)
    const facts = steps.map((step) => ({ ...tables.parts.steps[step.key], ...step }))
    for (const { doNotSkip, why, text } of facts) expect(Boolean(doNotSkip), text).toBe(Boolean(why))
    // What has to be first comes first, and each step stands there once.
    expect(new Set(steps.map((step) => step.key)).size).toBe(steps.length)
    facts.forEach(({ first = [] }, i) => {
      for (const wanted of first) {
        const at = steps.findIndex((step) => step.key === wanted)
        expect(at, `${steps[i]!.key} after ${wanted}`).toBeLessThan(i)
      }
    })
  })
  it('no fact is left of a step that nothing has', () => {
    const used = new Set(tables.parts.methods.flatMap(({ steps }) => steps.map(({ key }) => key)))
    expect(Object.keys(tables.parts.steps).filter((key) => !used.has(key))).toEqual([])
  })
  it('their minutes add up to those of the method', () => {
    const { methods } = plan(job(), tables).posts[2]!
    const sized = methods.filter(({ links, concrete, packed }) => links.length > 0 || concrete || packed)
    expect(sized.length).toBeGreaterThan(6)
    for (const { method, minutes } of sized) {
      const sum = stepsOf(method).reduce((total, step) => total + step.minutes, 0)
      expect(sum, method).toBeCloseTo(minutes, 6)
    }
  })
})

describe('the steps of one method on one post', () => {
  it('puts counted work where it is done', () => {
    const { methods } = plan(job(), tables).posts[2]!
    const { concrete } = methods.find(({ method }) => method === 'new-post-concrete')!
    const dig = stepsOf('new-post-concrete').find(({ key }) => key === 'dig')!
    const others = stepsOf('new-post-concrete').find(({ key }) => key === 'turf')!
    // Firm clay, a digger: litres over 3.5 a minute, and an ordinary share of the rest.
    expect(dig.minutes - others.minutes).toBeCloseTo((concrete!.hole * 1e3) / 3.5, 6)
  })
  it('waits as long as the concrete needs at 10 °C', () => {
    const steps = new Map(stepsOf('new-post-concrete').map((step) => [step.key, step]))
    // 0.45 of its strength: three quarters of the way from 4 h to 24 h in ln t, 4 · 6^0.75 = 15.3 h at 20 °C. At 10 °C
    // it hardens exp(−48 200 / 8.314 · (1 / 283.15 − 1 / 293.15)) = 0.497 as fast: 30.8 h.
    expect(steps.get('lift-panels')!.after).toMatchObject({
      says: 'rails and boards back',
      hours: expect.closeTo(30.83, 1),
    })
    expect(steps.get('plumb-again')!.within).toBeGreaterThan(5)
    expect(steps.get('plumb-again')!.within).toBeLessThan(12)
    const general = stepsOf('new-post-concrete', { ...rotted, repair: { mix: 'general-20' } })
    expect(general.find(({ key }) => key === 'lift-panels')!.after!.hours).toBeGreaterThan(48)
  })
  it('numbers what has to be done before as it stands in the list', () => {
    const pour = stepsOf('repair-spur').find(({ key }) => key === 'pour')!
    expect(pour.first).toEqual([numbered('repair-spur', 'stand-spur')])
    expect(numbered('repair-spur', 'tamp')).toBeLessThan(numbered('repair-spur', 'stand-spur'))
  })
  it('leaves out what the facts leave nothing to do for', () => {
    const keys = (post?: Partial<Post>, line = {}) => stepsOf('new-post-concrete', post, line).map(({ key }) => key)
    expect(keys()).not.toContain('hang-leaf')
    expect(keys()).not.toContain('stone-bed')
    const gate = { ...rotted, duty: 'gate-hinge', gate: { leafWidth: 1.2, leafMass: 40, hingeSpacing: 1.2 } } as const
    expect(keys(gate)).toContain('hang-leaf')
    expect(keys({ ...rotted, repair: { holes: { 'new-post-concrete': { stoneBed: 0.1 } } } })).toContain('stone-bed')
    expect(keys(rotted, { kind: 'single' })).not.toContain('lift-panels')
  })
})
