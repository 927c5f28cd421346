import type { PostContext } from '../repair/context'
import { givesWay, linkOnGustScale } from '../repair/links'
import type { Design } from '../repair/method'
import type { MetresPerSecond, Years } from '../units/types'
import { returnPeriodOfGust } from '../wind/returnPeriod'

/** What a repair goes over at when water stands in its ground. */
export interface Soaked {
  gust: MetresPerSecond
  returnYears: Years
}

/**
 * What a repair comes down to on soaked ground, where that is under the target: sand and gravel are buoyed up and lose
 * what held them together, clay keeps three quarters of its strength.
 *
 * @returns undefined where it holds the target soaked too, where it does not hold it as the ground is, and where water
 *   is in the ground already
 * @example soakedUnderTarget(context, design) // a post for 38 m/s in medium sand: { gust: 32.8, returnYears: 5.7 }
 */
export function soakedUnderTarget(context: PostContext, { links }: Pick<Design, 'links'>): Soaked | undefined {
  const { post, scale, targetGust } = context
  if (post.saturated || !links.some(({ segments }) => segments)) return undefined
  const holds = (inWater: boolean) =>
    Math.min(
      ...links.map((link) =>
        givesWay(
          linkOnGustScale(
            inWater && link.segments ? context.ground(link.link, link.name, link.segments, true) : link,
            scale,
          ),
        ),
      ),
    )
  const gust = holds(true)
  if (gust >= targetGust || holds(false) < targetGust) return undefined
  return { gust, returnYears: returnPeriodOfGust(gust, scale.gust50) }
}
