import type { CauseTables } from '../cause/tables'
import { leanSlopes } from '../setout/lean'
import type { Metres } from '../units/types'
import { postStates, type PostState } from './postState'
import type { Job, Line } from './job'

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

/** Every post of a line as the thin line shows it. */
export function lineSummary(line: Pick<Line, 'posts'>, causes: CauseTables): PostSummary[] {
  const states = postStates(line, causes)
  return line.posts.map((post, i) => ({
    station: post.station,
    state: states[i]!,
    lean: leanSlopes(post.observations?.lean).along,
  }))
}

export function jobSummary(job: Job, causes: CauseTables): JobSummary {
  const lines = job.lines.map((line) => ({
    id: line.id,
    name: line.name ?? line.id,
    length: Math.max(line.length ?? 0, ...line.posts.map((post) => post.station)),
    posts: lineSummary(line, causes),
  }))
  const states = lines.flatMap(({ posts }) => posts.map(({ state }) => state))
  const hasRepair = job.lines.flatMap(({ posts }) => posts.map(({ repair }) => repair?.method !== undefined))
  return {
    lines,
    posts: states.length,
    failed: states.filter((state) => state === 'failed').length,
    undecided: states.filter((state, i) => (state === 'failed' || state === 'doubtful') && !hasRepair[i]).length,
  }
}
