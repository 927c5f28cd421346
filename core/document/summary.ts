import { leanSlopes } from '../setout/lean'
import type { Metres } from '../units/types'
import { postState, type PostState } from './postState'
import type { Job, Post } from './job'

/** A post as the thin line of an overview shows it. */
export interface PostSummary {
  station: Metres
  state: PostState
  /** Metres for each metre of height, along the line. */
  lean: number
}

/** What a list of jobs shows without opening them. */
export interface JobSummary {
  lines: { id: string; name: string; length: Metres; posts: PostSummary[] }[]
  posts: number
  failed: number
  /** Failed or doubtful posts without a chosen repair. */
  undecided: number
}

export function postSummary(post: Post): PostSummary {
  return { station: post.station, state: postState(post), lean: leanSlopes(post.observations?.lean).along }
}

export function jobSummary(job: Job): JobSummary {
  const posts = job.lines.flatMap((line) => line.posts)
  const states = posts.map(postState)
  return {
    lines: job.lines.map((line) => ({
      id: line.id,
      name: line.name ?? line.id,
      length: Math.max(line.length ?? 0, ...line.posts.map((post) => post.station)),
      posts: line.posts.map(postSummary),
    })),
    posts: posts.length,
    failed: states.filter((state) => state === 'failed').length,
    undecided: posts.filter((post, i) => (states[i] === 'failed' || states[i] === 'doubtful') && !post.repair?.method)
      .length,
  }
}
