import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables, soilNamed } from '../../../tests/support/builders'
import type { Line, Post, Site } from '../../document/job'
import { groundResponse } from '../../ground/postInGround'
import { targetsAt } from './lineTarget'
import { pullAdvice } from './measured'
import { neighboursTarget } from '../../wind/target'
import { plan } from '../plan'

const site: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38 }
const sound: Partial<Post> = {
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
}
const line = (posts: (i: number) => Partial<Post>, of: Partial<Line> = {}): Line => ({
  ...runOfPosts(5, 2.4, posts),
  kind: 'close-boarded',
  height: 1.8,
  gap: 0.05,
  ...of,
})
const planned = (posts: (i: number) => Partial<Post>, of: Site = {}, facts: Partial<Line> = {}) =>
  plan(jobOf(line(posts, facts), { ...site, ...of }), tables).posts

/** What firm clay of a strength would show of a pull of 200 N at 1.2 m, with the wood of a 100 mm post. */
function movementAt(strength: number): number {
  const ground = { soil: soilNamed('firm-clay'), saturated: true, ignoredTop: 0, strength }
  const segments = [
    { top: 0, bottom: 0.05, width: 0.1 },
    { top: 0.05, bottom: 0.6, width: 0.25 },
  ]
  const { groundMovement, rotation } = groundResponse({ ...ground, segments, height: 1.2 }, 200)!
  return groundMovement + 1.2 * rotation + (200 * 1.2 ** 3) / (3 * 8e9 * 8.3333e-6)
}
const pull = (movement: number, held = true) => ({ force: 200, height: 1.2, at: 1.2, movement, held, saturated: true })

describe('a pull in the plan', () => {
  it('moves every gust of the line by the root of what it measured', () => {
    const before = planned(() => sound)
    const weak = planned((i) => (i === 1 ? { ...sound, pulls: [pull(movementAt(0.5))] } : sound))
    const { used, scale } = weak[1]!.measured!
    expect(used).toBe(scale)
    expect(scale).toBeLessThan(0.75)
    for (const i of [0, 2, 4]) {
      // One soil of one line: every post of it.
      expect(weak[i]!.measured).toEqual(weak[1]!.measured)
      const footing = (posts: typeof weak) => posts[i]!.standing.links.find(({ link }) => link === 'footing')!
      expect(footing(weak).over! / footing(before).over!).toBeCloseTo(Math.sqrt(used), 6)
      expect(footing(weak).lean! / footing(before).lean!).toBeCloseTo(Math.sqrt(used), 4)
      expect(footing(weak).code).toBe(footing(before).code)
    }
  })
  it('says no more than the book of a pull for a moment, or on dry ground', () => {
    const strong = (held: boolean) =>
      planned((i) => (i === 1 ? { ...sound, pulls: [pull(movementAt(2), held)] } : sound))[1]!.measured!
    expect(strong(true).used).toBeGreaterThan(1.2)
    expect(strong(false)).toMatchObject({ used: 1, isHeld: false })
    expect(strong(false).scale).toBeGreaterThan(1.2)
  })
  it('holds a hole deeper where the ground is weaker', () => {
    const rotted: Partial<Post> = { ...sound, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 } }
    const depth = (pulls: Post['pulls']) =>
      planned((i) => (i === 1 ? { ...sound, pulls } : rotted))[2]!.methods.find(
        ({ method }) => method === 'new-post-concrete',
      )!.hole!.depth
    expect(depth([pull(movementAt(0.4))])).toBeGreaterThan(depth([]))
  })
  it('counts nothing on a post that hinges, that carries, or whose footing nobody measured', () => {
    for (const post of [
      { ...sound, observations: { pushPivot: 'at-ground-line' as const } },
      { ...sound, duty: 'load-bearing' as const },
      { ...sound, footing: { kind: 'unknown' as const } },
    ]) {
      const job = jobOf(
        line((i) => (i === 1 ? { ...post, pulls: [pull(0.02)] } : sound)),
        site,
      )
      expect(plan(job, tables).posts[1]!.measured).toBeUndefined()
      expect(pullAdvice(job, tables, 'A2').because).toBeTruthy()
    }
  })
  it('says beforehand how hard: 220 N in the standard case', () => {
    const { most } = pullAdvice(
      jobOf(
        line(() => sound),
        site,
      ),
      tables,
      'A2',
    )
    expect(most! / 220).toBeGreaterThan(0.9)
    expect(most! / 220).toBeLessThan(1.1)
  })
})

describe('what a line asks for', () => {
  it('by the life that it has left: eight years, once in 36', () => {
    const [post] = planned(() => sound, { target: { by: 'life' } }, { remainingYears: 8 })
    expect(post!.target.returnYears).toBeCloseTo(36.4, 1)
    expect(post!.target.leanReturnYears).toBe(10)
  })
  it('by what its sound posts stand: a tenth over the middle one', () => {
    // Bare ground that stands little, so that a tenth over it is still a gust that comes.
    const small: Partial<Post> = { ...sound, footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 } }
    const posts = planned((i) => (i === 2 ? {} : small), { target: { by: 'neighbours' } })
    const standing = [0, 1, 3, 4].map((i) => posts[i]!.standing.holdingGust!)
    const asked = posts[2]!.target
    expect(asked.gust).toBeCloseTo(neighboursTarget(standing, site.gust50!).gust, 6)
    expect(asked.returnYears).toBeLessThan(1_000)
  })
  it('says why a way cannot be asked for, and goes by years then', () => {
    const job = jobOf(
      line(() => ({ soil: 'firm-clay' })),
      { ...site, target: { by: 'neighbours' } },
    )
    const offered = targetsAt(job, tables, 'A2')
    expect(offered.map(({ by }) => by)).toEqual(['years', 'life', 'neighbours'])
    expect(offered[1]!.because).toContain('Walk')
    expect(offered[2]!.because).toContain('sound posts')
    expect(plan(job, tables).posts[1]!.target.returnYears).toBe(50)
  })
})
