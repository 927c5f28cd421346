import { newPostLink } from '../context'
import { designHole, holeSegments, holeSolids } from '../hole'
import { answersByTable, commonRefusals, verdictOf, type RepairMethod } from '../method'
import { box } from '../solids'
import { footingSolids, oldBlock, oldConcreteVolume } from '../standing'

const key = 'new-post-concrete'

/** New post in a new or cleared hole: the fallback that is nearly always open. */
export const newPostConcrete: RepairMethod = {
  key,
  needs: [],
  answers: answersByTable(key),
  variants: () => [{}],
  design(context) {
    const { post, line, along } = context
    const hole = designHole(context)
    const standing = box(-along / 2, along / 2, -hole.footingBottom, line.height)
    return {
      links: [newPostLink(context), context.ground('footing', 'the new footing', holeSegments(hole, along))],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'concrete', hole: 0, castIn: { section: post.section }, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [],
      stands: [
        ...footingSolids(post, 'dashed', 'old-footing'),
        ...holeSolids(hole),
        { key: 'post', matter: 'new-wood', outline: standing, edge: 'solid', link: 'post' },
      ],
    }
  },
  verdict: (context) => verdictOf(commonRefusals(context)),
}
