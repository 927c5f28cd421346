import type { Job, Pour } from '../document/job'
import { methodDetail, type MethodDetail } from '../plan/detail'
import type { Plan } from '../plan/types'
import { pourClock } from '../pour/clock'
import { pourAt } from '../pour/planned'
import type { ResolvedJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { HourlyAir } from '../weather/forecast'
import { pouredPost, type PouredPost } from './done'
import type { DayPost } from './tasks'
import { postKey } from '../document/postKey'

/** Posts of a job whose repair was chosen, with what is done there. */
export interface DayJob {
  /** The newest of its station, for what is poured already. */
  air?: HourlyAir | undefined
  /** Stands before its posts' names; empty for the job in hand. */
  prefix: string
  job: Job
  resolved: ResolvedJob
  plan: Plan
}

/** @returns in walking order; nothing of those that need no repair, or none was chosen for */
export function dayPosts({ prefix, job, resolved, plan, air }: DayJob, tables: Tables): DayPost[] {
  return resolved.lines.flatMap((line) =>
    line.posts.flatMap((post): DayPost[] => {
      const method = post.repair?.method
      const found = plan.posts
        .find((each) => each.line === line.id && each.post === post.id)
        ?.methods.find((each) => each.method === method && each.allowed)
      const detail: MethodDetail | undefined =
        found && methodDetail(job, tables, post.id, found.method, undefined, resolved)
      if (!found || !detail) return []
      const { concrete } = found
      const pour = pourAt(job, line.id, post.id)
      return [
        {
          address: postKey({ line: line.id, post: post.id }, prefix),
          method: found.method,
          steps: detail.steps,
          ...(concrete ? { concrete } : {}),
          ...(post.met?.some(({ kind }) => kind === 'crater') ? { hasCrater: true as const } : {}),
          ...(pour ? { poured: pouredBy(pour) } : {}),
        },
      ]
    }),
  )

  function pouredBy(pour: Pour): PouredPost {
    const at = Date.parse(pour.startedAt)
    const clock = pourClock(pour, at, tables, air)
    // Of a mix that there is no more nothing is known but that it is poured.
    return clock ? pouredPost(clock) : { at, carries: {} }
  }
}
