import { InputError } from '../errors'
import type { ReadWith } from '../schema/fields'
import { violationsOf } from '../schema/violations'
import type { Tables } from '../tables/tables'
import type { Job } from './job'
import { jobSchema } from './schema'
import { JOB_FORMAT, JOB_VERSION } from './vocabulary'

/**
 * Everything that is wrong with a document, each with key, value and range.
 *
 * @param tables whose soils, mixes, methods and parts it may name
 * @example checkJob({ format: 'vindex-job', version: 1, name: '', lines: [] }, tables).length // 2
 */
export function checkJob(document: unknown, tables: Tables): InputError[] {
  const newer = newerVersion(document)
  if (newer) return [newer]
  const context: ReadWith = { tables }
  const violations = violationsOf(jobSchema, document, 'document', context)
  return violations.length > 0 ? violations : checkOrder(document as Job)
}

/** @throws InputError, the first of {@link checkJob} */
export function readJob(document: unknown, tables: Tables): Job {
  const [first] = checkJob(document, tables)
  if (first) throw first
  return document as Job
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
