import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import type { Metres } from '~~/core/units/types'
import type { Point } from '~~/core/repair/solids'

/** How far the ground at a post lies over the ground at the chosen one, m. */
export function riseOver(line: ResolvedLine, chosen: string): (post: ResolvedPost) => Metres {
  const datum = line.posts.find((post) => post.id === chosen)?.groundLevel ?? 0
  return (post) => (post.groundLevel ?? 0) - datum
}

/**
 * The ground along the line, straight from post to post and level beyond the ends.
 *
 * @param from, to stations between which it is drawn, m
 * @returns points from left to right, x counted from the start of the line
 */
export function groundLine(line: ResolvedLine, chosen: string, from: Metres, to: Metres): Point[] {
  const rise = riseOver(line, chosen)
  const inside = line.posts
    .filter(({ station }) => station > from && station < to)
    .map((post): Point => [post.station, rise(post)])
  return [[from, levelAt(line, rise, from)], ...inside, [to, levelAt(line, rise, to)]]
}

/** The string over the tops: as high over the ground at every post as the fence is. */
export const stringLine = (line: ResolvedLine, chosen: string, from: Metres, to: Metres): Point[] =>
  groundLine(line, chosen, from, to).map(([x, y]) => [x, y + line.height])

function levelAt(line: ResolvedLine, rise: (post: ResolvedPost) => Metres, station: Metres): Metres {
  const next = line.posts.findIndex((post) => post.station >= station)
  const [left, right] = [line.posts[next - 1], line.posts[next]]
  if (!left || !right) return rise((left ?? right ?? line.posts[line.posts.length - 1])!)
  const share = (station - left.station) / (right.station - left.station)
  return rise(left) + share * (rise(right) - rise(left))
}
