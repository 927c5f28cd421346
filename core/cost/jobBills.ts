import type { Job } from '../document/job'
import { dayPosts } from '../day/posts'
import { meansOf } from '../day/setup'
import type { DayPost } from '../day/tasks'
import { methodDetail } from '../plan/detail'
import type { MethodPlan, Plan, PostPlan } from '../plan/types'
import type { ResolvedJob, ResolvedLine, ResolvedPost } from '../resolve/resolve'
import type { Metres } from '../units/types'
import { claddingLines, mendingOf } from './cladding'
import { isTemporary } from './stands'
import type { Tables } from '../tables/tables'
import { billOf, type BillLine } from './bill'
import { postKey } from '../document/postKey'

/** What the repair of one post takes. */
export interface PostBill {
  /** Line and post, as `B/B4`. */
  address: string
  method: MethodPlan
  lines: BillLine[]
}

/** A job with all that follows from it. */
export interface PlannedJob {
  job: Job
  resolved: ResolvedJob
  plan: Plan
}

/** Bills of the posts whose repair was chosen, in walking order. */
export function jobBills({ job, resolved, plan }: PlannedJob, tables: Tables): PostBill[] {
  return dayPosts({ prefix: '', job, resolved, plan }, tables).flatMap((each): PostBill[] => {
    const method = plan.posts
      .find((of) => postKey(of) === each.address)
      ?.methods.find((of) => of.method === each.method)
    return method ? [postBill(each, method, { job, resolved }, tables)] : []
  })
}

/** The bill of one way to mend one post, chosen or not. */
export function postBill(
  post: DayPost,
  method: MethodPlan,
  { job, resolved }: Pick<PlannedJob, 'job' | 'resolved'>,
  tables: Tables,
): PostBill {
  const [line, of] = placeOf(post.address, resolved)
  const cladding = job.lines.find(({ id }) => id === line.id)?.posts.find(({ id }) => id === of.id)?.cladding
  const lines = billOf(
    method,
    post,
    { ...meansOf(job.day ?? {}), ...(of.section ? { section: of.section } : {}) },
    tables,
  )
  // What stands propped for today is not clad again.
  const mends = cladding && !isTemporary(method)
  const place = { post: post.address, bay: longerBay(line, of), height: line.height }
  return {
    address: post.address,
    method,
    lines: mends ? [...lines, ...claddingLines(cladding, mendingOf(cladding), place, tables)] : lines,
  }
}

function placeOf(address: string, { lines }: ResolvedJob): [ResolvedLine, ResolvedPost] {
  const [line, post] = lines
    .flatMap((each) => each.posts.map((of) => [each, of] as const))
    .find(([each, of]) => postKey({ line: each.id, post: of.id }) === address)!
  return [line, post]
}

/** Of the bays beside a post, m. */
export const longerBay = ({ posts }: ResolvedLine, { id, station }: ResolvedPost): Metres => {
  const at = posts.findIndex((each) => each.id === id)
  return [posts[at - 1], posts[at + 1]].reduce(
    (most, each) => Math.max(most, each ? Math.abs(each.station - station) : 0),
    0,
  )
}

/**
 * Bills of every way that is open at a post, chosen or not; nothing of those that nobody would take before another.
 *
 * @returns in the order of the plan
 */
export function openWays({ job, resolved }: PlannedJob, { line, post, methods }: PostPlan, tables: Tables): PostBill[] {
  const address = postKey({ line, post })
  return methods
    .filter(({ allowed, unsuited }) => allowed && !unsuited)
    .map((method) => {
      const { steps } = methodDetail(job, tables, post, method.method, undefined, resolved)!
      const { concrete } = method
      const each: DayPost = { address, method: method.method, steps, ...(concrete ? { concrete } : {}) }
      return postBill(each, method, { job, resolved }, tables)
    })
}

/** What the plan proposes for posts that ask for a repair and have none chosen, by line and post. */
export const proposedMethods = ({ job, plan }: Pick<PlannedJob, 'job' | 'plan'>): Record<string, string> =>
  Object.fromEntries(
    plan.posts.flatMap(({ line, post, diagnosis, recommended, methods }) => {
      const chosen = job.lines.find(({ id }) => id === line)?.posts.find(({ id }) => id === post)?.repair?.method
      const asks = diagnosis.state === 'failed' || diagnosis.state === 'unsettled'
      const way = methods.find(({ method, allowed }) => method === recommended?.method && allowed)
      return chosen === undefined && asks && way ? [[postKey({ line, post }), way.method] as const] : []
    }),
  )

/** What is done at each post, by line and post: what was chosen, and what is proposed where nothing was. */
export function chosenMethods(planned: Pick<PlannedJob, 'job' | 'plan'>): Record<string, string> {
  const chosen = planned.job.lines.flatMap((line) =>
    line.posts.flatMap((post) =>
      post.repair?.method === undefined
        ? []
        : [[postKey({ line: line.id, post: post.id }), post.repair.method] as const],
    ),
  )
  return { ...proposedMethods(planned), ...Object.fromEntries(chosen) }
}

/**
 * The job with other repairs chosen; the holes of each method are kept apart.
 *
 * @param methods by line and post, as `B/B4`; the others stay as they were chosen
 */
export const withMethods = (job: Job, methods: Readonly<Record<string, string>>): Job => ({
  ...job,
  lines: job.lines.map((line) => ({
    ...line,
    posts: line.posts.map((post) => {
      const method = methods[postKey({ line: line.id, post: post.id })]
      return method === undefined ? post : { ...post, repair: { ...post.repair, method } }
    }),
  })),
})
