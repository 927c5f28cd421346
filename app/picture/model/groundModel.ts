import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { stringOver } from '~~/core/setout/stringOver'
import type { Metres } from '~~/core/units/types'
import type { Point } from '~~/core/repair/solids'

/** How far the ground at a post lies over the ground at the chosen one, m. */
export function riseOver(line: ResolvedLine, chosen: string): (post: ResolvedPost) => Metres {
  const datum = datumOf(line, chosen)
  return (post) => (post.groundLevel ?? 0) - datum
}

const datumOf = ({ posts }: ResolvedLine, chosen: string): Metres =>
  posts.find((post) => post.id === chosen)?.groundLevel ?? 0

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

/** The string as it is pulled: straight from one post that carries it to the next. */
export function stringLine(line: ResolvedLine, chosen: string, from: Metres, to: Metres): Point[] {
  const at = (station: Metres): Point => [station, stringAt(line, chosen, station)]
  return [at(from), ...stringKnots(line, chosen, from, to), at(to)]
}

/** Height of the string over the ground of the chosen post, m. */
export const stringAt = (line: ResolvedLine, chosen: string, station: Metres): Metres =>
  stringOver(line.string, station) - datumOf(line, chosen)

/** Where it lies on a post that carries it. */
export const stringKnots = (line: ResolvedLine, chosen: string, from: Metres, to: Metres): Point[] =>
  line.string
    .filter(({ station }) => station > from && station < to)
    .map(({ station, height }): Point => [station, height - datumOf(line, chosen)])

function levelAt(line: ResolvedLine, rise: (post: ResolvedPost) => Metres, station: Metres): Metres {
  const next = line.posts.findIndex((post) => post.station >= station)
  const [left, right] = [line.posts[next - 1], line.posts[next]]
  if (!left || !right) return rise((left ?? right ?? line.posts[line.posts.length - 1])!)
  const share = (station - left.station) / (right.station - left.station)
  return rise(left) + share * (rise(right) - rise(left))
}
