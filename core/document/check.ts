import { InputError } from '../errors'
import { LIMITS } from '../limits'
import { requireBounded } from '../schema/bounded'
import type { ReadWith } from '../schema/fields'
import { violationsOf } from '../schema/violations'
import type { Tables } from '../tables/tables'
import type { Job } from './job'
import { jobSchema } from './jobSchema'
import { JOB_FORMAT, JOB_VERSION } from './vocabulary'

/**
 * Everything that is wrong with a document, each with key, value and range.
 *
 * @param tables whose soils, mixes, methods and parts it may name
 * @example checkJob({ format: 'vindex-job', version: 1, name: '', lines: [] }, tables).length // 2
 */
export function checkJob(document: unknown, tables: Tables, options = { firstOnly: false }): InputError[] {
  const newer = newerVersion(document) ?? crowded(document)
  if (newer) return [newer]
  const context: ReadWith = { tables }
  const violations = violationsOf(jobSchema, document, 'document', context, options)
  return violations.length > 0 ? violations : checkOrder(document as Job)
}

/**
 * A document from outside. Its size is looked at before its meaning, and the first thing that is wrong ends it.
 *
 * @throws InputError
 */
export function readJob(document: unknown, tables: Tables): Job {
  requireBounded(document, 'document')
  const [first] = checkJob(document, tables, { firstOnly: true })
  if (first) throw first
  return document as Job
}

/** More posts than a job may have, whatever they are: counted before one of them is looked at. */
function crowded(document: unknown): InputError | undefined {
  const { lines } = (document ?? {}) as { lines?: unknown }
  if (!Array.isArray(lines)) return undefined
  const posts = lines.map((line: unknown) => (line as { posts?: unknown } | null)?.posts)
  const count = posts.reduce<number>((sum, each) => sum + (Array.isArray(each) ? each.length : 0), 0)
  if (count <= LIMITS.postsOfJob) return undefined
  return new InputError('lines', `${count} posts`, `at most ${LIMITS.postsOfJob} posts in all: make two jobs of it`)
}

function newerVersion(document: unknown): InputError | undefined {
  const { format, version } = (document ?? {}) as Partial<Record<'format' | 'version', unknown>>
  if (format !== JOB_FORMAT || typeof version !== 'number' || version <= JOB_VERSION) return undefined
  return new InputError('version', version, `${JOB_VERSION}: this file comes from a newer Vindex, which has to open it`)
}

/** What only the whole job shows: names used twice, posts out of order. */
export function checkOrder(job: Job): InputError[] {
  const errors: InputError[] = []
  const lines = new Set<string>()
  const posts = new Set<string>()
  job.lines.forEach((line, l) => {
    if (lines.has(line.id)) errors.push(new InputError(`lines[${l}].id`, line.id, 'used once in the job'))
    lines.add(line.id)
    line.posts.forEach((post, i) => {
      const key = `lines[${l}].posts[${i}]`
      if (posts.has(post.id)) errors.push(new InputError(`${key}.id`, post.id, 'used once in the job'))
      posts.add(post.id)
      const before = line.posts[i - 1]
      if (before && post.station <= before.station)
        errors.push(
          new InputError(`${key}.station`, post.station, `beyond ${before.station} m, where the post before stands`),
        )
    })
  })
  return errors
}
