import type { PostContext } from '../repair/context'
import { linkOnGustScale, type Link } from '../repair/links'
import type { Choice, Design, RepairMethod, Verdict } from '../repair/method'
import { onBothThresholds, type Thresholds } from './thresholds'

/** A method with the parts that it is made with on this post, and what it then holds. */
export interface DesignedMethod {
  choice: Choice
  design: Design
  verdict: Verdict
  links: Link[]
  thresholds: Thresholds
}

/**
 * The first of a method's variants that is allowed and holds both targets; else of those that are allowed the one that
 * comes nearest to them; where none is, the first with its reasons.
 */
export function designMethod(method: RepairMethod, context: PostContext): DesignedMethod {
  const { scale } = context
  let best: DesignedMethod | undefined
  let rank = -Infinity
  for (const choice of method.variants(context)) {
    const design = method.design(context, choice)
    const verdict = method.verdict(context, design)
    const links = design.links.map((capacity) => linkOnGustScale(capacity, scale))
    const thresholds = onBothThresholds(links, scale.gust50)
    const of = verdict.verdict === 'allowed' ? nearness(context, thresholds) : -1
    if (of > rank) {
      best = { choice, design, verdict, links, thresholds }
      rank = of
    }
    if (rank >= HOLDS) break
  }
  return best!
}

/** Share of both targets that is held; of one that holds nothing of its own, none. */
function nearness({ targetGust, leanTargetGust }: PostContext, { holdingGust = 0, leanGust = Infinity }: Thresholds) {
  return Math.min(holdingGust / targetGust, leanGust / leanTargetGust)
}
const HOLDS = 1

/** Goes over at the target's gust at least, and leans at the lean target's at least. */
export const holdsTargets = (context: PostContext, thresholds: Thresholds): boolean =>
  thresholds.holdingGust !== undefined && nearness(context, thresholds) >= HOLDS
