import { drawsFrom, type Draws } from '../numeric/draws'
import { remembered } from '../numeric/remember'
import { readingFor } from '../cause/readings'
import type { Observations } from '../cause/observations'
import type { Cause, PostFacts } from '../cause/tables'
import type { Job, Line, Post, Site } from '../document/job'
import { dutiesOf } from '../document/postState'
import { plan } from '../plan/plan'
import type { PostPlan } from '../plan/types'
import type { Tables } from '../tables/tables'
import { leastWay, waysOf } from './cost'
import { modelOf, posterior, type Model, type Seen } from './model'
import { tellingChecks, type Position } from './search'

/* A case to practise on: a fence, a post that somebody complains of, and what every check would show. */

export const LEVELS = ['easy', 'ordinary', 'misleading'] as const
export type Level = (typeof LEVELS)[number]

export interface PracticeCase {
  seed: number
  level: Level
  job: Job
  /** The post that is complained of. */
  post: string
  facts: PostFacts
  /** What is true of it; `nothing-wrong` where nothing has failed. */
  truth: Cause | 'nothing-wrong'
  /** What every check would show. */
  all: Observations
  /** The same by the places of checks and showings. */
  shows: readonly number[]
  position: Position
  planned: PostPlan
}

/** Invented places that posts of these kinds stand in. */
interface Place {
  name: string
  site: Site
  line: Pick<Line, 'kind' | 'height' | 'gap'>
  post: Partial<Post>
  bay: number
}
const softwood: Partial<Post> = {
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
}
const PLACES: readonly Place[] = [
  {
    name: 'Garden behind the terrace',
    site: { exposure: 'sheltered', shelter: 0.7, gust50: 38 },
    line: { kind: 'close-boarded', height: 1.8, gap: 0.05 },
    post: { ...softwood, soil: 'firm-clay' },
    bay: 2.4,
  },
  {
    name: 'Plot on the flood bank',
    site: { exposure: 'waterside', shelter: 1, gust50: 38 },
    line: { kind: 'hit-and-miss', height: 1.5, gap: 0.05 },
    post: { ...softwood, soil: 'stiff-clay' },
    bay: 1.8,
  },
  {
    name: 'Orchard rails',
    site: { exposure: 'open', shelter: 1, gust50: 36 },
    line: { kind: 'post-and-rail', height: 1.2, gap: 0.1 },
    post: { ...softwood, material: 'oak', soil: 'firm-clay' },
    bay: 2.7,
  },
  {
    name: 'Mesh round the store',
    site: { exposure: 'open', shelter: 0.7, gust50: 38 },
    line: { kind: 'mesh', height: 1.5, gap: 0 },
    post: { material: 'steel', section: { shape: 'tube', diameter: 0.06, wall: 0.0029 }, soil: 'gravel' },
    bay: 2.5,
  },
  {
    name: 'Front garden, panels',
    site: { exposure: 'sheltered', shelter: 1, gust50: 40 },
    line: { kind: 'panel', height: 1.5, gap: 0.05 },
    post: { ...softwood, soil: 'medium-sand' },
    bay: 1.83,
  },
]
const POST = 'P3'
const POSTS = 5
/** Of the post that is complained of, and of the others of its line. */
const AGES = [2, 4, 7, 10, 14, 18, 24]
const DUTIES = ['line', 'line', 'line', 'line', 'gate-hinge', 'plate-mounted'] as const
/** So often a case is drawn anew until it is of the level that was asked for, and can be solved. */
const TRIES = 400

/**
 * A case of a level. The same seed is the same case.
 *
 * @param leaning causes that somebody missed: half of the cases are of them
 * @throws Error where no such case came in hundreds of tries: levels are checked by their tests
 */
export function drawCase(seed: number, level: Level, tables: Tables, leaning: readonly string[] = []): PracticeCase {
  const draws = drawsFrom(seed)
  const wants = leaning.length > 0 && draws.share() < 0.5 ? draws.one(leaning) : undefined
  let other: PracticeCase | undefined
  for (let i = 0; i < TRIES; i++) {
    const drawn = caseFrom(seed, level, draws, tables)
    if (!drawn) continue
    if (wants === undefined || drawn.truth === wants) return drawn
    other ??= drawn
  }
  if (other) return other
  throw new Error(`no ${level} case from seed ${seed}`)
}

function caseFrom(seed: number, level: Level, draws: Draws, tables: Tables): PracticeCase | undefined {
  const fence = fenceOf(draws.one(PLACES), draws.one(AGES), draws.one(DUTIES), tables)
  const { job, facts, planned, position } = fence
  const { model, ways } = position
  const truth = drawIndex(posterior(model, []), draws)
  const shows = model.checks.map(({ row, showings, isComplaint }) => {
    const isSound = truth === model.causes.length
    const weights = showings.map(({ shares, value }) =>
      isSound && isComplaint ? (row.usual[value] ?? 0) : shares[truth]!,
    )
    return drawIndex(weights, draws)
  })
  if (levelOf(model, truth, shows) !== level) return undefined
  // Whoever has looked at everything must know what to do, and be able to.
  const seen: Seen = shows.map((showing, check) => [check, showing])
  if (leastWay(ways, posterior(model, seen)).way.wasted[truth]! > 0) return undefined
  return {
    seed,
    level,
    job,
    post: POST,
    facts,
    truth: model.causes[truth] ?? 'nothing-wrong',
    all: Object.fromEntries(
      model.checks.map(({ row, showings }, i) => [row.observation, readingFor(row, showings[shows[i]!]!.value)]),
    ),
    shows,
    position,
    planned,
  }
}

type Fence = Pick<PracticeCase, 'job' | 'facts' | 'position' | 'planned'>

/** All that is known of a fence before anybody looks: the same for every case that stands on it. */
function fenceOf(place: Place, ageYears: number, duty: (typeof DUTIES)[number], tables: Tables): Fence {
  const ofTables = remembered(fences, tables, () => new Map<string, Fence>())
  return remembered(ofTables, `${place.name} ${ageYears} ${duty}`, () => {
    const job = jobOf(place, ageYears, duty)
    const post = job.lines[0]!.posts.find(({ id }) => id === POST)!
    const facts: PostFacts = { material: post.material!, duty: dutiesOf(post, duty), ageYears, pointedAt: true }
    const model = modelOf(facts, tables.causes)
    const planned = plan(job, tables).posts.find((each) => each.post === POST)!
    const ways = waysOf(planned.methods, tables.causes)
    return { job, facts, planned, position: { model, ways, tried: tellingChecks(model, ways) } }
  })
}
const fences = new WeakMap<Tables, Map<string, Fence>>()

function jobOf({ name, site, line, post, bay }: Place, ageYears: number, duty: (typeof DUTIES)[number]): Job {
  const posts = Array.from(
    { length: POSTS },
    (_, i): Post => ({ id: `P${i + 1}`, station: i * bay, ...post, ageYears }),
  )
  return {
    format: 'vindex-job',
    version: 1,
    name,
    site: { frostDepth: 0.45, minimumDepth: 0.5, season: 'wet', ...site },
    lines: [
      {
        id: 'P',
        name,
        ...line,
        posts: posts.map((each) =>
          each.id === POST
            ? {
                ...each,
                ...(duty === 'line' ? {} : { duty }),
                ...(duty === 'plate-mounted' ? { footing: { kind: 'plate' as const } } : {}),
              }
            : each,
        ),
      },
    ],
  }
}

function drawIndex(weights: readonly number[], { share }: Draws): number {
  let left = share() * weights.reduce((sum, weight) => sum + weight, 0)
  const found = weights.findIndex((weight) => (left -= weight) < 0)
  return found < 0 ? weights.length - 1 : found
}

/** Nearly sure when all was looked at; a reading that speaks so much against the truth misleads. */
const CLEAR = 0.9
const SOLVED = 0.5
const SPEAKS_AGAINST = Math.log(4)

/** How hard a case is; none where even all checks together do not tell what is true. */
export function levelOf(model: Model, truth: number, shows: readonly number[]): Level | undefined {
  const seen: Seen = shows.map((showing, check) => [check, showing])
  const after = posterior(model, seen)
  if (after[truth]! < SOLVED) return undefined
  const before = posterior(model, [])
  const against = shows.filter((showing, check) => {
    const { logs } = model.checks[check]!.showings[showing]!
    // Against what is likely of it otherwise.
    let others = 0
    let weight = 0
    logs.forEach((log, i) => {
      if (i === truth || before[i]! === 0) return
      others += before[i]! * Math.exp(log)
      weight += before[i]!
    })
    return Math.log(others / weight) - logs[truth]! > SPEAKS_AGAINST
  }).length
  if (against > 0) return 'misleading'
  return after[truth]! > CLEAR ? 'easy' : 'ordinary'
}
