import { JOB_FORMAT, JOB_VERSION } from './vocabulary'
import { postsFromTape } from './tapePosts'
import { InputError, requireChoice, requireNumber } from '../errors'
import { parseTape } from '../setout/tape'
import { LENGTH_SYSTEMS, type LengthSystem } from '../units/length'
import type { Metres } from '../units/types'
import { type Job } from './job'

export interface NewJob {
  name: string
  /** Running tape readings of one straight line, see {@link parseTape}. */
  tape: string
  /** Of bare numbers in the readings. */
  units?: LengthSystem
  height: Metres
}

/**
 * A job with one line, to be corrected on site.
 *
 * @throws InputError naming the field, or the reading
 * @example newJob({ name: 'Back fence', tape: '4 x 2.4', height: 1.8 }).lines[0].length // 9.6
 */
export function newJob(wanted: Partial<NewJob>): Job {
  const { name, tape, units = 'metric', height } = wanted
  if (typeof name !== 'string' || name.trim() === '' || name.length > 200)
    throw new InputError('name', name, 'text of 1 to 200 letters')
  if (typeof tape !== 'string') throw new InputError('tape', tape, 'running tape readings, such as 0, 2.4, 4.83')
  const posts = postsFromTape(
    parseTape(tape, requireChoice('units', units, LENGTH_SYSTEMS)),
    {},
    (index) => `A${index + 1}`,
  )
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    name: name.trim(),
    lines: [
      {
        id: 'A',
        height: requireNumber('height', height, 0.3, 4, 'm'),
        length: Math.max(0.3, posts[posts.length - 1]!.station),
        posts,
      },
    ],
  }
}
