import type { PostContext } from '../repair/context'
import { linkOnGustScale, type Link, type LinkCapacity } from '../repair/links'
import { verdictOf, type Choice, type Design, type RepairMethod, type Verdict } from '../repair/method'
import { standingFootingLink, standingPostLink } from '../repair/standing'
import { HOLDS, shareOfTargets } from '../repair/targets'
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
 *
 * @param against reasons that no choice of its parts changes, where they are known
 */
export function designMethod(
  method: RepairMethod,
  context: PostContext,
  against = method.against(context),
): DesignedMethod {
  const { scale } = context
  const choices = method.variants(context)
  let best: Pick<DesignedMethod, 'choice' | 'design' | 'verdict'> | undefined
  let rank = -Infinity
  for (const choice of against.length > 0 ? choices.slice(0, 1) : choices) {
    const design = method.design(context, choice)
    const verdict = verdictWith(against, method.verdict?.(context, design))
    const share = shareOfTargets(context, design.links)
    const of = verdict.verdict === 'allowed' ? share : -1
    if (of > rank) {
      best = { choice, design, verdict }
      rank = of
    }
    // What stays as it stands is in every variant: none of them can do better than that.
    if (rank >= Math.min(HOLDS, shareOfTargets(context, stayingLinks(context, design)))) break
  }
  const links = best!.design.links.map((capacity) => linkOnGustScale(capacity, scale))
  const { choice, design, verdict } = best!
  return { choice, design, verdict, links, thresholds: onBothThresholds(links, scale.gust50) }
}

function verdictWith(against: readonly string[], own: Verdict = verdictOf([])): Verdict {
  if (against.length === 0) return own
  return verdictOf([...against, ...(own.verdict === 'refused' ? own.reasons : [])])
}

/** Links of the post and the footing that a design leaves as they are. */
function stayingLinks(context: PostContext, { links }: Design): LinkCapacity[] {
  const standing = [standingPostLink(context), standingFootingLink(context)]
  return links.filter((link) => standing.includes(link))
}

/** Goes over at the target's gust at least, and leans at the lean target's at least. */
export const holdsTargets = (
  { targetGust, leanTargetGust }: PostContext,
  { holdingGust, leanGust = holdingGust }: Thresholds,
): boolean => holdingGust !== undefined && holdingGust >= targetGust && leanGust! >= leanTargetGust
