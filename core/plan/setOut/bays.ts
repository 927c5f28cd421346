import { InputError } from '../../errors'
import type { ResolvedLine, ResolvedPost } from '../../resolve/resolve'
import { rebalanced, type Obstacle } from '../../setout/spacing'
import type { Metres } from '../../units/types'

/** A hole keeps so far from the middle of what is marked under the line, and from an old place that was given up, m. */
const CLEAR: Metres = 0.5
const CLEAR_OF_OLD: Metres = 0.35

export interface SharedOut {
  /** Posts that stay at either end. */
  from: string
  to: string
  moves: { post: string; from: Metres; to: Metres }[]
  /** Largest and smallest bay, before and after, m. */
  before: [smallest: Metres, largest: Metres]
  after: [smallest: Metres, largest: Metres]
}

/**
 * The bays between two posts that stay, shared out anew among those that are set: what moving one post does to the rest.
 *
 * @param isSet which posts are set anew and may move
 * @returns undefined where the chosen post stays
 * @throws InputError where obstacles leave no room for so many bays
 * @example posts at 0, 2.4, 4.8, 7.2 with a pipe under the line at 2.5: the two between go to 3.0 and 5.1
 */
export function sharedOut(line: ResolvedLine, isSet: (id: string) => boolean, id: string): SharedOut | undefined {
  const { posts } = line
  const at = posts.findIndex((post) => post.id === id)
  if (at < 0 || !isSet(id)) return undefined
  const stays = (post: ResolvedPost, i: number) => !isSet(post.id) || i === 0 || i === posts.length - 1
  const first = posts.findLastIndex((post, i) => i < at && stays(post, i))
  const last = posts.findIndex((post, i) => i > at && stays(post, i))
  if (first < 0 || last < 0) return undefined
  const run = posts.slice(first, last + 1)
  const [start, end] = [run[0]!.station, run[run.length - 1]!.station]
  const length = end - start
  const bays = run.length - 1
  if (!(length > 0)) return undefined
  const stations = rebalanced(length, bays, obstaclesOf(line, run)).map((station) => station + start)
  if (stations.length !== run.length) throw new InputError('avoid', id, `obstacles that leave room for ${bays} bays`)
  return {
    from: run[0]!.id,
    to: run[run.length - 1]!.id,
    moves: run.slice(1, -1).map((post, i) => ({ post: post.id, from: post.station, to: stations[i + 1]! })),
    before: extremes(run.map(({ station }) => station)),
    after: extremes(stations),
  }
}

/** What lies under the line between two posts, and old places that were given up, from the first post. */
function obstaclesOf({ marks = [] }: ResolvedLine, run: readonly ResolvedPost[]): Obstacle[] {
  const [start, end] = [run[0]!.station, run[run.length - 1]!.station]
  const under = marks.flatMap(({ station, to = station, offset = 0, above }): Obstacle[] => {
    if (above || Math.abs(offset) >= CLEAR) return []
    return [{ at: (station + to) / 2 - start, clear: Math.abs(to - station) / 2 + CLEAR }]
  })
  const given = run
    .slice(1, -1)
    .filter(({ met = [] }) => met.some(({ decision }) => decision === 'moved'))
    .map(({ station }) => ({ at: station - start, clear: CLEAR_OF_OLD }))
  // What reaches over a post that stays keeps nobody from leaving it there.
  return [...under, ...given].flatMap(({ at, clear }): Obstacle[] => {
    const [low, high] = [Math.max(EDGE, at - clear), Math.min(end - start - EDGE, at + clear)]
    return high > low ? [{ at: (low + high) / 2, clear: (high - low) / 2 }] : []
  })
}
/** m */
const EDGE: Metres = 1e-4

function extremes(stations: readonly Metres[]): [Metres, Metres] {
  const bays = stations.slice(1).map((station, i) => station - stations[i]!)
  return [Math.min(...bays), Math.max(...bays)]
}
