import type { Entry, Job, Post, Pour } from '../../core/document/job'
import type { Command } from '../../core/edit/commands'
import { jobOf, runOfPosts } from './builders'

/* What tests of the record share: a post, and what may be entered of it. */

export const AT = { line: 'A', post: 'A2' }
export const made = (id: string, at: string, kind: Entry['kind'], value: unknown, more: Partial<Entry> = {}): Entry =>
  ({ id, at, by: 'Wren', ...AT, kind, value, ...more }) as Entry
export const add = (entry: Entry): Command => ({ name: 'addEntry', entry: entry.id, value: entry })
export const bare = (post: Partial<Post> = {}): Job => jobOf(runOfPosts(3, 2.4, (i) => (i === 1 ? post : {})))

export const pour: Pour = {
  id: 'p1',
  ...AT,
  mix: 'post-mix-20',
  filling: 'wet-barrow',
  startedAt: '2026-03-01T11:00:00Z',
  temperature: 10,
  lifts: [
    { at: '2026-03-01T11:00:00Z', bags: 3, water: 0.009 },
    { at: '2026-03-01T11:06:00Z', bags: 2, water: 0.006 },
  ],
}
