import { withCounts, type CountedRow } from '../core/cause/counted'
import type { Cause } from '../core/cause/tables'
import type { Observations } from '../core/cause/observations'
import type { DiggingTool } from '../core/concrete/overdig'
import type { AsBuilt, Entry, Job, Post } from '../core/document/job'
import { drawsFrom, normalDraw, type Draws } from '../core/numeric/draws'
import { methodDetail } from '../core/plan/detail'
import { plan } from '../core/plan/plan'
import { learntFigures, rowOfFigure } from '../core/record/learnt'
import { lessonsOf, type RatioLesson } from '../core/record/lessons'
import { countedRows, ENOUGH_CASES, type OpinionCase } from '../core/record/opinion'
import type { LearntRow } from '../core/tables/learnt'
import type { Tables } from '../core/tables/tables'
import { drawPost, type DrawnPost } from './simulate'

/*
 * A simulated year: jobs drawn from the model, planned with what was learnt so far, and built by a crew whose holes,
 * bags and pace are known here and nowhere else.
 */

/** What is true of the crew, in the middle, with the scatter of its logarithm. */
export interface Truth {
  overdig: Readonly<Record<DiggingTool, number>>
  overdigScatter: number
  /** Bags over what the hole takes: spilt, left in the barrow. */
  spilt: number
  spiltScatter: number
  /** Digging over what was planned. */
  pace: number
  paceScatter: number
}

export const CREW: Truth = {
  overdig: { spade: 1.3, 'post-hole-digger': 1.14, auger: 1.06 },
  overdigScatter: 0.06,
  spilt: 1.02,
  spiltScatter: 0.03,
  pace: 1.35,
  paceScatter: 0.2,
}

/** One job as it was planned and as it came. */
export interface BuiltJob {
  number: number
  tool: DiggingTool
  bagsPlanned: number
  bagsNeeded: number
  /** What was learnt of this job's tool when it was planned. */
  learnt?: number
}

export interface SimulatedYear {
  jobs: BuiltJob[]
  /** What of each post was read before it was dug, and what it was. */
  posts: DrawnPost[]
  lessons: RatioLesson[]
  cases: OpinionCase[]
  counted: CountedRow[]
  /** In use at the end. */
  learnt: LearntRow[]
}

const AT = { line: 'A', post: 'A2' }
const SOILS = ['firm-clay', 'medium-sand']
const TOOLS: DiggingTool[] = ['spade', 'post-hole-digger']
const METHOD = 'new-post-concrete'

/** What is read before anybody digs. */
const READ = ['pushPivot', 'comesUpright', 'probeAtGround', 'probeBelow', 'onset'] as const

export function simulateYear(jobs: number, tables: Tables, truth: Truth = CREW, seed = 1): SimulatedYear {
  const draws = drawsFrom(seed)
  const year: SimulatedYear = { jobs: [], posts: [], lessons: [], cases: [], counted: [], learnt: [] }
  for (let number = 1; number <= jobs; number++) {
    const here: Tables = { ...tables, learnt: year.learnt, causes: withCounts(tables.causes, year.counted) }
    const tool = draws.one(TOOLS)
    const { job, cause, post } = drawnJob(number, tool, draws.one(SOILS), tables, draws)
    const planned = plan(job, here).posts[1]!.methods.find(({ method }) => method === METHOD)!
    year.posts.push(post)
    const { built, needed } = buildIt(job, tables, truth, draws)
    const minutes = stepMinutes(job, tables) * truth.pace * Math.exp(truth.paceScatter * normalDraw(draws.share))
    const done = recorded(job, built, minutes, cause, number)
    const learnt = year.learnt.find(({ key }) => key === `over-dig-${tool}`)?.median
    year.jobs.push({
      number,
      tool,
      bagsPlanned: planned.concrete!.bags.count,
      bagsNeeded: needed,
      ...(learnt === undefined ? {} : { learnt }),
    })
    for (const lesson of lessonsOf(done, tables)) {
      if (lesson.kind === 'cause') year.cases.push(lesson)
      else year.lessons.push(lesson)
    }
    // Whoever keeps the records looks at them and takes over what they say.
    year.learnt = learntFigures(year.lessons).map((figure) => rowOfFigure(figure, figure.key))
    if (year.cases.length >= ENOUGH_CASES) year.counted = countedRows(year.cases, (_cause, _key, value) => value)
  }
  return year
}

function drawnJob(number: number, tool: DiggingTool, soil: string, tables: Tables, draws: Draws) {
  const facts = { material: 'treated-softwood', duty: 'line', ageYears: 6 + draws.below(10), pointedAt: true }
  const drawn = drawPost(facts, tables.causes, draws.share)
  const { all, cause } = drawn
  const observations = Object.fromEntries(READ.map((key) => [key, all[key]])) as Observations
  const diameter = 0.25 + 0.05 * draws.below(3)
  const depth = 0.6 + 0.05 * draws.below(5)
  const post: Partial<Post> = {
    soil,
    material: 'treated-softwood',
    section: { shape: 'rectangle', along: 0.1, across: 0.1 },
    ageYears: facts.ageYears,
    pointedAt: true,
    observations,
    repair: {
      method: METHOD,
      tool,
      mix: 'post-mix-20',
      filling: 'wet-barrow',
      holes: { [METHOD]: { diameter, depth } },
    },
  }
  const job: Job = {
    format: 'vindex-job',
    version: 1,
    name: `job ${number}`,
    lines: [
      {
        id: 'A',
        length: 4.8,
        posts: [0, 1, 2].map((i) => ({ id: `A${i + 1}`, station: i * 2.4, ...(i === 1 ? post : {}) })),
      },
    ],
  }
  return { job, cause, post: { ...drawn, all: observations } }
}

/** The hole as it comes out, and the bags that it takes, to the half bag that is counted. */
function buildIt(job: Job, tables: Tables, truth: Truth, draws: Draws): { built: AsBuilt; needed: number } {
  const { tool } = job.lines[0]!.posts[1]!.repair!
  const { hole, concrete } = plan(job, tables).posts[1]!.methods.find(({ method }) => method === METHOD)!
  const over = truth.overdig[tool!] * Math.exp(truth.overdigScatter * normalDraw(draws.share))
  const dug = concrete!.hole / (1 + concrete!.overdig)
  const bare = concrete!.concrete - dug * concrete!.overdig
  const spilt = truth.spilt * Math.exp(truth.spiltScatter * normalDraw(draws.share))
  const needed = ((bare + dug * (over - 1)) * spilt) / 0.01
  // Wider, not deeper; the tape is read to five millimetres.
  const width = hole!.diameter * Math.sqrt(over)
  const read = (metres: number) => Math.round(metres * 200) / 200
  return {
    built: {
      depths: { start: read(hole!.depth), end: read(hole!.depth) },
      width: read(width),
      bags: Math.round(needed * 2) / 2,
      tool: tool!,
    },
    needed,
  }
}

const stepMinutes = (job: Job, tables: Tables): number =>
  methodDetail(job, tables, AT.post, METHOD)!.steps.find(({ key }) => key === 'dig')!.minutes

function recorded(job: Job, built: AsBuilt, minutes: number, cause: Cause, number: number): Job {
  const at = new Date(Date.UTC(2026, 0, 5 + 6 * number)).toISOString()
  const entry = (kind: Entry['kind'], value: unknown): Entry =>
    ({ id: `${kind}-${number}`, at, by: 'Wren', ...AT, kind, value }) as Entry
  return {
    ...job,
    lines: job.lines.map((line) => ({
      ...line,
      posts: line.posts.map((post) => (post.id === AT.post ? { ...post, judgement: { found: { at, cause } } } : post)),
    })),
    entries: [entry('as-built', built), entry('minutes', { step: 'dig', minutes })],
  }
}
