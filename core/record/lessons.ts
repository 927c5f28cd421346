import { USUAL_TOOL } from '../concrete/overdig'
import type { Job } from '../document/job'
import { SERVICES } from '../cost/catalogue'
import { jobBills } from '../cost/jobBills'
import { methodDetail } from '../plan/detail'
import { plan as planJob } from '../plan/plan'
import type { MethodPlan, Plan } from '../plan/types'
import { resolveJob, type ResolvedJob, type ResolvedPost } from '../resolve/resolve'
import type { LearntKind } from '../tables/learnt'
import type { Tables } from '../tables/tables'
import { asBuiltAt, meanDepth } from './asBuilt'
import { entriesAt } from './entries'
import { openedPosts, type OpinionCase } from './opinion'

/** One record of actual over planned. */
export interface RatioLesson {
  kind: LearntKind
  post: string
  at: string
  tool?: string
  soil?: string
  task?: string
  /** Whose pace it was. */
  person?: string
  ratio: number
}
export type CauseLesson = { kind: 'cause' } & OpinionCase
export type Lesson = RatioLesson | CauseLesson

/** Nothing that was planned as next to nothing teaches anything. */
const LEAST = 1e-9
/** Further off than this something else was written down than what was meant. */
const BELIEVED: readonly [number, number] = [0.2, 5]

/** A job without anything of this kind has nothing to teach. */
export const teaches = ({ lines, entries = [], pours = [], load }: Job): boolean =>
  load?.settled !== undefined ||
  pours.some(({ lifts }) => (lifts ?? []).length > 0) ||
  entries.some(({ kind }) => kind === 'as-built' || kind === 'minutes') ||
  lines.some(({ posts }) => posts.some(({ judgement }) => judgement?.found !== undefined))

/**
 * What a job teaches: how much more was dug, filled and worked than was planned, and what was found where something
 * else was thought.
 *
 * @param tables without what was learnt: it would unlearn itself otherwise; causes as they are shipped
 */
export function lessonsOf(job: Job, tables: Tables): Lesson[] {
  if (!teaches(job)) return []
  // Planned is planned with over-dig 0 and shipped rates.
  const shipped: Tables = { ...tables, learnt: [] }
  const resolved = resolveJob(job, shipped)
  const plan = planJob(job, shipped)
  const ratios = resolved.lines.flatMap((line) =>
    line.posts.flatMap((post) => ratiosOf({ job, resolved, plan, tables: shipped }, line.id, post)),
  )
  return [
    ...spareLessons({ job, resolved, plan, tables: shipped }),
    ...ratios.filter(({ ratio }) => ratio >= BELIEVED[0] && ratio <= BELIEVED[1]),
    ...openedPosts(job, shipped, resolved).map((each): CauseLesson => ({ kind: 'cause', ...each })),
  ]
}

/** What was used of a thing over all posts against what they were planned to take; services are no things. */
function spareLessons({ job, resolved, plan, tables }: Planned): RatioLesson[] {
  const settled = job.load?.settled
  if (settled === undefined) return []
  const planned = new Map<string, number>()
  for (const { key, quantity, piece } of jobBills({ job, resolved, plan }, tables).flatMap(({ lines }) => lines))
    if (!piece) planned.set(key, (planned.get(key) ?? 0) + quantity.valueOf())
  return (job.load?.used ?? []).flatMap(({ key, used }): RatioLesson[] => {
    const wanted = planned.get(key)
    const isThing = !key.startsWith('mix/') && !SERVICES.some((group) => key.startsWith(`${group}/`))
    return used === undefined || !wanted || !isThing
      ? []
      : [{ kind: 'spares', post: '', at: settled, task: key, ratio: used / wanted }]
  })
}

interface Planned {
  job: Job
  resolved: ResolvedJob
  plan: Plan
  tables: Tables
}

function ratiosOf({ job, resolved, plan, tables }: Planned, line: string, post: ResolvedPost): RatioLesson[] {
  const at = { line, post: post.id }
  const chosen = post.repair?.method
  const method = plan.posts
    .find((each) => each.line === line && each.post === post.id)
    ?.methods.find((each) => each.method === chosen)
  if (!method || chosen === undefined) return []
  return [...dugLessons(job, method, at, post, tables), ...paceLessons({ job, resolved, plan, tables }, at, chosen)]
}

function dugLessons(
  job: Job,
  { hole, concrete }: MethodPlan,
  at: { line: string; post: string },
  post: ResolvedPost,
  tables: Tables,
): RatioLesson[] {
  const built = asBuiltAt(job, at)
  if (!built || !hole || !concrete || (concrete.holes ?? 1) > 1 || isBent(job, at, post)) return []
  const last = entriesAt(job, at, 'as-built').at(-1)?.at ?? job.pours?.find((each) => each.post === at.post)?.startedAt
  const { tool = post.repair?.tool ?? USUAL_TOOL } = built
  const { soil } = post
  const common = { post: at.post, at: last!, tool, ...(soil === undefined ? {} : { soil }) }
  // Dug as planned, without what the tool digs over.
  const dug = concrete.hole / (1 + concrete.overdig)
  const extra = dug * concrete.overdig
  const bare = concrete.concrete - extra
  const mix = tables.mixes.find(({ key }) => key === concrete.mix)
  const filled = mix?.supply === 'bag' && built.bags !== undefined ? built.bags * mix.yields : undefined
  const depth = meanDepth(built)
  // By the tape where both were measured, else by what went in.
  const dugThen =
    depth !== undefined && built.width !== undefined
      ? (dug * depth * built.width ** 2) / (hole.depth * hole.diameter ** 2)
      : filled === undefined
        ? undefined
        : dug + filled - bare
  return [
    ...(dugThen === undefined || dug < LEAST ? [] : [{ kind: 'over-dig' as const, ...common, ratio: dugThen / dug }]),
    ...(filled === undefined || bare < LEAST ? [] : [{ kind: 'bags' as const, ...common, ratio: filled / bare }]),
  ]
}

/** What was met made it another hole than the one that was planned: nothing of the tool shows in it. */
function isBent(job: Job, at: { line: string; post: string }, post: ResolvedPost): boolean {
  const entered = entriesAt(job, at, 'met').map(({ value }) => value)
  return [...entered, ...(post.met ?? [])].some(
    ({ kind, decision }) =>
      decision !== undefined && (BENDS.includes(decision) || (kind === 'boulder' && decision === 'through')),
  )
}
const BENDS: readonly string[] = [
  'wider',
  'bell',
  'stone-and-key',
  'key',
  'moved',
  'socket',
  'other-method',
  'left-short',
  'stopped',
]

function paceLessons(
  { job, resolved, tables }: Planned,
  at: { line: string; post: string },
  method: string,
): RatioLesson[] {
  const entered = entriesAt(job, at, 'minutes')
  if (entered.length === 0) return []
  const steps = methodDetail(job, tables, at.post, method, undefined, resolved)?.steps ?? []
  return entered.flatMap(({ value, at: time, by }): RatioLesson[] => {
    const minutes = steps.find(({ key }) => key === value.step)?.minutes ?? 0
    return minutes < LEAST
      ? []
      : [
          {
            kind: 'minutes',
            post: at.post,
            at: time,
            task: value.step,
            ...(by === undefined ? {} : { person: by }),
            ratio: value.minutes / minutes,
          },
        ]
  })
}
