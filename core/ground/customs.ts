import type { Metres } from '../units/types'

/** How holes are dug, and their depths said, where people read these units. */
export interface DiggingCustoms {
  /** What a handle is marked in, m: depths go up to the next. */
  depthStep: Metres
  /** Widths that tools dig, m, smallest first. */
  toolWidths: readonly Metres[]
  /** Depths that people swear by, with the words for them. */
  always: CustomaryDepth
  trade: CustomaryDepth
  /** Lengths in which posts are sold, m, shortest first. */
  stockLengths: readonly Metres[]
  /** How far under the frost a footing ends, in words. */
  belowFrost: string
}

export interface CustomaryDepth {
  depth: Metres
  words: string
}

/** Working values of a metric trade. */
export const METRIC_CUSTOMS: DiggingCustoms = {
  depthStep: 0.05,
  toolWidths: [0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.75, 0.9, 1.2, 1.5, 2],
  always: { depth: 0.6, words: '0.6 m' },
  trade: { depth: 0.75, words: '0.75 m' },
  stockLengths: [1.5, 1.8, 2.1, 2.4, 2.7, 3, 3.6, 4.2, 4.8],
  belowFrost: '0.15 m',
}
