import { InputError } from '../errors'
import type { Job, Line, Post, Pour } from '../document/job'

/* How a document is changed: what is given stays as it is, a changed copy comes back. */

/** With a key set; null or nothing takes it away. */
export function withKey<T extends object>(of: T, key: PropertyKey, value: unknown): T {
  const copy = { ...of } as Record<PropertyKey, unknown>
  if (value === null || value === undefined) Reflect.deleteProperty(copy, key)
  else copy[key] = value
  return copy as T
}

/** With a key of a part set; a part that says nothing goes. */
export function withPart(post: Post, part: 'observations' | 'repair' | 'judgement', key: string, value: unknown): Post {
  const changed = withKey(post[part] ?? {}, key, value)
  // Nothing left is nothing said.
  return withKey(post, part, Object.keys(changed).length > 0 ? changed : null)
}

/** A list with one thing put in, replaced or taken out; null when nothing is left. */
export function withItem<T extends { id: string }>(
  list: readonly T[] = [],
  id: string,
  value: T | null,
  at = list.length,
): T[] | null {
  const known = list.findIndex((each) => each.id === id)
  const without = list.filter((each) => each.id !== id)
  const changed = value === null ? without : known < 0 ? list.toSpliced(at, 0, value) : list.with(known, value)
  return changed.length > 0 ? changed : null
}

export interface LineAddress {
  line: string
}
export interface PostAddress extends LineAddress {
  post: string
}

/** @throws InputError when there is none */
export function findLine(job: Job, { line }: LineAddress): Line {
  const found = job.lines.find((each) => each.id === line)
  if (!found) throw new InputError('line', line, `one of ${job.lines.map((each) => each.id).join(', ')}`)
  return found
}

/** @throws InputError when there is none */
export function findPost(job: Job, address: PostAddress): Post {
  const found = findLine(job, address).posts.find((each) => each.id === address.post)
  if (!found) throw new InputError('post', address.post, `a post of line ${address.line}`)
  return found
}

export function mapLine(job: Job, address: LineAddress, change: (line: Line) => Line): Job {
  const line = findLine(job, address)
  return { ...job, lines: job.lines.map((each) => (each === line ? change(each) : each)) }
}

export function mapPost(job: Job, address: PostAddress, change: (post: Post) => Post): Job {
  const post = findPost(job, address)
  return mapLine(job, address, (line) => ({
    ...line,
    posts: line.posts.map((each) => (each === post ? change(each) : each)),
  }))
}

/** Posts stand in the order of their stations, however they came. */
export function inOrder(line: Line): Line {
  return { ...line, posts: [...line.posts].sort((a, b) => a.station - b.station) }
}

export interface PourAddress {
  /** Its identity. */
  pour: string
}
export const findPour = (job: Job, { pour }: PourAddress): Pour | undefined => job.pours?.find(({ id }) => id === pour)

/** @throws InputError when there is none */
export function mapPour(job: Job, address: PourAddress, change: (pour: Pour) => Pour): Job {
  const pour = findPour(job, address)
  if (!pour) throw new InputError('pour', address.pour, 'a pour of this job')
  return { ...job, pours: withItem(job.pours, pour.id, change(pour))! }
}

export const pourTarget = ({ pour }: PourAddress): string[] => ['pour', pour]
export const lineTarget = ({ line }: LineAddress): string[] => ['line', line]
export const postTarget = ({ line, post }: PostAddress): string[] => ['line', line, 'post', post]
