import { BELOW_FROST } from '../../ground/frost'
import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { chosenHole, designHole, holeSegments, holeSolids, toolWidth } from '../hole'
import { answersByTable, commonRefusals, type Choice, type RepairMethod } from '../method'
import { box } from '../solids'
import {
  buriedDepth,
  isBroken,
  oldBlock,
  oldConcreteVolume,
  postMatter,
  softAtGround,
  standingPostLink,
} from '../standing'

const key = 'recast-footing'
/** Soft wood deeper than this below ground means the post itself has to go, m. */
const SOFT_BELOW: Metres = 0.005
/** Room to cast round the old footing's bed, m. */
const WIDER_THAN_OLD: Metres = 0.1
/** With less of the post in the ground than this nothing cast round it holds it, m. */
const LEAST_EMBEDMENT: Metres = 0.45
/** Widths that are tried over the first, m, and the widest that anybody digs round a standing post. */
const WIDER: readonly Metres[] = [0, 0.05, 0.1]
const WIDEST: Metres = 0.4

/**
 * Keep the post, break out the small footing in halves, cast a larger one round it. Nobody digs under a standing
 * post's foot: the depth ends there, and it is the width that grows.
 */
export const recastFooting: RepairMethod = {
  key,
  takesOut: ['footing'],
  needs: [],
  answers: answersByTable(key),
  against,
  variants: () => WIDER.map((more) => ({ wider: String(more) })),
  design(context, choice) {
    const { post, line, along } = context
    const foot = buriedDepth(context)
    const hole = designHole(context, key, { deepest: foot, width: widthOf(context, choice) })
    return {
      links: [standingPostLink(context), context.ground('footing', 'the larger footing', holeSegments(hole, along))],
      earthwork: {
        holes: [hole],
        fills: [
          {
            kind: 'concrete',
            hole: 0,
            castIn: { section: post.section, foot: Math.min(foot, hole.footingBottom) },
            leftBy: oldBlock(context),
          },
        ],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [],
      stands: () => [
        ...holeSolids(hole),
        {
          key: 'post',
          matter: postMatter(post),
          outline: box(-along / 2, along / 2, -foot, line.height),
          edge: 'solid',
          link: 'post',
        },
      ],
    }
  },
}

function against(context: PostContext): string[] {
  const { post, site } = context
  const reasons = commonRefusals(context)
  const foot = buriedDepth(context)
  const metres = context.says.length
  if (post.roomToDig === false) reasons.push('There is no room to dig round it.')
  if (isBroken(context)) reasons.push('The post is broken.')
  if (softAtGround(context) > SOFT_BELOW) reasons.push('The wood at or below ground is gone soft.')
  if (post.observations.pushPivot === 'at-ground-line')
    reasons.push('It turns at the ground: it is the post that went.')
  if (post.footing?.kind === 'plate') reasons.push('The post stands on a plate, not in the ground.')
  else if (foot < LEAST_EMBEDMENT)
    reasons.push(`Only ${metres(foot)} of the post is in the ground: ${metres(LEAST_EMBEDMENT)} is the least.`)
  // Its foot stays where it is: what asks for more depth asks for another post.
  else if (chosenHole(post, key).depth === undefined) {
    const frost = site.frostDepth + BELOW_FROST
    if (foot < frost - 1e-9) reasons.push(`The post ends at ${metres(foot)}, frost asks for ${metres(frost)}.`)
    else if (foot < site.minimumDepth - 1e-9)
      reasons.push(`The post ends at ${metres(foot)}, the local rules ask for ${metres(site.minimumDepth)}.`)
  }
  return reasons
}

function widthOf(context: PostContext, { wider }: Choice): Metres {
  const { post, along, across } = context
  const old = post.footing?.kind === 'concrete' ? (post.footing.diameter ?? 0) + WIDER_THAN_OLD : 0
  const least = Math.max(old, Math.hypot(along, across) + WIDER_THAN_OLD)
  return toolWidth(context, Math.max(least, Math.min(WIDEST, least + Number(wider))))
}
