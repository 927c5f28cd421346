import { tables } from '../../data/tables'
import type { Soil } from '../../core/ground/soil'
import type { Job, Line, Post } from '../../core/document/job'
import { row } from '../../core/tables/tables'

/* Builders that the unit tests share. */

export { tables }

export function soilNamed(key: string): Soil {
  const soil = row(tables.soils, key)
  if (soil.kind === 'none') throw new Error(`${key} has no figures`)
  return soil
}

/** A straight run of posts every `bay` metres; `post` changes each of them. */
export function runOfPosts(count: number, bay = 2.4, post: (i: number) => Partial<Post> = () => ({})): Line {
  return {
    id: 'A',
    length: (count - 1) * bay,
    posts: Array.from({ length: count }, (_, i) => ({ id: `A${i + 1}`, station: i * bay, ...post(i) })),
  }
}

export function jobOf(line: Line, site: Job['site'] = {}): Job {
  return { format: 'vindex-job', version: 1, name: 'Trial run', site, lines: [line] }
}
