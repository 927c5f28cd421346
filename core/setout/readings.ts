import type { Metres } from '../units/types'

/* Readings found beside those that are wanted, each answered with one word. */

export type HoleAction = 'dig' | 'tamp' | 'right' | 'pack'

export interface HoleReading {
  /** From the string to the bottom of the hole, m. */
  wanted: Metres
  /** Of the bottom, down positive, m. */
  move: Metres
  action: HoleAction
}

/** Nearer than this a hole is right; a loose bottom goes down by as much as the other when it is rammed, m. */
export const RIGHT: Metres = 0.005
export const TAMPED: Metres = 0.025
const DUST = 1e-9

/**
 * What a tape from the string to the bottom of a hole has to show, and what to do when it shows something else. It is
 * read before the stone goes in.
 *
 * @param string   height above the ground at the post, m
 * @param depth    of the hole with its stone bed, m
 * @param measured from the string to the bottom, m
 * @source working values: right within 5 mm, short by up to 25 mm is rammed down, more is dug, too deep is packed
 * @example holeReading(1.9, 0.75, 2.62) // wanted 2.65, move 0.03: dig
 */
export function holeReading(string: Metres, depth: Metres, measured: Metres): HoleReading {
  const wanted = string + depth
  const move = wanted - measured
  return { wanted, move, action: actionOf(move) }
}

function actionOf(move: Metres): HoleAction {
  if (Math.abs(move) <= RIGHT + DUST) return 'right'
  if (move < 0) return 'pack'
  return move <= TAMPED + DUST ? 'tamp' : 'dig'
}

export type GapAction = 'in' | 'out' | 'leave'

/** Closer than this nobody sets a post to a string, m. */
const NEAR_ENOUGH: Metres = 0.002

/**
 * Whether a post goes in, towards the string, or out, away from it.
 *
 * @param wanted gap between string and face, m
 * @param found  what the tape shows, m
 * @returns `move` towards the string positive, m
 * @example gapReading(0.012, 0.02) // in, 0.008
 */
export function gapReading(wanted: Metres, found: Metres): { move: Metres; action: GapAction } {
  const move = found - wanted
  if (Math.abs(move) <= NEAR_ENOUGH + DUST) return { move, action: 'leave' }
  return { move, action: move > 0 ? 'in' : 'out' }
}
