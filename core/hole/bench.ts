import type { Hole, Job } from '../document/job'
import { withLineReadings } from '../plan/line/experience'
import { siteOfLine } from '../plan/line/lineTarget'
import { planMethods } from '../plan/methods'
import { planDiagnosis } from '../plan/diagnosis'
import type { MethodPlan, PostPlan } from '../plan/types'
import { groundMemory, postContext, type GroundMemory, type PostContext } from '../repair/context'
import { chosenHole } from '../repair/hole'
import { repairMethods } from '../repair/methods'
import { resolveJob, type ResolvedJob } from '../resolve/resolve'
import { row, type Tables } from '../tables/tables'
import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'

/** What is known of a job already: nothing of it changes what comes out. */
interface Known {
  resolved?: ResolvedJob | undefined
  memory?: GroundMemory
}

/** What is set of a hole; null takes a measure back to what is recommended. */
export type HoleChange = { readonly [K in keyof Hole]?: Hole[K] | null }

/** One post's hole, to be tried in other sizes: each comes back planned as `plan()` would plan it. */
export interface HoleBench {
  context: PostContext
  method: string
  /** As it is set now. */
  now: MethodPlan
  diagnosis: PostPlan['diagnosis']
  /** With another hole, in the same method or in another. */
  with: (change: HoleChange, method?: string) => MethodPlan
  /** Filled in another way. */
  filled: (filling: string) => MethodPlan
  /** With the post moved along its line, the bays beside it re-measured; undefined where another post stands. */
  moved: (by: Metres) => { station: Metres; plan: MethodPlan } | undefined
}

/** Posts stand no nearer to each other, m. */
const NEXT_POST: Metres = 0.3

/**
 * @param known of the same job, where something is
 * @returns undefined where there is no such post
 * @example holeBench(job, tables, 'B7', 'new-post-concrete')!.with({ depth: 0.8 }).holdingGust
 */
export function holeBench(
  job: Job,
  tables: Tables,
  postId: string,
  method: string,
  known: Known = {},
): HoleBench | undefined {
  const { site, lines } = known.resolved ?? resolveJob(job, tables)
  const memory = known.memory ?? groundMemory()
  const asked = lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  const post = asked?.posts.find(({ id }) => id === postId)
  if (!asked || !post) return undefined
  const { line } = withLineReadings(site, asked, tables, memory)
  const asksFor = siteOfLine(site, line, tables, memory)
  const contextOf = (changed: typeof post) => postContext(asksFor, line, changed, tables, memory)
  const context = contextOf(post)
  const diagnosis = planDiagnosis(context)
  const planned = (changed: typeof post, key: string) =>
    planMethods([row(repairMethods, key)], contextOf(changed), diagnosis)[0]!
  function moved(by: Metres) {
    const station = tidy(post!.station + by)
    const isFree = asked!.posts.every((each) => each === post || Math.abs(each.station - station) >= NEXT_POST)
    if (!isFree || station < 0) return undefined
    const from = job.lines.find(({ id }) => id === asked!.id)!
    const again = {
      ...job,
      lines: [{ ...from, posts: from.posts.map((each) => (each.id === postId ? { ...each, station } : each)) }],
    }
    const plan = holeBench(again, tables, postId, method)!.now
    return { station, plan }
  }
  return {
    context,
    method,
    moved,
    filled: (filling) => planned({ ...post, repair: { ...post.repair, filling } }, method),
    diagnosis,
    now: planned(post, method),
    with(change, key = method) {
      const hole = merged(chosenHole(post, key), change)
      const repair = { ...post.repair, hole: undefined, holes: { ...post.repair?.holes, [key]: hole } }
      return planned({ ...post, repair }, key)
    },
  }
}

/** The hole as it would be set. */
export function merged(hole: Hole, change: HoleChange): Hole {
  return Object.fromEntries(
    Object.entries({ ...hole, ...change }).filter(([, value]) => value !== null && value !== undefined),
  )
}
