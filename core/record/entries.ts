import type { Entry, EntryKind, EntryValue, Job } from '../document/job'
import type { PostAddress } from '../edit/changes'
import { postKey } from '../document/postKey'

/* What the record holds true: entries that were neither taken back nor corrected. */

/** An entry that stands, its value by its kind. */
export interface Standing<K extends EntryKind> extends Omit<Entry, 'value' | 'kind' | 'at'> {
  kind: K
  at: string
  value: EntryValue<K>
}

/** Entries that one of the others, itself standing, stands in the place of. */
export function correctedIds(entries: readonly Entry[]): ReadonlySet<string> {
  return new Set(entries.flatMap(({ corrects, withdrawn }) => (corrects !== undefined && !withdrawn ? [corrects] : [])))
}

/**
 * Entries of a kind at a post that stand, oldest first.
 *
 * @example entriesAt(job, { line: 'B', post: 'B7' }, 'tick').map(({ value }) => value.step)
 */
export function entriesAt<K extends EntryKind>(job: Pick<Job, 'entries'>, at: PostAddress, kind: K): Standing<K>[] {
  const all = job.entries ?? []
  const corrected = correctedIds(all)
  return all
    .filter(
      (each) =>
        each.kind === kind &&
        each.post === at.post &&
        each.line === at.line &&
        !each.withdrawn &&
        !corrected.has(each.id),
    )
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at)) as Standing<K>[]
}

/** Sign-offs that stand, the last of each post, by line and post: `B/B7`. */
export function signOffs(job: Pick<Job, 'entries'>): Map<string, Standing<'sign-off'>> {
  const all = job.entries ?? []
  const corrected = correctedIds(all)
  const last = new Map<string, Standing<'sign-off'>>()
  for (const entry of all as Standing<'sign-off'>[]) {
    if (entry.kind !== 'sign-off' || entry.withdrawn || corrected.has(entry.id)) continue
    if (entry.line === undefined || entry.post === undefined) continue
    const key = postKey({ line: entry.line, post: entry.post })
    const known = last.get(key)
    if (!known || Date.parse(known.at) <= Date.parse(entry.at)) last.set(key, entry)
  }
  return last
}

/** The last sign-off of a post that stands. */
export const signOffAt = (job: Pick<Job, 'entries'>, at: PostAddress): Standing<'sign-off'> | undefined =>
  entriesAt(job, at, 'sign-off').at(-1)
