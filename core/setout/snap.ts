import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'

export interface Snapped {
  station: Metres
  /** What it was drawn to, in words for the live dimension; absent where only the tape's mark holds it. */
  to?: 'equal bays' | 'same bay'
}

export interface SnapOptions {
  /** Neighbours between which the post moves, where there are any. */
  before?: Metres
  after?: Metres
  /** Bay before the neighbour on the left: the one to repeat. */
  bayBefore?: Metres
  /** Mark of the tape: 0.01 m, or half an inch. */
  step: Metres
  /** How near a wished-for place draws the post to it, m. */
  reach: Metres
}

/** Posts keep at least this far apart, m. */
const CLOSEST: Metres = 0.1

/**
 * Where a dragged post comes to rest: halfway between its neighbours, at the same bay as before, or at the next mark
 * of the tape; never beyond its neighbours.
 *
 * @example snapStation(2.37, { before: 0, after: 4.8, step: 0.01, reach: 0.05 }) // 2.4, equal bays
 */
export function snapStation(wanted: Metres, { before, after, bayBefore, step, reach }: SnapOptions): Snapped {
  const lowest = before === undefined ? 0 : before + CLOSEST
  const highest = after === undefined ? Infinity : after - CLOSEST
  const wishes: Snapped[] = [
    ...(before !== undefined && after !== undefined
      ? [{ station: (before + after) / 2, to: 'equal bays' as const }]
      : []),
    ...(before !== undefined && bayBefore !== undefined
      ? [{ station: before + bayBefore, to: 'same bay' as const }]
      : []),
  ]
  const near = wishes
    .filter(({ station }) => Math.abs(station - wanted) <= reach && station >= lowest && station <= highest)
    .sort((a, b) => Math.abs(a.station - wanted) - Math.abs(b.station - wanted))[0]
  if (near) return { ...near, station: tidy(near.station) }
  const marked = Math.round(wanted / step) * step
  return { station: tidy(Math.min(highest, Math.max(lowest, marked))) }
}
