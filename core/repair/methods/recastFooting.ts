import type { Metres } from '../../units/types'
import { designHole, holeSegments, holeSolids } from '../hole'
import { answersByTable, commonRefusals, verdictOf, type RepairMethod } from '../method'
import { box } from '../solids'
import { buriedDepth, isBroken, oldBlock, oldConcreteVolume, softAtGround, standingPostLink } from '../standing'

const key = 'recast-footing'
/** Soft wood deeper than this below ground means the post itself has to go, m. */
const SOFT_BELOW: Metres = 0.005
/** Room to cast round the old footing's bed, m. */
const WIDER_THAN_OLD: Metres = 0.1

/** Keep the post, break out the small footing in halves, cast a larger one round it. */
export const recastFooting: RepairMethod = {
  key,
  needs: [],
  answers: answersByTable(key),
  variants: () => [{}],
  design(context) {
    const { post, line, along } = context
    const hole = designHole(context, { leastDiameter: (post.footing?.diameter ?? 0) + WIDER_THAN_OLD })
    // The standing post reaches down only so far; below it the hole is all concrete.
    const foot = Math.min(buriedDepth(context), hole.footingBottom)
    return {
      links: [standingPostLink(context), context.ground('footing', 'the larger footing', holeSegments(hole, along))],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'concrete', hole: 0, castIn: { section: post.section, foot }, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [],
      stands: [
        ...holeSolids(hole),
        {
          key: 'post',
          matter: 'wood',
          outline: box(-along / 2, along / 2, -foot, line.height),
          edge: 'solid',
          link: 'post',
        },
      ],
    }
  },
  verdict(context) {
    const reasons = commonRefusals(context)
    if (isBroken(context)) reasons.push('The post is broken.')
    if (softAtGround(context) > SOFT_BELOW) reasons.push('The wood at or below ground is gone soft.')
    if (context.post.footing?.kind === 'plate') reasons.push('The post stands on a plate, not in the ground.')
    return verdictOf(reasons)
  },
}
