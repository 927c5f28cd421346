import type { PostContext } from '../repair/context'
import { givesWay, gustFor, linkOnGustScale, weakestLink, type LinkCapacity } from '../repair/links'
import {
  footingRangeLinks,
  isBroken,
  leanOf,
  standingFootingLink,
  standingPostLink,
  turnsByHand,
} from '../repair/standing'
import type { Assumption } from '../resolve/resolve'
import { FOOT } from '../units/constants'
import type { Metres, MetresPerSecond, Newtons } from '../units/types'
import { returnPeriodOfGust } from '../wind/returnPeriod'
import { onBothThresholds } from './thresholds'
import type { StandingPlan } from './types'

/** Somebody's push, and where it acts; a post that turns under it has given way. Working values. */
const PUSH: Newtons = 250
const PUSH_HEIGHT: Metres = 1.2
/** Out of plumb by more than this, it has gone already. */
const GONE_LEAN = 1 / 40

/**
 * The post and footing as they stand, on the same scale as every repair. What moves cannot hold: no figure is larger
 * than what was seen allows, whatever a part of it might still stand.
 */
export function planStanding(context: PostContext, assumed: Assumption[]): StandingPlan {
  const { post, soil, scale } = context
  const capacities: LinkCapacity[] = [standingPostLink(context)]
  const footing = standingFootingLink(context)
  if (footing) capacities.push(footing)
  const links = capacities.map((capacity) => linkOnGustScale(capacity, scale))
  const weakest = weakestLink(links)
  const common = { links, ...(weakest ? { weakest: weakest.link } : {}) }

  const gone = goneWords(context)
  if (gone) return { ...common, state: 'given-way', says: gone }
  if (!footing && soil) {
    assumed.push({
      post: post.id,
      key: 'footing',
      value: post.footing?.kind ?? 'unknown',
      why: 'not measured: what the standing footing holds is a range',
    })
  }
  if (turnsByHand(context)) {
    const cap = pushGust(context)
    const gust = Math.min(cap, footing && weakest ? givesWay(weakest) : cap)
    return {
      ...common,
      state: 'moves',
      holdingGust: gust,
      returnYears: returnPeriodOfGust(gust, scale.gust50),
      says: 'it moves by hand',
    }
  }
  if (footing) return { ...common, state: 'holds', ...onBothThresholds(links, scale.gust50) }
  // The post alone would hold more than its anchors, of which nothing is known.
  if (post.footing?.kind === 'plate')
    return { ...common, state: 'not-known', says: 'what holds its plate is not measured' }
  if (!soil || post.isAssumed.soil)
    return {
      ...common,
      state: 'not-known',
      says: soil ? 'neither footing nor soil is known' : context.noFigure!.advice,
    }
  const ends = footingRangeLinks(context).map((link) => {
    const weakestOf = weakestLink([...links, linkOnGustScale(link, scale)])!
    return givesWay(weakestOf)
  })
  return {
    ...common,
    state: 'range',
    range: [Math.min(...ends), Math.max(...ends)],
    says: 'its footing is not measured',
  }
}

/** Gust of the moment that a push has at the ground, by the bare formulas: it was seen, not worked out. */
const pushGust = ({ wind, forceAtUnitGust }: PostContext): MetresPerSecond =>
  gustFor((PUSH * PUSH_HEIGHT) / wind.height, forceAtUnitGust)

function goneWords(context: PostContext): string | undefined {
  const { observations } = context.post
  if (isBroken(context)) return 'it is broken'
  if (observations.comesUpright === 'easily') return 'it comes upright by hand'
  const lean = leanOf(context)
  return lean > GONE_LEAN ? `it leans ${leanWords(lean, context)}` : undefined
}

/** @example leanWords(0.042, context) // '42 mm in every metre', or `1⁄2" in every foot` */
const leanWords = (lean: number, { says: { units, small } }: PostContext): string =>
  units === 'metric' ? `${small(lean)} in every metre` : `${small(lean * FOOT)} in every foot`
