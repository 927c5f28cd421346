import { row } from '../../tables/tables'
import { OVER_CODE, type MenderPart } from '../../tables/parts'
import { boredThrough } from '../../timber/cuts'
import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { fixingShear } from '../fixings'
import { answersByTable, chosenPart, commonRefusals, lookFirst, verdictOf, type RepairMethod } from '../method'
import { box, heightOf } from '../solids'
import { footingSolids, isFootingLoose, isFootingPoor, standingFootingLink } from '../standing'

const key = 'metal-mender'
/** Soft wood deeper than this at its bolts gives them nothing to hold, m. */
const SOFT_AT_BOLTS: Metres = 0.003
/** Wind below the upper bolt does not bend the post there, m. */
const LEAST_ARM: Metres = 0.05
/** Over the upper bolt, and seen from the side, m. */
const OVER_BOLT: Metres = 0.05
const PLATE: Metres = 0.006
const HEAD: Metres = 0.012
const USUAL_COATING = 'galvanised'

/** Steel plates or a stirrup between the old concrete's socket and sound wood. */
export const metalMender: RepairMethod = {
  key,
  takesOut: [],
  needs: ['mender'],
  answers: answersByTable(key),
  against(context) {
    const { post, material } = context
    const reasons = commonRefusals(context)
    if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post takes no mender.`)
    if (post.footing && post.footing.kind !== 'concrete' && post.footing.kind !== 'unknown')
      reasons.push('There is no concrete footing to stand the mender in.')
    if (isFootingLoose(context)) reasons.push('The footing itself is loose.')
    if (isFootingPoor(context)) reasons.push('The old footing is not worth standing a mender in.')
    if ((post.observations.probeAbove ?? 0) > SOFT_AT_BOLTS) reasons.push('The wood is soft where its bolts would go.')
    const coating = post.repair?.coating ?? USUAL_COATING
    if (coating === 'bare' && (post.corrosive || post.saturated))
      reasons.push('Bare steel rusts away in this ground: galvanised or stainless.')
    return reasons
  },
  /** The light one first. */
  variants(context) {
    const chosen = chosenPart(context, 'mender', '')
    const { rows } = context.tables.parts.lists.mender
    return (chosen ? [chosen] : rows.map((each) => each.key)).map((mender) => ({ mender }))
  },
  design(context, choice) {
    const { post, line, material, wind, links, along } = context
    const mender = row(context.tables.parts.lists.mender.rows, choice.mender!)
    const footing = standingFootingLink(context)
    const arm = Math.max(LEAST_ARM, wind.height - mender.upperBolt)
    const left = boredThrough(post.section, mender.bolt)
    const [outside, top] = [along / 2 + PLATE, mender.upperBolt + OVER_BOLT]
    const foot = post.footing?.bottom ?? 0
    const bolt = (link: string, height: Metres) =>
      ({
        key: link,
        matter: 'steel',
        outline: box(-HEAD, HEAD, height - HEAD, height + HEAD),
        edge: 'thin',
        link,
      }) as const
    return {
      links: [
        links.proportional('mender', 'the mender at the ground', {
          code: mender.momentCapacity,
          over: mender.momentCapacity * OVER_CODE,
          perNewton: wind.height,
          used: ({ across, along: leaf }) => across.moment + leaf.moment,
        }),
        boltLink(context, mender),
        links.bent('post', 'the post at the upper bolt', left, material, arm),
        ...(footing ? [footing] : []),
      ],
      parts: [{ kind: 'mender', key: mender.key, count: 1 }],
      stands: () => [
        ...footingSolids(post),
        {
          key: 'post',
          matter: 'wood',
          outline: box(-along / 2, along / 2, CUT_BACK, line.height),
          edge: 'solid',
          link: 'post',
          note: 'cut back to sound wood',
        },
        {
          key: 'mender',
          matter: 'steel',
          outline: box(-outside, outside, -foot, top),
          edge: 'solid',
          link: 'mender',
          measures: [heightOf('mender', 'mender above ground', outside, top)],
        },
        bolt('lower-bolt', mender.lowerBolt),
        bolt('bolts', mender.upperBolt),
      ],
      cautions: footing ? [] : ['The old footing is not measured: what it holds is not in these figures.'],
    }
  },
  verdict(_context, { links }) {
    const known = links.some(({ link }) => link === 'footing')
    return known ? verdictOf([]) : lookFirst([], 'Look at the footing first: what it holds is not known.')
  },
}

/** The rotten foot is cut away above the concrete, m. */
const CUT_BACK: Metres = 0.04

/**
 * Two bolts as a couple: each takes the moment midway between them over their distance, and half the force.
 *
 * @source equilibrium of the post above its cut, H and M at the middle of the bolts: F = M/s + H/2
 * @example bolts at 0.1 and 0.3 m, wind at 0.94: (0.94 − 0.2)/0.2 + 0.5 = 4.2 N for a newton
 */
function boltLink({ links, material, wind, across: depth }: PostContext, mender: MenderPart) {
  const apart = mender.upperBolt - mender.lowerBolt
  const middle = (mender.upperBolt + mender.lowerBolt) / 2
  return links.proportional('bolts', 'the bolts of the mender', {
    ...fixingShear({ diameter: mender.bolt }, material, depth),
    perNewton: Math.abs(wind.height - middle) / apart + 0.5,
    used: ({ across, along }) =>
      Math.abs(across.moment - across.force * middle) / apart + across.force / 2 + Math.abs(along.moment) / apart,
  })
}
