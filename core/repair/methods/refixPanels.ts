import type { Capacity } from '../../tables/parts'
import { row } from '../../tables/tables'
import type { PostContext } from '../context'
import { fixingTension } from '../fixings'
import type { LinkCapacity } from '../links'
import { railsOf } from '../members/rails'
import { answersByTable, chosenPart, soldHere, type RepairMethod } from '../method'
import { standingFootingLink, standingPostLink } from '../standing'

const key = 'refix-panels'
/** At each end of a rail; a working value. */
const FIXINGS_AN_END = 2

/** Rails, clips and panels fixed anew: the post has nothing wrong with it, and nothing is dug. */
export const refixPanels: RepairMethod = {
  key,
  takesOut: [],
  needs: ['rail-fixing'],
  answers: answersByTable(key),
  against: ({ post }) => (post.duties.includes('roadside-box') ? ['There are no rails or panels at a box.'] : []),
  /** The thinnest that holds the target. */
  variants(context) {
    const chosen = chosenPart(context, 'rail-fixing', '')
    const rows = soldHere(context, context.tables.parts.lists['rail-fixing'].rows)
    return (chosen ? [chosen] : rows.map((each) => each.key)).map((fixing) => ({ 'rail-fixing': fixing }))
  },
  design(context, choice) {
    const { material, tables } = context
    const fixing = row(tables.parts.lists['rail-fixing'].rows, choice['rail-fixing']!)
    const fixings = railsOf(context).count * FIXINGS_AN_END
    const footing = standingFootingLink(context)
    return {
      links: [
        ...(material.wood ? [railLink(context, fixingTension(fixing, material), fixings)] : []),
        standingPostLink(context),
        ...(footing ? [footing] : []),
      ],
      parts: [{ kind: 'rail-fixing', key: fixing.key, count: 2 * fixings }],
      stands: () => [],
    }
  },
}

/** Half the wind on the post comes from each side; the fixings of that side share it. */
function railLink({ links }: PostContext, capacity: Capacity, fixings: number): LinkCapacity {
  const share = 0.5 / fixings
  return links.proportional('rail-fixings', 'the fixings of the rails', {
    ...capacity,
    perNewton: share,
    used: ({ across }) => Math.abs(across.force) * share,
  })
}
