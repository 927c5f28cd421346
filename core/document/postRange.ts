import { InputError } from '../errors'

/**
 * Posts by their names, single or from one to another in the order of the line.
 *
 * @param ids of all posts, in order
 * @throws InputError for a name that no post has
 * @example postsNamed('B3-B5, B9', ['B1', …, 'B12']) // ['B3', 'B4', 'B5', 'B9']
 */
export function postsNamed(text: string, ids: readonly string[]): string[] {
  const chosen = new Set<string>()
  for (const entry of text.split(',').map((each) => each.trim())) {
    if (entry === '') continue
    const [from, to] = endsOf(entry, ids)
    const [first, last] = [indexOf(from, ids), indexOf(to, ids)]
    for (const id of ids.slice(Math.min(first, last), Math.max(first, last) + 1)) chosen.add(id)
  }
  return ids.filter((id) => chosen.has(id))
}

/** A name may have a dash of its own: the range is where both sides of it are names. */
function endsOf(entry: string, ids: readonly string[]): [from: string, to: string] {
  const isName = (text: string) => ids.some((id) => id.toLowerCase() === text.toLowerCase())
  if (isName(entry)) return [entry, entry]
  const splits = [...entry.matchAll(/\s*(?:-|–|\bto\b)\s*/g)].map((each): [string, string] => [
    entry.slice(0, each.index),
    entry.slice(each.index + each[0].length),
  ])
  return splits.find((names) => names.every(isName)) ?? splits[0] ?? [entry, entry]
}

function indexOf(name: string, ids: readonly string[]): number {
  const found = ids.findIndex((id) => id.toLowerCase() === name.trim().toLowerCase())
  if (found < 0) throw new InputError('posts', name, `names of posts such as ${ids[0]} or ${ids[0]}-${ids.at(-1)}`)
  return found
}
