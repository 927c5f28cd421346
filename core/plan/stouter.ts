import type { PostContext } from '../repair/context'
import { linkOnGustScale, weakestLink } from '../repair/links'
import type { Choice, Design, RepairMethod } from '../repair/method'
import { nextStouter } from '../repair/newPost'
import type { MetresPerSecond } from '../units/types'
import { onBothThresholds } from './thresholds'

/** What a stouter post buys. */
export interface Stouter {
  name: string
  /** Of the method with it, and without. */
  holdingGust: MetresPerSecond
  before: MetresPerSecond
  /** What gives way first then. */
  first: string
}

/**
 * A method with the next stouter post that is sold, all else as it is.
 *
 * @returns undefined where none is sold, or the wind does not reach the post
 * @example a 100 mm post on a footing that goes over at 47 m/s: 47 m/s with one of 125 mm, 'the new footing' first
 */
export function stouterPost(
  method: RepairMethod,
  choice: Choice,
  { newPost, links }: Design,
  context: PostContext,
): Stouter | undefined {
  const next = newPost && nextStouter(context, newPost.section)
  if (!next) return undefined
  const held = (of: Design['links']) => {
    const onScale = of.map((link) => linkOnGustScale(link, context.scale))
    return { gust: onBothThresholds(onScale, context.scale.gust50).holdingGust, first: weakestLink(onScale)?.name }
  }
  const [before, after] = [held(links), held(method.design(context, { ...choice, post: next.key }).links)]
  if (before.gust === undefined || after.gust === undefined || !Number.isFinite(after.gust)) return undefined
  return { name: next.name, holdingGust: after.gust, before: before.gust, first: after.first! }
}
