import { softAtGround, standingPostLink, isBroken, type PostContext } from '../context'
import { designHole, holeSegments } from '../hole'
import { commonRefusals, oldConcreteVolume, type RepairMethod } from '../method'
import { grossArea } from '../../timber/section'

/** Soft wood deeper than this below ground means the post itself has to go, m. */
const SOFT_BELOW = 0.005
/** Room to cast round the old footing's bed, m. */
const WIDER_THAN_OLD = 0.1

/** Keep the post, break out the small footing in halves, cast a larger one round it. */
export const recastFooting: RepairMethod = {
  key: 'recast-footing',
  refusals(context) {
    const reasons = commonRefusals(context)
    if (isBroken(context)) reasons.push('The post is broken.')
    if (softAtGround(context) > SOFT_BELOW) reasons.push('The wood at or below ground is gone soft.')
    if (context.post.footing?.kind === 'plate') reasons.push('The post stands on a plate, not in the ground.')
    return reasons
  },
  design(context: PostContext) {
    const { post, line, along } = context
    const hole = designHole(context, { leastDiameter: (post.footing?.diameter ?? 0) + WIDER_THAN_OLD })
    const buried = Math.max(0, post.length - line.height)
    return {
      links: [standingPostLink(context), context.ground('footing', 'the larger footing', holeSegments(hole, along))],
      hole,
      inConcrete: post.section,
      // The standing post reaches down only so far; below it the hole is all concrete.
      insets: [-grossArea(post.section) * Math.max(0, hole.footingBottom - buried)],
      oldConcrete: oldConcreteVolume(context),
    }
  },
}
