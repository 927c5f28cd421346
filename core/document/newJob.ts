import { string, type InferType } from 'yup'
import { JOB_FORMAT, JOB_VERSION } from './vocabulary'
import type { Job } from './job'
import { FENCE_HEIGHT } from './lineSchema'
import { postsFromTape } from './tapePosts'
import { LONGEST } from '../limits'
import { choice, name, needed, quantity, record, text } from '../schema/fields'
import { readBy } from '../schema/violations'
import { parseTape } from '../setout/tape'
import { EXPOSURES, LINE_KINDS } from '../wind/fence'
import { LENGTH_SYSTEMS } from '../units/length'

const TAPE_SAYS = 'running tape readings, such as 0, 2.4, 4.83'

/** What a new job is made of: the same for the route and for the form. */
export const newJobSchema = record({
  name: name(LONGEST.name),
  /** Running tape readings of one straight line, see {@link parseTape}. */
  tape: string().strict().typeError(TAPE_SAYS).required(TAPE_SAYS),
  /** Of bare numbers in the readings. */
  units: choice(LENGTH_SYSTEMS),
  height: needed(...FENCE_HEIGHT),
  kind: choice(LINE_KINDS),
  /** What a newcomer is asked before any figure: how the place lies, what stands upwind, and the thumb's test. */
  exposure: choice(EXPOSURES),
  shelter: quantity(0.1, 1),
  soil: text(LONGEST.key),
})
export type NewJob = InferType<typeof newJobSchema>

/**
 * A job with one line, to be corrected on site.
 *
 * @throws InputError naming the field, or the reading
 * @example newJob({ name: 'Back fence', tape: '4 x 2.4', height: 1.8 }).lines[0].length // 9.6
 */
export function newJob(wanted: unknown): Job {
  const {
    name,
    tape,
    units = 'metric',
    height,
    kind,
    exposure,
    shelter,
    soil,
  } = readBy<NewJob>(newJobSchema, wanted, 'body')
  const posts = postsFromTape(parseTape(tape, units), soil ? { soil } : {}, (index) => `A${index + 1}`)
  const site = { ...(exposure ? { exposure } : {}), ...(shelter === undefined ? {} : { shelter }) }
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    name: name.trim(),
    ...(Object.keys(site).length > 0 ? { site } : {}),
    lines: [
      {
        id: 'A',
        ...(kind ? { kind } : {}),
        height,
        length: Math.max(0.3, posts[posts.length - 1]!.station),
        posts,
      },
    ],
  }
}
