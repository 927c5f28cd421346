import type { MetresPerSecond, Radians, Years } from '../units/types'

/* What the years see of a post and its repair: gusts by experience, and what they leave behind. */

/** What a post ends by: it leans for good, or a part of it gives way. */
export const ENDS = ['leans', 'ground', 'wood', 'fixings', 'pin', 'anchor', 'part'] as const
export type Ends = (typeof ENDS)[number]

/** The ground round a footing in one state of its water. */
export interface GroundInWater {
  /** Gust at which it goes over, m/s. */
  over: MetresPerSecond
  /**
   * Rotation that a load from rest leaves, rad, × (1 − x)/x² with x the load's share of `over`: at x from 0 in even
   * steps to 1. It is smooth so, and straight lines between its points will do.
   */
  left: readonly Radians[]
}

export interface StandingGround {
  drained: GroundInWater
  saturated: GroundInWater
  /** Scatter of the strength that the line has in common, where a pull narrowed it. */
  common?: number
}

/** Wood, or another stuff that goes, where the post meets the ground. */
export interface GoingWood {
  /**
   * Gust at which it breaks with so much of its thickness gone soft, m/s: from none in even steps to all of it. The
   * first is that of sound wood.
   */
  over: readonly MetresPerSecond[]
  /** Median of the years until soft wood begins. */
  life: Years
  /** Of the post at the start. */
  age: Years
  /** Share of its thickness that was found soft at the start; 0 where it was probed and is hard; absent where nobody looked. */
  soft?: number
}

/** What stays as it is made, until a gust breaks it. */
export interface SteadyPart {
  ends: Exclude<Ends, 'leans' | 'ground'>
  over: MetresPerSecond
}

/** One post with one repair, or as it stands. */
export interface Stand {
  ground?: StandingGround
  wood?: GoingWood
  parts: readonly SteadyPart[]
  /** Out of plumb across the line at the start, with its sign. */
  lean?: Radians
  /** Posts of one line are told apart by this: their ground and wood are their own. */
  post?: number
}
