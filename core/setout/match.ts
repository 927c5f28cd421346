import { InputError } from '../errors'
import type { Metres } from '../units/types'

/** A measured post beside the one that is set: how it leans across the line, m per m. */
export interface NeighbourLean {
  station: Metres
  slope: number
}

export interface PlumbOrMatch {
  /** Offset of the top that is true plumb: none. */
  plumb: 0
  /** Offset of the top that stands as its neighbours stand, m. */
  match: Metres
  difference: Metres
  advice: 'plumb' | 'ask'
}

/** Out of plumb by no more than this at the top, nobody sees a plumb post among its neighbours, m. */
export const UNSEEN: Metres = 0.015
const DUST = 1e-9

/**
 * Set a post plumb, or as the old line leans: a new post plumb among leaning ones stands out, and its panel binds.
 *
 * @param before the nearest measured post on the left, `after` the one on the right; one of them may be missing
 * @param station of the post, `height` of its top over the ground, m
 * @throws InputError where no neighbour was measured, or they do not stand on either side
 * @source leans of the neighbours interpolated by station, × height; over 15 mm the customer is asked
 * @example plumbOrMatch({ before: { station: 2.4, slope: 0.02 }, after: { station: 7.2, slope: 0 } }, 4.8, 1.8)
 *   // match 0.018: ask
 */
export function plumbOrMatch(
  { before, after }: { before?: NeighbourLean | undefined; after?: NeighbourLean | undefined },
  station: Metres,
  height: Metres,
): PlumbOrMatch {
  const slope = slopeAt(before, after, station)
  const match = slope * height
  return { plumb: 0, match, difference: match, advice: Math.abs(match) <= UNSEEN + DUST ? 'plumb' : 'ask' }
}

function slopeAt(before: NeighbourLean | undefined, after: NeighbourLean | undefined, station: Metres): number {
  if (before && before.station > station) throw new InputError('before.station', before.station, `at most ${station} m`)
  if (after && after.station < station) throw new InputError('after.station', after.station, `at least ${station} m`)
  if (!before || !after) {
    const one = before ?? after
    if (!one) throw new InputError('before', before, 'given, or else after: a measured post on one side at least')
    return one.slope
  }
  const apart = after.station - before.station
  const share = apart === 0 ? 0.5 : (station - before.station) / apart
  return before.slope + share * (after.slope - before.slope)
}
