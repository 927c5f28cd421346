import type { Metres } from '../units/types'

export const DIGGING_TOOLS = ['auger', 'post-hole-digger', 'spade'] as const
export type DiggingTool = (typeof DIGGING_TOOLS)[number]

/** What each tool digs over the plan; working values. */
const BY_TOOL: Record<DiggingTool, number> = { auger: 0.05, 'post-hole-digger': 0.1, spade: 0.25 }
/** How deep each tool goes before it is at its end, m; working values. */
const REACH: Record<DiggingTool, Metres> = { auger: 0.9, 'post-hole-digger': 1.2, spade: 0.7 }
/** What holes are dug with where nobody said. */
export const USUAL_TOOL: DiggingTool = 'post-hole-digger'

/** @example reachOf('auger') // 0.9 m */
export const reachOf = (tool: DiggingTool = USUAL_TOOL): Metres => REACH[tool]

/**
 * Share dug over the plan: by tool and soil, or as it was learnt.
 *
 * @param soilExtra the soil's own part, 0.1 in gravel and made ground
 * @param learnt    actual over planned volume of one's own holes, in the middle
 * @example overdig('spade', 0.1) // 0.35
 * @example overdig('spade', 0.1, 1.2) // 0.20
 */
export const overdig = (tool: DiggingTool, soilExtra: number, learnt?: number): number =>
  learnt === undefined ? BY_TOOL[tool] + soilExtra : Math.max(0, learnt - 1)
