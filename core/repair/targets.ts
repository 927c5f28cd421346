import type { PostContext } from './context'
import { gustsOf, type LinkCapacity } from './links'

/** What holds both targets has this share of them. */
export const HOLDS = 1

/** Share of both targets that all of the links hold, 1 and more where they hold them. */
export function shareOfTargets(
  { scale, targetGust, leanTargetGust }: PostContext,
  links: readonly LinkCapacity[],
): number {
  return links.reduce((least, link) => {
    const { givesWay, lean = givesWay } = gustsOf(link, scale)
    return Math.min(least, givesWay / targetGust, Math.min(lean, givesWay) / leanTargetGust)
  }, Infinity)
}
