import { InputError, requireNumber } from '../errors'
import { JOB_FORMAT, JOB_VERSION, type Job } from './types'

export interface NewJob {
  name: string
  /** Posts of one straight line, evenly spaced. */
  posts: number
  /** m. */
  bay: number
  height: number
}

/**
 * A job with one line of equal bays, to be corrected on site.
 *
 * @throws InputError naming the field
 * @example newJob({ name: 'Back fence', posts: 5, bay: 2.4, height: 1.8 }).lines[0].length // 9.6
 */
export function newJob(wanted: Partial<NewJob>): Job {
  const { name, posts, bay, height } = wanted
  if (typeof name !== 'string' || name.trim() === '' || name.length > 200)
    throw new InputError('name', name, 'text of 1 to 200 letters')
  const count = requireNumber('posts', posts, 1, 500)
  if (!Number.isInteger(count)) throw new InputError('posts', posts, 'a whole number')
  const width = requireNumber('bay', bay, 0.3, 6, 'm')
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    name: name.trim(),
    lines: [
      {
        id: 'A',
        height: requireNumber('height', height, 0.3, 4, 'm'),
        length: Math.max(0.3, Math.round((count - 1) * width * 1e6) / 1e6),
        posts: Array.from({ length: count }, (_, i) => ({
          id: `A${i + 1}`,
          station: Math.round(i * width * 1e6) / 1e6,
        })),
      },
    ],
  }
}
