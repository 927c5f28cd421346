import type { Post } from './job'

/** Drawn by shape and word: solid, dashed, broken outline, thin. */
export type PostState = 'sound' | 'doubtful' | 'failed' | 'unseen'

/** Soft wood that fails a post and that leaves it in doubt, m. */
const FAILED_SOFT = 0.01
const DOUBTFUL_SOFT = 0.003

/** What the readings say of a post at a glance; the cause is another question. */
export function postState({ observations = {} }: Post): PostState {
  const { pushPivot, breakFace, probeAtGround = 0, probeBelow = 0, probeAbove = 0 } = observations
  if (Object.keys(observations).length === 0) return 'unseen'
  const soft = Math.max(probeAtGround, probeBelow, probeAbove)
  const broken = breakFace !== undefined && breakFace !== 'none'
  const moves = pushPivot !== undefined && pushPivot !== 'nothing-moves' && pushPivot !== 'panel-only'
  if (broken || moves || soft > FAILED_SOFT) return 'failed'
  if (pushPivot === 'nothing-moves' && soft <= DOUBTFUL_SOFT && observations.lean === undefined) return 'sound'
  return 'doubtful'
}
