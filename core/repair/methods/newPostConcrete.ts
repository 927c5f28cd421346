import { newPostLink, type PostContext } from '../context'
import { designHole, holeSegments } from '../hole'
import { commonRefusals, oldConcreteVolume, type RepairMethod } from '../method'

/** New post in a new or cleared hole: the fallback that is nearly always open. */
export const newPostConcrete: RepairMethod = {
  key: 'new-post-concrete',
  refusals: (context) => commonRefusals(context),
  design(context: PostContext) {
    const hole = designHole(context)
    return {
      links: [newPostLink(context), context.ground('footing', 'the new footing', holeSegments(hole, context.along))],
      hole,
      inConcrete: context.post.section,
      oldConcrete: oldConcreteVolume(context),
    }
  },
}
