import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Line, Post, Site } from '../document/job'
import { plan } from './plan'
import { thresholdWords } from './thresholds'
import type { PostPlan } from './types'

/* What an ordinary garden fence is said to hold, and what is asked of a post at all. */

const site: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38 }
const standard: Partial<Post> = {
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
}
function middle(post: Partial<Post> = {}, line: Partial<Line> = {}, of: Site = {}): PostPlan {
  const job = jobOf({ ...runOfPosts(11, 2.4, () => standard), height: 1.8, gap: 0.05, ...line }, { ...site, ...of })
  job.lines[0]!.posts[5] = { ...job.lines[0]!.posts[5]!, ...post }
  return plan(job, tables).posts[5]!
}
const within = (value: number | undefined, wanted: number) => expect(Math.abs(value! - wanted)).toBeLessThanOrEqual(1)

describe('the standard fence', () => {
  it('goes over at 48 m/s and leans from 36; saturated 41 and 31', () => {
    const { standing } = middle()
    within(standing.holdingGust, 48)
    within(standing.leanGust, 36)
    const footing = standing.links.find(({ link }) => link === 'footing')!
    within(footing.bare, 30.5)
    within(footing.lean! * Math.sqrt(tables.experience.ground), 22.7)
    const wet = middle({ saturated: true }).standing
    within(wet.holdingGust, 41)
    within(wet.leanGust, 31)
  })

  it('is dug 0.55 to 0.75 m deep and 0.25 to 0.30 m wide, with 2 to 5 bags', () => {
    const { hole, concrete } = middle().methods.find(({ method }) => method === 'new-post-concrete')!
    expect(hole!.depth).toBeGreaterThanOrEqual(0.55)
    expect(hole!.depth).toBeLessThanOrEqual(0.75)
    expect([0.25, 0.3]).toContain(hole!.diameter)
    expect([2, 3, 4, 5]).toContain(concrete!.bags.count)
  })

  it('that moves by hand holds less than the push', () => {
    const { standing } = middle({ observations: { pushPivot: 'footing-moves' } })
    expect(standing.state).toBe('moves')
    within(standing.holdingGust, 17.6)
    const open = middle({ observations: { pushPivot: 'footing-moves' } }, {}, { shelter: 1, exposure: 'open' })
    within(open.standing.holdingGust, 12.1)
  })

  it('counts no experience in codes, nor where it carries people', () => {
    const { links } = middle().standing
    const bearing = middle({ duty: 'load-bearing' }).standing.links
    for (const [i, link] of links.entries()) {
      expect(bearing[i]!.over).toBeCloseTo(link.bare!, 9)
      expect(bearing[i]!.code).toBeCloseTo(link.code!, 9)
    }
  })

  it('of an unmeasured footing holds a range, and is not known where the soil is not either', () => {
    const { footing: _footing, ...unmeasured } = standard
    const job = (post: Partial<Post>) =>
      plan(jobOf({ ...runOfPosts(11, 2.4, () => post), height: 1.8 }, site), tables).posts[5]!.standing
    const { state, range } = job(unmeasured)
    expect(state).toBe('range')
    expect(range![0]).toBeLessThan(48)
    expect(range![1]).toBeGreaterThan(48)
    expect(job({}).state).toBe('not-known')
  })

  it('a line that stood sixteen years is counted with less wind', () => {
    const stood = middle({}, { history: { posts: 10, ageYears: 16, gone: 0 } })
    expect(stood.standing.holdingGust).toBeGreaterThan(middle().standing.holdingGust! * 1.15)
  })
})

describe('what is proposed', () => {
  it('nothing for a post in which nothing was found, or at which nobody looked', () => {
    expect(middle().recommended).toBeUndefined()
    const firm = middle({ observations: { pushPivot: 'nothing-moves' } })
    expect(firm.diagnosis.state).toBe('nothing-wrong')
    expect(firm.recommended).toBeUndefined()
  })

  it('a temporary repair may lean sooner', () => {
    const { posts, target } = plan(jobOf(runOfPosts(3), { targetReturnYears: 10 }), tables)
    expect(target.leanReturnYears).toBe(2)
    expect(posts).toHaveLength(3)
    expect(
      plan(jobOf(runOfPosts(3), { targetReturnYears: 5, leanReturnYears: 10 }), tables).target.leanReturnYears,
    ).toBe(5)
  })

  it('each method has its own hole', () => {
    const rotted: Partial<Post> = { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 } }
    const plain = middle(rotted)
    const changed = middle({
      ...rotted,
      repair: { method: 'new-post-concrete', holes: { 'new-post-concrete': { depth: 0.9 } } },
    })
    const hole = (of: PostPlan, key: string) => of.methods.find(({ method }) => method === key)!.hole
    expect(hole(changed, 'new-post-concrete')!.depth).toBe(0.9)
    expect(hole(changed, 'repair-spur')).toEqual(hole(plain, 'repair-spur'))
  })

  it('a spur at an old footing takes a bag and a half', () => {
    const { methods } = middle({
      footing: { kind: 'concrete', diameter: 0.3, top: 0, bottom: 0.6 },
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
      repair: { parts: { spur: 'spur-75' } },
    })
    const { concrete } = methods.find(({ method }) => method === 'repair-spur')!
    expect(concrete!.concrete * 1e3).toBeCloseTo(15.3, 1)
    expect(concrete!.bags.exactCount).toBeCloseTo(1.5, 1)
    // Its own default hole is none that is warned of.
    expect(concrete!.cover).toBeGreaterThanOrEqual(0.05)
    expect(concrete!.warnings.join()).not.toContain('at the corners')
  })
})

describe('both thresholds in words', () => {
  const show = (gust: number) => `${gust.toFixed(0)} m/s`
  it.each([
    [
      { leanGust: 34, leanReturnYears: 9.2, holdingGust: 45, returnYears: 900 },
      'leans from 34 m/s, once in 9 years; goes over at 45 m/s, less than once in 500 years',
    ],
    [
      { leanGust: 47, leanReturnYears: 2_000, holdingGust: 63, returnYears: 9e5 },
      'leans from 47 m/s and goes over at 63 m/s, each less than once in 500 years',
    ],
    // No gust over 113 m/s was ever measured near the ground.
    [
      { leanGust: 90, leanReturnYears: 9e9, holdingGust: 114, returnYears: 9e9 },
      'leans from 90 m/s, less than once in 500 years; going over takes more than any gust ever measured',
    ],
    [
      { leanGust: 185, leanReturnYears: 9e9, holdingGust: 208, returnYears: 9e9 },
      'holds more than any gust ever measured',
    ],
    [{ holdingGust: 114, returnYears: 9e9 }, 'holds more than any gust ever measured'],
    [{ holdingGust: 45, returnYears: 80 }, 'gives way at 45 m/s, once in 80 years'],
    [
      { leanGust: 20, leanReturnYears: 1, holdingGust: 20.2, returnYears: 1 },
      'leans and goes over at 20 m/s, several times a year',
    ],
    [{ holdingGust: Infinity, returnYears: Infinity }, 'the wind does not reach it'],
    [{}, ''],
  ])('%j', (thresholds, words) => {
    expect(thresholdWords(thresholds, show)).toBe(words)
  })
})

it('a new post is as long as its hole is deep and the string is high over it', () => {
  const dip = middle({ groundLevel: -0.3 }).methods.find(({ method }) => method === 'new-post-concrete')!
  expect(dip.newPost!.length).toBeCloseTo(dip.hole!.footingBottom + 1.8 + 0.3, 9)
  expect(dip.newPost!.stock).toBe(2.7)
  const tall = middle({ groundLevel: -3 }).methods.find(({ method }) => method === 'new-post-concrete')!
  expect(tall.newPost!.stock).toBeUndefined()
})

it('a square hole is as wide as its faces ask, holds more concrete than a round one of that width, and bears alike', () => {
  const of = (hole: object) =>
    middle({
      repair: { parts: { post: 'as-it-was' }, holes: { 'new-post-concrete': { depth: 0.6, ...hole } } },
    }).methods.find(({ method }) => method === 'new-post-concrete')!
  const square = of({ shape: 'square' })
  expect([square.hole!.shape, square.hole!.diameter]).toEqual(['square', 0.2])
  expect(square.concrete!.cover).toBeCloseTo(0.05, 9)
  const [wide, round] = [of({ shape: 'square', diameter: 0.25 }), of({ diameter: 0.25 })]
  expect(wide.concrete!.hole / round.concrete!.hole).toBeCloseTo(4 / Math.PI, 6)
  expect(wide.holdingGust).toBeCloseTo(round.holdingGust!, 9)
})

it('a fill above the ground and a post that is hardly in it still have a plan', () => {
  const { methods } = middle({
    length: 0.3,
    repair: { method: 'recast-footing', holes: { 'recast-footing': { fillTop: -0.1 } } },
  })
  const recast = methods.find(({ method }) => method === 'recast-footing')!
  expect(recast.allowed).toBe(false)
  expect(recast.hole!.footingBottom).toBeGreaterThan(0.1)
})

it('a new post for rails in mortises is measured off the old one first', () => {
  const said = (kind: Line['kind']) =>
    middle({}, { kind }).methods.find(({ method }) => method === 'new-post-concrete')!.cautions
  expect(said('post-and-rail').join()).toContain('mortises')
  expect(said('close-boarded').join()).not.toContain('mortises')
})
