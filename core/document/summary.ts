import type { CauseTables } from '../cause/tables'
import { leanSlopes } from '../setout/lean'
import type { Metres } from '../units/types'
import { dutiesOf, postStates, type PostState } from './postState'
import type { Duty, Job, Line, Pour } from './job'

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
  /** The last pours, for the clocks on a list; a summary of before does not have them. */
  pours?: SummedPour[]
  /** The station of its forecast. */
  place?: string
  /** The first of them, failed ones before doubtful ones: a summary of before does not have them. */
  waiting?: string[]
  /** What the record asks for next: visits that are due or come, and posts to look at after a storm. */
  visits?: { posts: string[]; due: number; why: string; open?: string[] }[]
  watched?: { post: string; since: number }[]
  /** Once in fifty years, where the job says so. */
  gust50?: number
  /** It has something to teach. */
  teaches?: true
}

/** A pour without what it was reckoned with. */
export type SummedPour = Pick<
  Pour,
  'id' | 'line' | 'post' | 'mix' | 'startedAt' | 'temperature' | 'lifts' | 'handsOffAt' | 'stiffAt'
> & {
  /** What decides what it will carry; a summary of before does not have it. */
  carries?: { duties: Duty[]; kind?: Line['kind']; method?: string }
}

/** So many pours are wet or green in one list at most. */
const POURS = 12
/** So many posts are named in a list. */
const NAMED = 4

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
  const posts = job.lines.flatMap((line) => line.posts)
  const waitingIn = (state: PostState) =>
    posts.filter(({ repair }, i) => states[i] === state && repair?.method === undefined).map(({ id }) => id)
  const waiting = [...waitingIn('failed'), ...waitingIn('doubtful')]
  return {
    lines,
    posts: states.length,
    failed: states.filter((state) => state === 'failed').length,
    undecided: waiting.length,
    waiting: waiting.slice(0, NAMED),
    ...(job.pours ? { pours: lastPours(job.pours, job.lines) } : {}),
    ...(job.site?.place === undefined ? {} : { place: job.site.place }),
    ...(job.site?.gust50 === undefined ? {} : { gust50: job.site.gust50 }),
  }
}

const lastPours = (pours: readonly Pour[], lines: Job['lines']): SummedPour[] =>
  [...pours]
    .sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt))
    .slice(0, POURS)
    .map(({ id, line, post, mix, startedAt, temperature, lifts, handsOffAt, stiffAt }) => ({
      id,
      line,
      post,
      mix,
      startedAt,
      ...(temperature === undefined ? {} : { temperature }),
      ...(lifts ? { lifts } : {}),
      ...(handsOffAt === undefined ? {} : { handsOffAt }),
      ...(stiffAt === undefined ? {} : { stiffAt }),
      ...carriedAt(lines, line, post),
    }))

function carriedAt(lines: Job['lines'], lineId: string, postId: string): Pick<SummedPour, 'carries'> {
  const line = lines.find(({ id }) => id === lineId)
  const post = line?.posts.find(({ id }) => id === postId)
  if (!post) return {}
  const kind = line?.kind === undefined ? {} : { kind: line.kind }
  const method = post.repair?.method === undefined ? {} : { method: post.repair.method }
  return { carries: { duties: dutiesOf(post), ...kind, ...method } }
}
