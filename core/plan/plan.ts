import type { Job } from '../document/job'
import { remembered } from '../numeric/remember'
import { groundMemory, postContext, type PostContext } from '../repair/context'
import type { RepairMethod } from '../repair/method'
import { hingeForce } from '../repair/loadCases'
import { repairMethods } from '../repair/methods'
import { siteOfLine } from './line/lineTarget'
import {
  jobResolver,
  soilOf,
  type Assumption,
  type ResolvedJob,
  type ResolvedLine,
  type ResolvedPost,
  type ResolvedSite,
} from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import { gustOfReturnPeriod } from '../wind/returnPeriod'
import { planDepthRules } from './depthRules'
import { planDiagnosis } from './diagnosis'
import { lineDig } from './line/lineDig'
import { planMethods } from './methods'
import { withLineReadings, type LineExperience } from './line/experience'
import { recommend } from './recommend'
import { planStanding } from './standing'
import { PLAN_FORMAT, PLAN_VERSION, type Plan, type PostPlan } from './types'

/**
 * Every figure of a job: the one road from what was entered to what is shown.
 *
 * Pure: the same in the browser, on the server and in the shell. Lengths in metres, forces in
 * newtons, gusts in m/s; Infinity where the wind does not reach a post.
 *
 * @param methods the ways to repair that are weighed against each other
 * @throws InputError when a hole or a footing leaves the range of the formulas
 * @example plan(job, tables).posts[0].standing.holdingGust // 19.4
 */
export function plan(job: Job, tables: Tables, methods: readonly RepairMethod[] = repairMethods): Plan {
  return planner(tables, methods)(job)
}

/**
 * A `plan` that remembers posts by all that their figures rest on, so that an edit of one post
 * of a long line is planned at once. Forgets what the last job no longer has.
 *
 * @returns of a job, and of the same resolved where that is known
 */
export function planner(
  tables: Tables,
  methods: readonly RepairMethod[] = repairMethods,
): (job: Job, resolved?: ResolvedJob) => Plan {
  const ground = groundMemory()
  const resolve = jobResolver(tables)
  const postKeys = new WeakMap<ResolvedPost, string>()
  /** The key that a post had between the same neighbours: a long one is not put together again. */
  const lastOf = new WeakMap<
    ResolvedPost,
    { before: ResolvedPost | undefined; after: ResolvedPost | undefined; facts: string; key: string }
  >()
  let known = new Map<string, PlannedPost>()
  return (job, resolved = resolve(job)) => {
    const { site: asked, lines, assumed } = resolved
    const now = new Map<string, PlannedPost>()
    const learned: Record<string, LineExperience> = {}
    const planned = lines.flatMap((each) => {
      const { line, learned: ofLine } = withLineReadings(asked, each, tables, ground)
      const site = siteOfLine(asked, line, tables, ground)
      if (ofLine) learned[line.id] = ofLine
      const facts = lineKey(site, line)
      const keyOf = (post: ResolvedPost | undefined) => post && remembered(postKeys, post, () => postKey(post))
      return line.posts.map((post, i) => {
        // What its neighbours are counts where they hold it up, or have to carry more.
        const [before, after] = [line.posts[i - 1], line.posts[i + 1]]
        const last = lastOf.get(post)
        const isAsLast = last && last.before === before && last.after === after && last.facts === facts
        const key = isAsLast ? last.key : `${facts}${keyOf(post)}${keyOf(before)}${keyOf(after)}`
        if (!isAsLast) lastOf.set(post, { before, after, facts, key })
        const result = known.get(key) ?? planPost(postContext(site, line, post, tables, ground), methods)
        now.set(key, result)
        return result
      })
    })
    known = now
    const digs = lines.flatMap(
      (line) =>
        lineDig(
          line,
          planned.filter(({ plan: each }) => each.line === line.id).map((each) => each.plan),
        ) ?? [],
    )
    return {
      format: PLAN_FORMAT,
      version: PLAN_VERSION,
      target: targetOf(asked),
      experience: { ...tables.experience, byLine: learned },
      assumed: [...assumed, ...planned.flatMap((each) => each.assumed)],
      digs,
      posts: planned.map((each) => each.plan),
    }
  }
}

/** What is asked of the repairs of a site, or of one of its lines. */
function targetOf({
  targetReturnYears: returnYears,
  leanReturnYears,
  gust50,
  targetBy: by,
}: ResolvedSite): Plan['target'] {
  return {
    gust: gustOfReturnPeriod(returnYears, gust50),
    returnYears,
    leanGust: gustOfReturnPeriod(leanReturnYears, gust50),
    leanReturnYears,
    gust50,
    by,
  }
}

/*
 * What is only drawn or kept for the record changes no figure; all else does, whatever it is called: a key that
 * nobody thought of here counts. Marks are counted post by post.
 */
const LINE_WITHOUT_FIGURES = {
  posts: undefined,
  string: undefined,
  marks: undefined,
  course: undefined,
  levelReference: undefined,
}
const POST_WITHOUT_FIGURES = {
  carriesString: undefined,
  readings: undefined,
  photographs: undefined,
  groundLevel: undefined,
  // Counted in what the line knows of its soils.
  pulls: undefined,
  met: undefined,
}

function lineKey(site: ResolvedSite, line: ResolvedLine): string {
  return JSON.stringify([
    { ...site, van: undefined },
    { ...line, ...LINE_WITHOUT_FIGURES },
  ])
}
const postKey = (post: ResolvedPost): string => JSON.stringify({ ...post, ...POST_WITHOUT_FIGURES })

interface PlannedPost {
  plan: PostPlan
  assumed: Assumption[]
}

function planPost(context: PostContext, among: readonly RepairMethod[]): PlannedPost {
  const assumed: Assumption[] = []
  const { post, line, wind, site } = context
  const measured = line.measured[soilOf(post)]
  const diagnosis = planDiagnosis(context)
  const methods = planMethods(among, context, diagnosis)
  const depthRules = planDepthRules(context)
  const standing = planStanding(context, assumed)
  const plan: PostPlan = {
    line: line.id,
    post: post.id,
    target: targetOf(site),
    ...(measured ? { measured } : {}),
    wind: { coefficient: wind.coefficient, force: wind.force, height: wind.height, gust: context.targetGust },
    ...gateOf(context),
    diagnosis,
    standing,
    methods,
    depthRules,
    recommended: recommend(context, diagnosis, standing, methods, depthRules),
  }
  return { plan, assumed }
}

/** What a hung leaf does to its post and hinges, day and night. */
function gateOf({ leafMoment: moment, post }: PostContext): Pick<PostPlan, 'gate'> {
  if (moment === 0) return {}
  const { hingeSpacing } = post.gate ?? {}
  return { gate: { moment, ...(hingeSpacing === undefined ? {} : { hingeForce: hingeForce(moment, hingeSpacing) }) } }
}
