import { tidy } from '../numeric/rounding'
import { gateOpening } from '../setout/gate'
import type { TapeReading } from '../setout/tape'
import type { Metres } from '../units/types'
import type { Post } from './job'

/** Gate hardware that nobody measured; working values, m. */
const HARDWARE = { hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01 }

/**
 * Posts of the readings. A gate hangs on its own post; the next one takes the latch, or the second leaf.
 *
 * @param common what every post is made of
 * @param idOf   identity of the post by its number, counted from 0
 * @example postsFromTape(parseTape('0, 7.2 gate 1.1', 'metric'), {}, (i) => `A${i + 1}`)[2]
 *   // { id: 'A3', station: 8.435, duty: 'gate-latch' }: nobody called the latch post, so the opening says where
 */
export function postsFromTape(
  readings: readonly TapeReading[],
  common: Partial<Post>,
  idOf: (index: number) => string,
): Post[] {
  const last = readings[readings.length - 1]!
  const whole = last.leaf === undefined ? readings : [...readings, { station: stationAfterGate(last) }]
  return whole.map(({ station, duty, leaf }, i): Post => {
    const before = whole[i - 1]
    const across = before?.leaf === undefined ? {} : otherSideOf(before)
    const gate = leaf === undefined ? {} : { gate: { leafWidth: leaf } }
    return { ...common, id: idOf(i), station, ...across, ...(duty === undefined ? {} : { duty }), ...gate }
  })
}

function otherSideOf({ leaf, leaves }: TapeReading): Partial<Post> {
  return leaves === 2 ? { duty: 'gate-hinge', gate: { leafWidth: leaf } } : { duty: 'gate-latch' }
}

function stationAfterGate({ station, leaf, leaves }: TapeReading): Metres {
  const { centres } = gateOpening({ ...HARDWARE, leaves: Array<Metres>(leaves ?? 1).fill(leaf!), post: 0.1 })
  return tidy(station + centres)
}
