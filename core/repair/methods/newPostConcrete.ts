import type { PostContext } from '../context'
import { designHole, holeSegments, holeSolids } from '../hole'
import type { DesignedHole } from '../holeShape'
import { answersByTable, commonRefusals, oldOutSteps, type Choice, type Design, type RepairMethod } from '../method'
import { newPostLink, newPostOf, newPostSolid, postVariants } from '../newPost'
import { footingSolids, goneSolids, isHeavyGround, oldBlock, oldConcreteVolume } from '../standing'

const key = 'new-post-concrete'

/** New post in a new or cleared hole: the fallback that is nearly always open. */
export const newPostConcrete: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post'],
  answers: answersByTable(key),
  // In heavy ground stone drains, and gives with it.
  unsuited: ({ post }) => isHeavyGround(post),
  against: commonRefusals,
  variants: postVariants,
  design: (context, choice) =>
    castPost(context, choice, designHole(context, key, { stands: newPostOf(context, choice) })),
}

/** A new post cast into a hole where the old one stood. */
export function castPost(context: PostContext, choice: Choice, hole: DesignedHole): Design {
  const { post } = context
  const stands = newPostOf(context, choice)
  return {
    links: [
      newPostLink(context, stands),
      context.ground('footing', 'the new footing', holeSegments(hole, stands.along)),
    ],
    earthwork: {
      holes: [hole],
      fills: [{ kind: 'concrete', hole: 0, castIn: { section: stands.section }, leftBy: oldBlock(context) }],
      oldConcrete: oldConcreteVolume(context),
    },
    parts: [{ kind: 'post', key: choice.post!, count: 1 }],
    stands: () => [
      ...goneSolids(footingSolids(post, 'dashed', 'old-footing')),
      ...holeSolids(hole),
      newPostSolid(context, stands, hole.footingBottom),
    ],
    newPost: { length: hole.footingBottom + post.top, section: stands.section },
    skips: oldOutSteps(context),
  }
}
