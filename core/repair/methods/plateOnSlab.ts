import { row } from '../../tables/tables'
import type { Metres, Pascals } from '../../units/types'
import { answersByTable, chosenPart, commonRefusals, verdictOf, type RepairMethod } from '../method'
import { anchorTension, concreteBreakout, thinnestSlab } from '../members/basePlate'
import { isBroken, softAtGround, standingPostLink } from '../standing'

const key = 'plate-on-slab'
/** Of the commonest plate; all working values, m: its anchors, from its pressed edge to those that pull, to the slab's edge. */
const PLATE = { anchors: 4, pulling: 2, edgeToAnchors: 0.13, spacing: 0.11, toSlabEdge: 0.12 }
/** Slab that anchors are set in at all, m. */
const THINNEST_SLAB: Metres = 0.1
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
    const { post, says } = context
    const reasons = commonRefusals(context)
    if (!post.duties.includes('plate-mounted')) reasons.push('The post stands in the ground, not on a plate.')
    const { thickness, sound } = post.slab ?? {}
    if (sound === false) reasons.push('The slab is cracked or hollow: it holds no anchor.')
    if (thickness !== undefined && thickness < THINNEST_SLAB)
      reasons.push(`The slab is ${says.small(thickness)} thick: ${says.small(THINNEST_SLAB)} is the least.`)
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
    const { anchors, pulling, edgeToAnchors, spacing } = PLATE
    const { edge = PLATE.toSlabEdge, strength = SLAB_STRENGTH } = context.post.slab ?? {}
    const breakout = concreteBreakout({ concrete: strength, depth: anchor.depth, edge, spacing })
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
  verdict({ post, tables, says }, { parts }) {
    const anchor = row(tables.parts.lists.anchor.rows, parts[0]!.key)
    const { thickness, edge = PLATE.toSlabEdge } = post.slab ?? {}
    const reasons: string[] = []
    if (thickness !== undefined && thickness < thinnestSlab(anchor.depth) - 1e-9)
      reasons.push(
        `An anchor ${says.small(anchor.depth)} deep wants a slab of ${says.small(thinnestSlab(anchor.depth))}.`,
      )
    if (edge < anchor.depth) reasons.push(`The slab ends ${says.small(edge)} from the anchors: its edge breaks away.`)
    return verdictOf(reasons)
  },
}
