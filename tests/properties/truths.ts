import type { Job } from '../../core/document/job'
import { checkJob } from '../../core/document/check'
import { isDeepStrictEqual } from 'node:util'
import fc from 'fast-check'
import { holeVolumes, type HoleShape } from '../../core/concrete/volume'
import { InputError } from '../../core/errors'
import { guessHeadings, postsTable, readPosts } from '../../core/exchange/posts'
import { groundCapacity, groundResponse, groundThreshold, type BuriedPost } from '../../core/ground/postInGround'
import type { Segment } from '../../core/ground/profile'
import { plan } from '../../core/plan/plan'
import type { Tables } from '../../core/tables/tables'
import { windLoad } from '../../core/wind/force'
import { returnPeriodOfGust } from '../../core/wind/returnPeriod'
import { anyJob } from './anyJob'
import { between } from './between'
import { inTable } from '../support/postsTable'

/*
 * Truths of the whole core over its whole range of input: a fixed number of cases in the tests, which takes seconds, and
 * 100 000 in `npm run properties`.
 */

/** A case of a formula takes a tenth of a millisecond, the plan of a job up to thirty: both come to a few seconds. */
const FORMULA_CASES = 2_000
const JOB_CASES = 120

export interface Truth {
  name: string
  /** How many are tried in the tests. */
  cases: number
  /** Throws when the truth does not hold. */
  check: (runs: number) => void
}

/** Any profile in range: up to four segments one below the other, with gaps or without. */
const segments: fc.Arbitrary<Segment[]> = fc
  .array(fc.record({ gap: between(0, 0.3), length: between(0.05, 0.8), width: between(0.02, 3) }), {
    minLength: 1,
    maxLength: 4,
  })
  .map((parts) => {
    let depth = 0
    return parts.map(({ gap, length, width }) => {
      const top = depth + gap
      depth = top + length
      return { top, bottom: depth, width }
    })
  })

function posts(tables: Tables): fc.Arbitrary<BuriedPost> {
  const soils = tables.soils.filter((soil) => soil.kind !== 'none')
  return fc.record({
    soil: fc.constantFrom(...soils),
    saturated: fc.boolean(),
    ignoredTop: between(0, 0.4),
    segments,
    height: between(0, 10),
  })
}

const stretches = fc
  .record({
    length: between(1, 300),
    height: between(0.4, 4),
    solidity: between(0.02, 1),
    cornerAtStart: fc.boolean(),
    cornerAtEnd: fc.boolean(),
    from: between(0, 1),
    width: between(0.05, 6),
    exposure: between(0.57, 1.03),
    shelter: between(0.4, 1),
    gap: between(0, 0.9),
  })
  .map((stretch) => {
    const from = stretch.from * stretch.length
    return {
      ...stretch,
      from,
      to: Math.min(stretch.length, from + stretch.width) + 0.01,
      gap: stretch.gap * stretch.height * 0.9,
    }
  })

const holes: fc.Arbitrary<HoleShape> = fc
  .record({
    shape: fc.constantFrom('round', 'square', 'tapered', 'belled'),
    a: between(0.05, 3),
    b: between(0.05, 3),
    depth: between(0.1, 5),
    stone: between(0, 0.4),
    top: between(0, 0.4),
    bell: between(0, 1),
  })
  .map(({ shape, a, b, depth, stone, top, bell }): HoleShape => {
    const zones = { depth, stoneBed: stone * depth, fillTop: top * depth }
    switch (shape) {
      case 'square':
        return { shape, side: a, ...zones }
      case 'tapered':
        return { shape, topDiameter: a, bottomDiameter: b, ...zones }
      case 'belled':
        return { shape, diameter: a, bellDiameter: b, bellHeight: bell * depth, ...zones }
      default:
        return { shape: 'round', diameter: a, ...zones }
    }
  })

/** Slack for comparisons of two results that were each found by a search. */
const SLACK = 1e-5

/** As a file holds it: without keys that say nothing, and nought without a sign. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value))

function demand(truth: boolean, words: () => string): void {
  if (!truth) throw new Error(words())
}

export function truths(tables: Tables): Truth[] {
  const over = (post: BuriedPost) => groundThreshold(post, 'over')!
  const lean = (post: BuriedPost) => groundThreshold(post, 'lean')!
  const noLess = (larger: number, smaller: number, what: string) =>
    demand(larger >= smaller * (1 - SLACK) - 1e-6, () => `${what}: ${larger} < ${smaller}`)
  const of = <T>(name: string, cases: fc.Arbitrary<T>, check: (value: T) => void): Truth => ({
    name,
    cases: FORMULA_CASES,
    check: (runs) => fc.assert(fc.property(cases, check), { numRuns: runs }),
  })

  const ofJobs = (name: string, check: (job: Job) => void): Truth => ({
    ...of(name, anyJob(tables), (job) => {
      if (checkJob(job, tables).length === 0) check(job)
    }),
    cases: JOB_CASES,
  })

  return [
    of('every figure of the ground is finite, and lean comes before over', posts(tables), (post) => {
      const { over: goes, lean: leans, pivot, code } = groundCapacity(post)
      for (const figure of [goes, leans, pivot, code ?? 0])
        demand(Number.isFinite(figure) && figure >= 0, () => `figure ${figure}`)
      demand(leans <= goes, () => `${leans} > ${goes}`)
    }),
    of(
      'a load below over finds its equilibrium, a load at over is told that there is none',
      fc.tuple(posts(tables), between(0.01, 0.97)),
      ([post, share]) => {
        const limit = over(post)
        if (limit < 1e-3) return
        const response = groundResponse(post, share * limit)
        demand(
          response !== null && Object.values(response).every(Number.isFinite),
          () => `no equilibrium at ${share} of ${limit}`,
        )
        demand(groundResponse(post, limit) === null, () => 'equilibrium at the limit')
      },
    ),
    of('deeper never goes over sooner', fc.tuple(posts(tables), between(0.01, 0.5)), ([post, more]) => {
      const last = post.segments[post.segments.length - 1]!
      const deeper = { ...post, segments: [...post.segments.slice(0, -1), { ...last, bottom: last.bottom + more }] }
      noLess(over(deeper), over(post), 'over')
    }),
    of(
      'an added segment never goes over sooner',
      fc.tuple(posts(tables), between(0.05, 0.5), between(0.02, 3)),
      ([post, length, width]) => {
        const { bottom } = post.segments[post.segments.length - 1]!
        const longer = { ...post, segments: [...post.segments, { top: bottom, bottom: bottom + length, width }] }
        noLess(over(longer), over(post), 'over')
      },
    ),
    // A thin toe under a wide footing stiffens the ground without strengthening it: the first
    // stiffness does not depend on width. Leaning is therefore compared for one width.
    of(
      'a footing of one width leans no sooner when it is deeper or wider',
      fc.tuple(posts(tables), between(0.01, 0.5)),
      ([post, more]) => {
        const [first] = post.segments
        const one = (segment: Segment) => lean({ ...post, segments: [segment] })
        noLess(one({ ...first!, bottom: first!.bottom + more }), one(first!), 'deeper')
        noLess(one({ ...first!, width: Math.min(3, first!.width + more) }), one(first!), 'wider')
      },
    ),
    of('a wetter ground or a deeper ignored top never holds more', posts(tables), (post) => {
      noLess(over({ ...post, saturated: false }), over({ ...post, saturated: true }), 'saturated')
      noLess(over(post), over({ ...post, ignoredTop: post.ignoredTop + 0.15 }), 'ignored top')
    }),
    of(
      'more wind never holds longer',
      fc.tuple(between(0, 90), between(0, 30), between(15, 70)),
      ([gust, more, gust50]) => {
        noLess(returnPeriodOfGust(gust + more, gust50), returnPeriodOfGust(gust, gust50), 'return period')
      },
    ),
    of(
      'wind on any stretch is finite, positive and grows with the gust',
      fc.tuple(stretches, between(1, 80)),
      ([stretch, gust]) => {
        const { force, height } = windLoad(stretch, gust)
        demand(
          Number.isFinite(force) && force > 0 && height > 0 && height < stretch.height,
          () => `force ${force} at ${height}`,
        )
        noLess(windLoad(stretch, gust * 1.1).force, force, 'force')
      },
    ),
    ofJobs('every valid job has a plan, without a figure that is no number', (job) => {
      const made = JSON.stringify(plan(job, tables), (_key, value: unknown) =>
        Number.isNaN(value) ? 'no number' : value,
      )
      demand(!made.includes('no number'), () => made)
    }),
    ofJobs('posts go out as a table and come back as they were', (job) => {
      const [headings, ...rows] = postsTable(job)
      const { lines, problems } = readPosts(rows, guessHeadings(headings!), 1, 'A')
      demand(problems.length === 0, () => problems.join('; '))
      const bare = job.lines.map(({ id, posts }) => ({ id, posts: posts.map(inTable) }))
      demand(isDeepStrictEqual(plain(lines), plain(bare)), () => JSON.stringify([lines, bare]))
    }),
    ofJobs('the reasons for every cause add up, and every probability is one', (job) => {
      for (const { diagnosis } of plan(job, tables).posts) {
        const whole = diagnosis.causes.reduce((sum, { probability }) => sum + probability, 0)
        demand(Math.abs(whole - 1) < 1e-9, () => `probabilities add up to ${whole}`)
        for (const { cause, decibans, start, evidence, impossible } of diagnosis.causes) {
          const added = evidence.reduce((sum, reason) => sum + reason.decibans, start)
          demand(
            impossible !== undefined || Math.abs(added - decibans) < 1e-9,
            () => `${cause}: ${added} for ${decibans}`,
          )
        }
      }
    }),
    of('the parts of a hole add up to it', holes, (hole) => {
      let volumes
      try {
        volumes = holeVolumes({ hole })
      } catch (error) {
        demand(error instanceof InputError, () => String(error))
        return
      }
      const { stoneBed = 0, fillTop = 0, depth } = hole
      const topping =
        holeVolumes({ hole: { ...hole, stoneBed: 0, fillTop: 0 } }).concrete -
        holeVolumes({ hole: { ...hole, stoneBed: 0, fillTop } }).concrete
      demand(
        Math.abs(volumes.stone + volumes.concrete + topping - volumes.hole) < 1e-9,
        () => `${JSON.stringify(hole)} ${depth - stoneBed}`,
      )
    }),
  ]
}
