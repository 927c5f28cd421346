import type { Post } from '../document/job'

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
export function put<T extends { id: string }>(list: readonly T[] = [], id: string, value: T | null): T[] | null {
  const at = list.findIndex((each) => each.id === id)
  const rest = value === null ? list.filter((each) => each.id !== id) : at < 0 ? [...list, value] : list.with(at, value)
  return rest.length > 0 ? [...rest] : null
}
