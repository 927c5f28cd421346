import type { Job } from '../document/job'
import type { Plan, PostPlan } from '../plan/types'
import { signOffs } from './entries'
import { visitsDue } from './visits'
import { postKey } from '../document/postKey'

/**
 * The post that a job opens at: the first that waits for a repair, else the first that nobody has looked at, else the
 * first of which the repair is chosen and not signed off, else the one that somebody is to come back to soonest, else
 * the first.
 *
 * @returns its index in the plan; 0 for a job without posts
 * @example a fence mended in March with a visit due at O3: the index of O3
 */
export function whereWorkStands(job: Job, { posts }: Plan): number {
  const chosen = new Set<string>()
  for (const line of job.lines)
    for (const post of line.posts)
      if (post.repair?.method !== undefined) chosen.add(postKey({ line: line.id, post: post.id }))
  const signed = signOffs(job)
  const keyOf = (plan: PostPlan) => postKey(plan)
  const waits = (state: PostPlan['diagnosis']['state']) =>
    posts.findIndex((each) => each.diagnosis.state === state && !chosen.has(keyOf(each)))
  const inWork = () => posts.findIndex((each) => chosen.has(keyOf(each)) && !signed.has(keyOf(each)))
  const comeBackTo = () => {
    const next = visitsDue(job)[0]
    return posts.findIndex(({ post }) => next?.posts.includes(post))
  }
  for (const look of [() => waits('failed'), () => waits('not-looked-at'), inWork, comeBackTo]) {
    const found = look()
    if (found >= 0) return found
  }
  return 0
}
