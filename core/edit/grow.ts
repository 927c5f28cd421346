import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'
import type { Job, Line, Post } from '../document/job'

/* Growing a job: names for what is new, and facts that posts share. */

/** Facts that one post hands on to another: what it is made of and stands in, not what was seen of it. */
export const SHARED_FACTS = [
  'material',
  'section',
  'length',
  'ageYears',
  'make',
  'soil',
  'saturated',
  'footing',
] as const satisfies readonly (keyof Post)[]

export function sharedFacts(post: Post): Partial<Post> {
  return Object.fromEntries(SHARED_FACTS.flatMap((key) => (post[key] === undefined ? [] : [[key, post[key]]])))
}

/** The next letter that no line has; after Z come A2, B2. @example nextLineId(jobWithLineA) // 'B' */
export function nextLineId(job: Job): string {
  const taken = new Set(job.lines.map(({ id }) => id))
  for (let round = 1; ; round++) {
    for (const letter of LETTERS) {
      const id = round === 1 ? letter : `${letter}${round}`
      if (!taken.has(id)) return id
    }
  }
}
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ']

/**
 * Names for new posts of a line, counting on from the largest number.
 *
 * @returns a function from the post's number, counted from 0
 * @example nextPostIds(job, 'A')(0) // 'A6' where A5 is the last
 */
export function nextPostIds(job: Job, line: string): (index: number) => string {
  const taken = new Set(job.lines.flatMap(({ posts }) => posts.map(({ id }) => id)))
  const numbers = [...taken].flatMap((id) => (id.startsWith(line) ? [Number(id.slice(line.length))] : []))
  let next = Math.max(0, ...numbers.filter(Number.isInteger)) + 1
  const ids: string[] = []
  return (index) => {
    while (ids.length <= index) {
      while (taken.has(`${line}${next}`)) next++
      ids.push(`${line}${next++}`)
    }
    return ids[index]!
  }
}

/** A post like another one, a bay further on, or between it and its neighbour where there is no room for a bay. */
export function copyOf(line: Line, post: Post, id: string): Post {
  const i = line.posts.findIndex((each) => each.id === post.id)
  const before = line.posts[i - 1]
  const after = line.posts[i + 1]
  const bay: Metres = before ? post.station - before.station : after ? after.station - post.station : USUAL_BAY
  const beyond = tidy(post.station + bay)
  const station = after && after.station <= beyond ? tidy((post.station + after.station) / 2) : beyond
  return { id, ...sharedFacts(post), station }
}
const USUAL_BAY: Metres = 2.4
