import type { Entry, Job, Line, Post, Pour } from '../document/job'
import type { CommandBatch } from './apply'
import type { Command } from './commands'

/**
 * New names for what two people called the same: both added a post T6, and both stay.
 */
export interface Renames {
  lines: ReadonlyMap<string, string>
  posts: ReadonlyMap<string, string>
}

export const isRenaming = ({ lines, posts }: Renames): boolean => lines.size + posts.size > 0

/**
 * What of mine has to be called otherwise: new posts and lines whose name others have given meanwhile.
 *
 * @param mine   waiting batches in their order
 * @param before the job that they were made on
 * @param after  the job as others have it now
 * @example T6 of mine becomes T6b where theirs has a new T6
 */
export function renamesOf(mine: readonly CommandBatch[], before: Job, after: Job): Renames {
  const put = mine.flatMap(({ commands }) => commands)
  const newLines = put.flatMap((command) => (command.name === 'putLine' && command.value ? [command.value] : []))
  const newPosts = [
    ...put.flatMap((command) => (command.name === 'putPost' && command.value ? [command.value.id] : [])),
    ...newLines.flatMap(({ posts }) => posts.map(({ id }) => id)),
  ]
  return {
    lines: collisions(
      newLines.map(({ id }) => id),
      lineIds(before),
      lineIds(after),
    ),
    posts: collisions(newPosts, postIds(before), postIds(after)),
  }
}

const lineIds = (job: Job) => new Set(job.lines.map(({ id }) => id))
const postIds = (job: Job) => new Set(job.lines.flatMap(({ posts }) => posts.map(({ id }) => id)))

function collisions(mine: readonly string[], before: Set<string>, after: Set<string>): Map<string, string> {
  const taken = new Set([...after, ...mine])
  const renamed = new Map<string, string>()
  for (const id of mine) {
    // What was there before is an edit of one thing from both sides, no second thing.
    if (before.has(id) || !after.has(id) || renamed.has(id)) continue
    const free = SUFFIXES.map((letter) => `${id}${letter}`).find((name) => !taken.has(name)) ?? `${id}-${mine.length}`
    taken.add(free)
    renamed.set(id, free)
  }
  return renamed
}
/** No post that is counted on gets one of these, so that they meet nothing that is added meanwhile. */
const SUFFIXES = [...'bcdefghijklmnopqrstuvwxyz']

/** A command that speaks of what was renamed, under its new name. */
export function renamed<C extends Command>(command: C, { lines, posts }: Renames): C {
  const { line, post, value } = command as { line?: string; post?: string; value?: unknown }
  const put = command.name === 'putLine' || command.name === 'putPost'
  return {
    ...command,
    ...(line !== undefined && lines.has(line) ? { line: lines.get(line) } : {}),
    ...(post !== undefined && posts.has(post) ? { post: posts.get(post) } : {}),
    ...(command.name === 'putPour' && command.value ? { value: renamedPour(command.value, { lines, posts }) } : {}),
    ...(command.name === 'addEntry' && command.value ? { value: renamedEntry(command.value, { lines, posts }) } : {}),
    ...(put && value ? { value: renamedThing(value as Line | Post, { lines, posts }) } : {}),
  }
}

const renamedEntry = (entry: Entry, { lines, posts }: Renames): Entry => ({
  ...entry,
  ...(entry.line === undefined ? {} : { line: lines.get(entry.line) ?? entry.line }),
  ...(entry.post === undefined ? {} : { post: posts.get(entry.post) ?? entry.post }),
})

const renamedPour = (pour: Pour, { lines, posts }: Renames): Pour => ({
  ...pour,
  line: lines.get(pour.line) ?? pour.line,
  post: posts.get(pour.post) ?? pour.post,
})

function renamedThing(thing: Line | Post, names: Renames): Line | Post {
  if (!('posts' in thing)) return { ...thing, id: names.posts.get(thing.id) ?? thing.id }
  return {
    ...thing,
    id: names.lines.get(thing.id) ?? thing.id,
    posts: thing.posts.map((post) => ({ ...post, id: names.posts.get(post.id) ?? post.id })),
  }
}
