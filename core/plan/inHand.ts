import type { Job } from '../document/job'
import { groundMemory, postContext, type PostContext } from '../repair/context'
import { resolveJob, type ResolvedJob, type ResolvedLine, type ResolvedPost } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import { withLineReadings, type LineExperience } from './line/experience'
import { siteOfLine } from './line/lineTarget'

/** A line with all that its own readings say of it, for whatever asks of its posts outside a plan. */
export interface LineInHand {
  line: ResolvedLine
  /** What its history says of the wind here, where it has one. */
  learned?: LineExperience
  contextOf: (post: ResolvedPost) => PostContext
}

export function lineInHand({ site, lines }: ResolvedJob, tables: Tables, lineId: string): LineInHand | undefined {
  const asked = lines.find(({ id }) => id === lineId)
  if (!asked) return undefined
  const memory = groundMemory()
  const { line, learned } = withLineReadings(site, asked, tables, memory)
  const asksFor = siteOfLine(site, line, tables, memory)
  return {
    line,
    ...(learned ? { learned } : {}),
    contextOf: (post) => postContext(asksFor, line, post, tables, memory),
  }
}

export interface PostInHand extends LineInHand {
  context: PostContext
}

/**
 * One post of a job with all that its line says of it.
 *
 * @param resolved the same job, where that is known
 * @returns undefined when there is no such post
 */
export function postInHand(
  job: Job,
  tables: Tables,
  postId: string,
  resolved: ResolvedJob = resolveJob(job, tables),
): PostInHand | undefined {
  const line = resolved.lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  const found = line && lineInHand(resolved, tables, line.id)
  const post = found?.line.posts.find(({ id }) => id === postId)
  return found && post && { ...found, context: found.contextOf(post) }
}
