import { InputError } from '../errors'
import type { Metres } from '../units/types'

type Duties = { readonly duties: readonly string[] }

/**
 * On which of its posts each leaf of a bay hangs, none where there is no gate: a hinge post takes its leaf towards the
 * latch, or towards the other hinge post.
 */
export function leavesIn(left: Duties, right: Duties): ('left' | 'right')[] {
  const hangs = ({ duties }: Duties) => duties.includes('gate-hinge')
  const takes = (post: Duties) => hangs(post) || post.duties.includes('gate-latch')
  if (hangs(left) && hangs(right)) return ['left', 'right']
  if (hangs(left) && takes(right)) return ['left']
  return hangs(right) && takes(left) ? ['right'] : []
}

export interface GateHardware {
  /** Widths of one or two leaves, m. */
  leaves: readonly Metres[]
  /** Once for each leaf. */
  hingeGap: Metres
  /** Single leaf only. */
  latchGap: Metres
  /** Two leaves only. */
  meetingGap: Metres
  /** Width of a gate post along the line, m. */
  post: Metres
}

/**
 * Clear opening between the posts of a gate, and the distance of their centres.
 *
 * @example gateOpening({ leaves: [1.1], hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01, post: 0.1 })
 *   // opening 1.135, centres 1.235
 * @throws InputError for no leaf, or for more than two
 */
export function gateOpening({ leaves, hingeGap, latchGap, meetingGap, post }: GateHardware): {
  opening: Metres
  centres: Metres
} {
  if (leaves.length < 1 || leaves.length > 2) throw new InputError('leaves', leaves, 'one leaf or two')
  const wide = leaves.reduce((sum, leaf) => sum + leaf + hingeGap, 0)
  const opening = wide + (leaves.length === 1 ? latchGap : meetingGap)
  return { opening, centres: opening + post }
}
