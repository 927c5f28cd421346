import { row } from '../../tables/tables'
import { boredThrough } from '../../timber/cuts'
import { designHole, holeSegments } from '../hole'
import { fixingShares, fixingTension } from '../fixings'
import { bendingLink, proportionalLink, type LinkCapacity, type ProportionalPart } from '../links'
import { commonRefusals, oldConcreteVolume, type RepairMethod } from '../method'
import type { PostContext } from '../context'
import { leafMoment } from '../loadCases'
import { OVER_CODE, type SpurPart } from '../../tables/parts'

/** Soft wood deeper than this at the fixings gives them nothing to hold, m. */
const SOFT_AT_FIXINGS = 0.003
/** A third of the old concrete comes out to make room. */
const OLD_SHARE = 1 / 3

/** Concrete spur beside the post, half its length in the ground, two fixings into sound wood. */
export const repairSpur: RepairMethod = {
  key: 'repair-spur',
  refusals(context) {
    const { post, material } = context
    const reasons = commonRefusals(context)
    if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post takes no fixings for a spur.`)
    if ((post.observations.probeAbove ?? 0) > SOFT_AT_FIXINGS)
      reasons.push('The wood is soft where the fixings would go.')
    const spur = chosenSpur(context)
    const { leafMass, leafWidth } = post.gate ?? {}
    if (post.duty === 'gate-hinge' && leafMass && leafWidth) {
      if (leafMoment(leafMass, leafWidth) > spur.momentCapacity)
        reasons.push('The leaf pulls harder than the spur can bend.')
    }
    return reasons
  },
  design(context) {
    const { tables, wind, material, post } = context
    const spur = chosenSpur(context)
    const fixing = row(tables.parts.fixings, post.repair?.fixing ?? tables.parts.fixings[0]!.key)
    const hole = designHole(context, {
      leastEmbedment: { depth: spur.length / 2, rule: 'half-the-spur' },
      leastDiameter: spur.size + 2 * MINIMUM_ROUND_SPUR,
    })
    return {
      links: [
        ...fixingLinks(context, spur, fixing),
        proportionalLink('spur', 'the spur at the ground', spurBending(spur, wind.height), context.cases),
        bendingLink(
          'post',
          'the post at the lower fixing',
          boredThrough(post.section, fixing.diameter),
          material,
          Math.max(LEAST_ARM, wind.height - spur.lowerFixing),
          context.cases,
        ),
        context.ground('footing', 'the spur in the ground', holeSegments(hole, spur.size)),
      ],
      hole,
      inConcrete: { shape: 'rectangle', along: spur.size, across: spur.size },
      // Only half the spur stands in the ground; below its foot the hole is all concrete.
      insets: [-(spur.size ** 2) * Math.max(0, hole.footingBottom - spur.length / 2)],
      oldConcrete: oldConcreteVolume(context) * OLD_SHARE,
      parts: { spur: spur.key, fixing: fixing.key },
      cautions: [`The spur weighs about ${spur.mass} kg.`],
    }
  },
}

/** A square spur bends about both axes at once. */
function spurBending(spur: SpurPart, arm: number): ProportionalPart {
  return {
    code: spur.momentCapacity,
    over: spur.momentCapacity * OVER_CODE,
    perNewton: arm,
    used: ({ across, along }) => across.moment + along.moment,
  }
}

/** Wind below the lower fixing does not bend the post there, m. */
const LEAST_ARM = 0.05

/** Concrete beside the spur, m. */
const MINIMUM_ROUND_SPUR = 0.07

function chosenSpur({ post, tables }: PostContext): SpurPart {
  const { spurs } = tables.parts
  return row(spurs, post.repair?.spur ?? spurs[spurs.length - 1]!.key)
}

function fixingLinks(
  context: PostContext,
  spur: SpurPart,
  fixing: Parameters<typeof fixingTension>[0],
): LinkCapacity[] {
  const tension = fixingTension(fixing, context.material)
  const shares = fixingShares(context.wind.height, spur.lowerFixing, spur.upperFixing)
  const apart = spur.upperFixing - spur.lowerFixing
  return (['upper', 'lower'] as const).map((which) =>
    proportionalLink(
      `${which}-fixing`,
      `the ${which} fixing`,
      // A couple pulls one fixing as much as it pushes the other.
      { ...tension, perNewton: Math.abs(shares[which]), used: ({ across }) => Math.abs(across.moment) / apart },
      context.cases,
    ),
  )
}
