import { row } from '../../tables/tables'
import type { Metres, Pascals } from '../../units/types'
import { answersByTable, chosenPart, commonRefusals, type RepairMethod } from '../method'
import { anchorTension, concreteBreakout, thinnestSlab } from '../members/basePlate'
import { isBroken, softAtGround, standingPostLink } from '../standing'

const key = 'plate-on-slab'
/** Of the commonest plate; all working values, m: its anchors, from its pressed edge to those that pull, to the slab's edge. */
const PLATE = { anchors: 4, pulling: 2, edgeToAnchors: 0.13, spacing: 0.11, toSlabEdge: 0.12 }
const SLAB_STRENGTH: Pascals = 20e6
/** Anchors in cracked, weathered slabs at allowable load, share of their steel. */
const STEEL_ALLOWABLE = 0.6
/** Soft wood deeper than this at the foot: the plate has nothing to hold, m. */
const SOFT: Metres = 0.005

/** New anchors for a plate that has come loose, in sound concrete beside the old holes; nothing is dug. */
export const plateOnSlab: RepairMethod = {
  key,
  takesOut: [],
  needs: ['anchor'],
  answers: answersByTable(key),
  against(context) {
    const { post } = context
    const reasons = commonRefusals(context)
    if (!post.duties.includes('plate-mounted')) reasons.push('The post stands in the ground, not on a plate.')
    if (isBroken(context)) reasons.push('The post is broken.')
    if (softAtGround(context) > SOFT) reasons.push('The wood at its foot is gone soft.')
    return reasons
  },
  variants(context) {
    const chosen = chosenPart(context, 'anchor', '')
    const rows = context.tables.parts.lists.anchor.rows
    return (chosen ? [chosen] : rows.map((each) => each.key)).map((anchor) => ({ anchor }))
  },
  design(context, choice) {
    const anchor = row(context.tables.parts.lists.anchor.rows, choice.anchor!)
    const { anchors, pulling, edgeToAnchors, spacing, toSlabEdge } = PLATE
    const breakout = concreteBreakout({ concrete: SLAB_STRENGTH, depth: anchor.depth, edge: toSlabEdge, spacing })
    const perMoment = anchorTension({ moment: 1, anchors, anchorsInTension: pulling, edgeToAnchors })
    return {
      links: [
        standingPostLink(context),
        context.links.proportional('anchors', 'the anchors of the plate', {
          code: Math.min(breakout.code, anchor.tension * STEEL_ALLOWABLE),
          over: Math.min(breakout.over, anchor.tension),
          perNewton: perMoment * context.wind.height,
          used: ({ across, along }) => perMoment * (Math.abs(across.moment) + Math.abs(along.moment)),
        }),
      ],
      parts: [{ kind: 'anchor', key: anchor.key, count: anchors }],
      stands: () => [],
      cautions: [`The slab must be ${context.says.small(thinnestSlab(anchor.depth))} thick at least, and whole.`],
    }
  },
}
