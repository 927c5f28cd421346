import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Job, Post } from '../document/job'
import { applyCommands } from '../edit/apply'
import type { Link } from '../repair/links'
import { gustOfReturnPeriod } from '../wind/returnPeriod'
import { methodDetail } from './detail'
import { plan, planner } from './plan'
import type { PostPlan } from './types'
import { onBothThresholds } from './thresholds'

/* What the plan puts together from its parts: each part is tried where it stands, this is that they meet. */

const rotted: Partial<Post> = {
  observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 },
}
const inJob = (posts: Record<string, Partial<Post>>, site: Job['site'] = {}, count = 5) =>
  jobOf(
    runOfPosts(count, 2.4, (i) => posts[`A${i + 1}`] ?? {}),
    { exposure: 'sheltered', gust50: 38, shelter: 0.7, ...site },
  )
const planOf = (job: Job, id: string) => plan(job, tables).posts.find(({ post }) => post === id)!

describe('a gate on the plan', () => {
  const leaf = { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 }
  const gated = (gate: Post['gate']) => planOf(inJob({ A3: { duty: 'gate-hinge', gate } }), 'A3').gate
  it('pulls at its hinges as worked by hand: 32 kg, 1.1 m wide, 0.9 m apart, 192 N', () => {
    // W (w/2) = 32 · 9.81 · 0.55 = 172.66 N m; over 0.9 m 191.8 N.
    expect(gated(leaf)!.moment).toBeCloseTo(172.7, 0)
    expect(gated(leaf)!.hingeForce).toBeCloseTo(191.8, 0)
    expect(gated({ ...leaf, hingeSpacing: 0.45 })!.hingeForce).toBeCloseTo(383.7, 0)
  })
  it('has no hinge force where nobody measured the hinges, and is none where none hangs', () => {
    expect(gated({ leafWidth: 1.1, leafMass: 32 })).not.toHaveProperty('hingeForce')
    expect(planOf(inJob({}), 'A3')).not.toHaveProperty('gate')
  })
})

describe('both thresholds', () => {
  const link = (name: string, over: number, more: Partial<Link> = {}): Link => ({
    link: name,
    name,
    over,
    returnYears: 1,
    ...more,
  })
  it('never lean later than they go over, whatever leans late', () => {
    expect(onBothThresholds([link('post', 30), link('ground', 50, { lean: 40 })], 38).leanGust).toBe(30)
    expect(onBothThresholds([link('post', 60), link('ground', 50, { lean: 40 })], 38).leanGust).toBe(40)
    expect(onBothThresholds([link('post', 60)], 38).leanGust).toBeUndefined()
    expect(onBothThresholds([], 38)).toEqual({})
  })
  it('are the least of each, the bare formulas too', () => {
    const links = [
      link('ground', 50, { lean: 33, bare: 28 }),
      link('stub', 55, { lean: 31, code: 20 }),
      link('post', 45, { bare: 44 }),
    ]
    expect(onBothThresholds(links, 38)).toMatchObject({ holdingGust: 45, leanGust: 31, bareGust: 20 })
  })
})

describe('what a repair is told beside its figures', () => {
  const sand: Partial<Post> = { ...rotted, soil: 'medium-sand' }
  const detail = (post: Partial<Post>, method = 'new-post-concrete') =>
    methodDetail(inJob({ A3: post }), tables, 'A3', method)!
  it('is what it comes down to on soaked sand, where that is under the target', () => {
    const { soaked } = detail(sand)
    const { holdingGust, holdsTarget } = planOf(inJob({ A3: sand }), 'A3').methods.find(
      ({ method }) => method === 'new-post-concrete',
    )!
    expect(holdsTarget).toBe(true)
    expect(soaked!.gust).toBeLessThan(holdingGust!)
    expect(soaked!.gust).toBeLessThan(planOf(inJob({ A3: sand }), 'A3').target.gust)
  })
  it('is nothing of water where it stands in the ground already, and where the repair does not hold as it is', () => {
    expect(detail({ ...sand, saturated: true }).soaked).toBeUndefined()
    expect(
      detail({ ...sand, repair: { holes: { 'new-post-concrete': { depth: 0.4, diameter: 0.2 } } } }).soaked,
    ).toBeUndefined()
  })
  it('is what a stouter post buys, and what then gives way first', () => {
    const thin: Partial<Post> = {
      ...rotted,
      soil: 'stiff-clay',
      section: { shape: 'rectangle', along: 0.075, across: 0.075 },
    }
    const { stouter } = detail(thin)
    const method = planOf(inJob({ A3: thin }), 'A3').methods.find((each) => each.method === 'new-post-concrete')!
    expect(method.links.find(({ link }) => link === method.weakest)!.name).toBe('the new post at the ground line')
    expect(stouter).toMatchObject({ name: '100 × 100 post', before: method.holdingGust, first: 'the new footing' })
    expect(stouter!.holdingGust).toBeGreaterThan(stouter!.before)
    expect(detail({}, 'make-safe').stouter).toBeUndefined()
  })
  it('is nothing of water where clay holds the target soaked too', () => {
    expect(detail({ ...rotted, soil: 'stiff-clay' }).soaked).toBeUndefined()
  })
})

describe('a plan of several lines', () => {
  // Wood that fails alike in two lines: the same dig would tell of either.
  const alike: Partial<Post> = {
    material: 'treated-softwood',
    ageYears: 14,
    soil: 'firm-clay',
    observations: { pushPivot: 'in-the-soil', comesUpright: 'with-force' },
  }
  const lineOf = (id: string, length: number) => ({
    ...runOfPosts(length, 2.4, (i) => (i > 0 ? alike : {})),
    id,
    posts: runOfPosts(length, 2.4, (i) => (i > 0 ? alike : {})).posts.map((post) => ({
      ...post,
      id: `${id}${post.id}`,
    })),
  })
  const two: Job = { ...jobOf(runOfPosts(2)), lines: [lineOf('E', 5), lineOf('W', 5)] }

  it('looks for a dig on each of its lines, by the posts of that line', () => {
    const { digs } = plan(two, tables)
    expect(digs.map(({ line }) => line)).toEqual(['E', 'W'])
    for (const { line, post, speaksFor } of digs)
      expect([post, ...speaksFor].every((id) => id.startsWith(line))).toBe(true)
    expect(plan({ ...two, lines: [two.lines[0]!] }, tables).digs).toEqual([digs[0]])
  })
})

describe('a planner that remembers', () => {
  const sound: Partial<Post> = {
    observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
    footing: { kind: 'concrete', diameter: 0.3, bottom: 0.6 },
  }
  const corner: Partial<Post> = { ...rotted, duty: 'corner' }
  const tieOf = (of: PostPlan) => of.methods.find(({ method }) => method === 'tie-in')!
  // It is tied to the one before; to the next where that one has gone.
  it.each([
    ['the one before', 'A2', inJob({ A2: sound, A3: corner, A4: sound })],
    ['the next', 'A4', inJob({ A2: rotted, A3: corner, A4: sound })],
  ])('plans a post anew when %s holds less', (_which, neighbour, job) => {
    const remembering = planner(tables)
    const before = remembering(job).posts[2]!
    const weaker = applyCommands(job, [
      {
        name: 'setPost',
        line: 'A',
        post: neighbour,
        key: 'footing',
        value: { kind: 'concrete', diameter: 0.15, bottom: 0.3 },
      },
    ])
    const after = remembering(weaker).posts[2]!
    expect(tieOf(after)).not.toEqual(tieOf(before))
    expect(after).toEqual(plan(weaker, tables).posts[2])
    expect(remembering(job).posts[2]).toEqual(before)
  })
})

describe('what is asked of a site', () => {
  it('has one gust for going over and another for leaning, each by its own return period', () => {
    const { target } = plan(inJob({}), tables)
    expect(target.gust).toBeCloseTo(gustOfReturnPeriod(target.returnYears, target.gust50), 9)
    expect(target.leanGust).toBeCloseTo(gustOfReturnPeriod(target.leanReturnYears, target.gust50), 9)
    expect(target.leanReturnYears).not.toBe(target.returnYears)
    expect(target.leanGust).toBeLessThan(target.gust)
  })
})
