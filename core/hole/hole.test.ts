import { mersenne } from 'pure-rand/generator/mersenne'
import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { LEAST_COVER } from '../concrete/cover'
import { reachOf } from '../concrete/overdig'
import type { Job, Post, Site } from '../document/job'
import { plan } from '../plan/plan'
import { tidy } from '../numeric/rounding'
import { bestUseOfBags, makeDo, shareHeld } from './bagsInHand'
import { holeBench, merged, type HoleBench, type HoleChange } from './bench'
import { costOf, holeCurve } from './curve'
import { priceOfDepth } from './price'
import { waysOut } from './waysOut'
import { cases } from '../../tests/support/cases'

const site: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.5 }
const rotted: Partial<Post> = {
  soil: 'firm-clay',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
}
const METHOD = 'new-post-concrete'
const jobWith = (post: Partial<Post> = {}, of: Site = {}): Job =>
  jobOf(
    { ...runOfPosts(5, 2.4, () => ({ ...rotted, ...post })), kind: 'close-boarded', height: 1.8, gap: 0.05 },
    { ...site, ...of },
  )
const benchOf = (post: Partial<Post> = {}, of: Site = {}): HoleBench =>
  holeBench(jobWith(post, of), tables, 'A3', METHOD)!

/** What `plan()` itself says of the post with a hole set. */
function planned(job: Job, change: HoleChange, method = METHOD) {
  const changed: Job = structuredClone(job)
  const post = changed.lines[0]!.posts[2]!
  post.repair = { ...post.repair, holes: { [method]: merged(post.repair?.holes?.[method] ?? {}, change) } }
  return plan(changed, tables).posts[2]!.methods.find((each) => each.method === method)!
}

/** Places, soils and fences as they come. */
function anyPlaces(count: number) {
  const random = mersenne(20_261_127)
  const uniform = () => (random.next() >>> 0) / 2 ** 32
  const pick = <T>(of: readonly T[]) => of[Math.floor(uniform() * of.length)]!
  return Array.from({ length: count }, () => ({
    post: {
      soil: pick(['soft-clay', 'firm-clay', 'stiff-clay', 'medium-sand', 'dense-sand', 'gravel', 'made-ground']),
      saturated: uniform() < 0.2,
      ...(uniform() < 0.3
        ? {
            layers: [
              { soil: 'made-ground', bottom: tidy(0.2 + 0.3 * uniform()) },
              { soil: 'firm-clay', bottom: 2 },
            ],
          }
        : {}),
    } as Partial<Post>,
    site: { gust50: 30 + 15 * uniform(), shelter: pick([0.5, 0.7, 1]), frostDepth: pick([0, 0.3, 0.45]) },
  }))
}

describe('a hole that is tried in other sizes', () => {
  it('is planned as the plan itself has it, to the last figure', () => {
    const job = jobWith()
    const bench = holeBench(job, tables, 'A3', METHOD)!
    for (const change of [
      {},
      { depth: 0.8 },
      { diameter: 0.4, shape: 'square' as const },
      { shape: 'belled' as const },
    ])
      expect(bench.with(change)).toEqual(planned(job, change))
    expect(bench.now).toEqual(planned(job, {}))
    expect(holeBench(job, tables, 'nobody', METHOD)).toBeUndefined()
  })

  it('says what ten centimetres cost, up and down', () => {
    const bench = benchOf()
    const [less, more] = priceOfDepth(bench, 0.1)
    expect(less!.holdingGust).toBeLessThan(bench.now.holdingGust!)
    expect(more!.holdingGust).toBeGreaterThan(bench.now.holdingGust!)
    expect(less!.bags).toBeLessThan(0)
    expect(more!.minutes).toBeGreaterThan(0)
    // A tenth of a metre of 0.25 m with a tenth of over-dig, less the post: 4.40 L of 10.
    expect(more!.bags).toBeCloseTo((Math.PI * 0.0625 * 0.1 * 1.1) / 4 / 0.01 - 0.1, 6)
    expect(more!.depth - bench.now.hole!.depth).toBeCloseTo(0.1, 9)
  })
})

describe('the curve of depth by width', () => {
  it('holds where it says so when it is planned again, and nothing that can be dug is cheaper', () => {
    const places = cases(60, 300)
    let proposed = 0
    for (const { post, site: of } of anyPlaces(places)) {
      const job = jobWith(post, of)
      const bench = holeBench(job, tables, 'A3', METHOD)!
      const { points, best } = holeCurve(bench)
      if (!best) continue
      proposed += 1
      expect(best.plan.holdsTarget).toBe(true)
      expect(best.plan.concrete!.cover).toBeGreaterThanOrEqual(LEAST_COVER - 1e-9)
      expect(best.plan.hole!.depth).toBeLessThanOrEqual(reachOf() + 1e-9)
      const again = planned(job, { diameter: best.width, depth: best.plan.hole!.depth })
      expect(again.holdsTarget).toBe(true)
      expect(costOf(again)).toBeCloseTo(best.cost, 9)
      // A grid of every hole that the tools dig: none that holds and may be dug costs less. Every tenth place finely.
      const step = proposed % 10 === 0 ? 0.05 : 0.15
      const least = Math.max(0.3, (of.frostDepth ?? 0) + 0.15, site.minimumDepth!)
      for (const { width } of points) {
        for (let depth = Math.ceil(least / 0.05 - 1e-9) * 0.05; depth <= reachOf() + 1e-9; depth += step) {
          const tried = bench.with({ diameter: width, depth: tidy(depth) })
          if (!tried.holdsTarget || tried.concrete!.cover < LEAST_COVER - 1e-9) continue
          expect(costOf(tried)).toBeGreaterThanOrEqual(best.cost - 1e-9)
        }
      }
    }
    expect(proposed).toBeGreaterThan(places / 2)
  })
})

describe('stopped short', () => {
  it('every way out holds what it says when it is taken', () => {
    let ways = 0
    for (const { post, site: of } of anyPlaces(60)) {
      const job = jobWith(post, of)
      const bench = holeBench(job, tables, 'A3', METHOD)!
      const meant = bench.now.hole?.depth
      if (meant === undefined) continue
      for (const way of waysOut(bench, { reached: tidy(meant * 0.65), by: 'root', bags: 4 })) {
        if (!way.plan) continue
        ways += 1
        if (way.station !== undefined) {
          const there = structuredClone(job)
          there.lines[0]!.posts[2]!.station = way.station
          expect(plan(there, tables).posts[2]!.methods.find(({ method }) => method === METHOD)).toEqual(way.plan)
          continue
        }
        const taken = planned(job, way.change!, way.plan.method)
        expect(taken.holdingGust).toBe(way.plan.holdingGust)
        expect(taken.holdsTarget && way.against === undefined).toBe(way.holds)
        expect(way.bagsDo).toBe((taken.concrete?.bags.count ?? 0) <= 4)
        if (way.against !== undefined)
          expect(taken.hole!.footingBottom).toBeLessThan(Math.max((of.frostDepth ?? 0) + 0.15, site.minimumDepth!))
        if (way.decision === 'wider' || way.decision === 'bell') {
          expect(taken.holdsTarget).toBe(true)
          expect(taken.hole!.depth).toBeCloseTo(meant * 0.65, 5)
        }
      }
    }
    expect(ways).toBeGreaterThan(150)
  })

  it('stands in the order of what holds, then of what it costs', () => {
    const ways = waysOut(benchOf(), { reached: 0.6, by: 'boulder' })
    const firm = ways.map(({ holds }) => holds)
    expect(firm.indexOf(false)).toBe(firm.filter(Boolean).length)
    expect(ways.map(({ decision }) => decision)).toEqual(
      expect.arrayContaining(['wider', 'bell', 'key', 'moved', 'through']),
    )
    expect(ways[0]!.more).toBeDefined()
    // Above the frost no width mends it.
    const high = waysOut(benchOf(), { reached: 0.4, by: 'boulder' }).filter(({ change }) => change?.depth === 0.4)
    for (const { holds, against } of high) {
      expect(holds).toBe(false)
      expect(against).toContain('frost')
    }
  })

  it('at a pipe says to stop before anything else, and digs nothing wider', () => {
    const ways = waysOut(benchOf(), { reached: 0.4, by: 'service' })
    expect(ways[0]!.decision).toBe('stopped')
    expect(ways.map(({ decision }) => decision)).not.toContain('wider')
    expect(ways.map(({ decision }) => decision)).not.toContain('bell')
  })

  it('cuts no bell in ground that runs, nor a key in loose ground', () => {
    const loose = waysOut(benchOf({ soil: 'loose-sand' }), { reached: 0.5, by: 'root' }).map(({ decision }) => decision)
    expect(loose).not.toContain('bell')
    expect(loose).not.toContain('key')
  })
})

describe('bags in hand', () => {
  const posts = ['A2', 'A3', 'A4'].map((post) => ({ post, method: METHOD }))
  it('makes the weakest as strong as it can be: no other use of them does better', () => {
    const job = jobWith({}, { minimumDepth: 0.4, frostDepth: 0 })
    const all = posts.map(({ post }) => {
      const bench = holeBench(job, tables, post, METHOD)!
      const { depth: meant } = bench.now.hole!
      const depths = Array.from({ length: 9 }, (_, i) => tidy(meant - i * 0.05)).filter((depth) => depth >= 0.4)
      return depths.map((depth) => {
        const tried = bench.with({ depth })
        return { bags: tried.concrete!.bags.exactCount, share: Math.min(1, shareHeld(bench, tried)) }
      })
    })
    for (const bags of [6, 7, 8, 9, 10, 12]) {
      const { weakest, used, missing } = bestUseOfBags(job, tables, posts, bags)
      if (missing !== undefined) continue
      expect(used).toBeLessThanOrEqual(bags)
      // By brute force over the depths of all three.
      const [first, second, third] = all
      const best = first!
        .flatMap((a) => second!.flatMap((b) => third!.map((c) => [a, b, c])))
        .filter((three) => three.reduce((sum, each) => sum + each.bags, 0) <= bags + 1e-9)
        .reduce((most, three) => Math.max(most, Math.min(...three.map(({ share }) => share))), 0)
      expect(Math.min(1, weakest!.share)).toBeCloseTo(best, 9)
    }
  })
  it('says how many are missing for the least that each of them needs', () => {
    const { missing } = bestUseOfBags(jobWith(), tables, posts, 2)
    expect(missing).toBeGreaterThan(0)
  })
  it('makes do in one hole that came out larger: four ways, each with what it then holds', () => {
    const bench = benchOf({ repair: { holes: { [METHOD]: { diameter: 0.35, depth: 0.8 } } } })
    const { count } = bench.now.concrete!.bags
    const ways = makeDo(bench, count - 1)
    expect(ways.map(({ key }) => key)).toEqual(['stones', 'stone-bed', 'lower', 'narrower'])
    for (const { plan: made } of ways) expect(made.concrete!.bags.count).toBeLessThanOrEqual(count - 1)
    // Stones take the place of mix and change nothing of what it holds.
    expect(ways[0]!.plan.holdingGust).toBe(bench.now.holdingGust)
    expect(ways[1]!.plan.holdingGust).toBeLessThan(bench.now.holdingGust!)
    expect(makeDo(bench, count)).toEqual([])
  })
})
