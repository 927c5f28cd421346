import { designHole, holeSegments, holeSolids, toolWidth } from '../hole'
import { answersByTable, commonRefusals, oldOutSteps, type RepairMethod } from '../method'
import { newPostLink, newPostOf, newPostSolid, postVariants } from '../newPost'
import {
  footingSolids,
  goneSolids,
  isHeavyGround,
  isOnPlate,
  oldBlock,
  oldConcreteVolume,
  STONE_BEARING,
} from '../standing'

const key = 'new-post-stone'
/** Its hole is this many times as wide as the post: room to tamp. */
const WIDTHS = 3
/** Stone moves in what runs. */
const RUNNING = ['loose-sand']

/** New post in compacted graded stone: it drains, and gives with heavy clay. */
export const newPostStone: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post'],
  answers: answersByTable(key),
  unsuited: ({ post }) => !isHeavyGround(post),
  against(context) {
    const { post, line } = context
    const reasons = commonRefusals(context)
    if (RUNNING.includes(post.soil)) reasons.push('Loose sand runs from under the stone: it does not stay tamped.')
    if (post.duties.some((duty) => duty.startsWith('gate'))) reasons.push('A gate works a post loose in stone.')
    if (isOnPlate(post)) reasons.push('It stands on a slab: there is no ground to tamp.')
    if (line.kind === 'single') reasons.push('Knocks work a single post loose in stone.')
    return reasons
  },
  variants: postVariants,
  design(context, choice) {
    const { post } = context
    const stands = newPostOf(context, choice)
    const width = toolWidth(context, WIDTHS * Math.min(stands.along, stands.across))
    const hole = designHole(context, key, { stands, width, bearing: STONE_BEARING })
    return {
      links: [
        newPostLink(context, stands),
        context.ground('footing', 'the post in its stone', holeSegments(hole, stands.along, STONE_BEARING)),
      ],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'stone', hole: 0, castIn: { section: stands.section }, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [{ kind: 'post', key: choice.post!, count: 1 }],
      stands: () => [
        ...goneSolids(footingSolids(post, 'dashed', 'old-footing')),
        ...holeSolids(hole, 'stone'),
        newPostSolid(context, stands, hole.footingBottom),
      ],
      newPost: { length: hole.footingBottom + post.top, section: stands.section },
      skips: oldOutSteps(context),
    }
  },
}
