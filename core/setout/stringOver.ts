import { InputError } from '../errors'
import type { Metres } from '../units/types'

/** Where the string is held: over one post, at this height over the common datum, m. */
export interface StringHold {
  station: Metres
  height: Metres
}

/**
 * Height of a string that is pulled straight from hold to hold, and on straight beyond the first and the last.
 *
 * @param holds by rising station, at least one; a single one carries it level
 * @returns m over the datum of the holds
 * @throws InputError when nothing holds it
 * @example stringOver([{ station: 0, height: 1.8 }, { station: 10, height: 1.3 }], 4) // 1.6
 */
export function stringOver(holds: readonly StringHold[], station: Metres): Metres {
  const [first, second] = holds
  if (!first) throw new InputError('holds', holds, 'at least one post that carries the string')
  if (!second) return first.height
  const after = holds.findIndex((hold) => hold.station >= station)
  const right = after < 0 ? holds.length - 1 : Math.max(1, after)
  const [from, to] = [holds[right - 1]!, holds[right]!]
  if (to.station === from.station) return to.height
  return from.height + ((to.height - from.height) * (station - from.station)) / (to.station - from.station)
}
