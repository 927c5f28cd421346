import { roundUpTo, tidy } from '../numeric/rounding'
import { INCH } from './constants'
import type { LengthSystem } from './length'
import type { Metres } from './types'

/** No finer than anybody digs or saws to, m. */
export const WORKING_STEP: Record<LengthSystem, Metres> = { metric: 0.01, 'feet-inches': INCH }

/** A finer step than this goes by the quarter inch, m. */
const FINE: Metres = 0.01

/**
 * A length one step on: on a tape of inches by the inch, or by its quarter, to the next mark.
 *
 * @param by m; negative for less
 * @example stepped(0.6, 0.05, 'metric') // 0.65
 * @example stepped(0.6, 0.05, 'feet-inches') // 0.6096: from 23 5⁄8" to 24"
 */
export function stepped(from: Metres, by: Metres, units: LengthSystem): Metres {
  if (units === 'metric') return tidy(from + by)
  const mark = Math.abs(by) <= FINE ? INCH / 4 : INCH
  // The next mark over it, or under it: the way back is the way up of its negative.
  return by > 0 ? roundUpTo(from + HAIR, mark) : 0 - roundUpTo(HAIR - from, mark)
}
/** What stands on a mark goes on to the next, m. */
const HAIR: Metres = 1e-4
