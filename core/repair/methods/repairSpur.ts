import type { RoundVoid } from '../../concrete/volume'
import type { Segment } from '../../ground/profile'
import { row } from '../../tables/tables'
import { OVER_CODE, type FixingPart, type SpurPart } from '../../tables/parts'
import { boredThrough } from '../../timber/cuts'
import { grossArea } from '../../timber/section'
import type { CubicMetres, Metres } from '../../units/types'
import type { PostContext } from '../context'
import { fixingShares, fixingTension } from '../fixings'
import { LEAST_COVER } from '../../concrete/cover'
import { designHole, holeSegments, holeSolids, toolWidth } from '../hole'
import type { DesignedHole } from '../holeShape'
import type { LinkCapacity, ProportionalPart } from '../links'
import {
  answersByTable,
  chosenPart,
  commonRefusals,
  oldOutSteps,
  soldHere,
  verdictOf,
  type RepairMethod,
} from '../method'
import { box, heightOf, type Solid } from '../solids'
import { HOLDS, shareOfTargets } from '../targets'
import { buriedDepth, footingSolids, goneSolids, isOnPlate, oldBlock, oldConcreteVolume } from '../standing'

const key = 'repair-spur'
/** Soft wood deeper than this at the fixings gives them nothing to hold, m. */
const SOFT_AT_FIXINGS: Metres = 0.003
/** A third of the old concrete comes out to make room. */
const OLD_SHARE = 1 / 3
/** Wind below the upper fixing does not bend the post there, m. */
const LEAST_ARM: Metres = 0.05
/**
 * Two spurs stand one behind the other in the push of the wind, and the second works in the first one's shadow.
 *
 * @source AASHTO LRFD Bridge Design Specifications, Table 10.7.2.4-1: rows in line three widths apart bear 0.80 and 0.40
 *   of their own
 */
const IN_LINE = 0.8 + 0.4
/** The post is cut back to this height, m. */
const CUT_BACK: Metres = 0.04

/** Concrete spur beside the post, half its length in the ground, two fixings into sound wood. */
export const repairSpur: RepairMethod = {
  key,
  takesOut: [],
  needs: ['spur', 'fixing'],
  answers: answersByTable(key),
  against(context) {
    const { post, material, line } = context
    const reasons = commonRefusals(context)
    if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post takes no fixings for a spur.`)
    if ((post.observations.probeAbove ?? 0) > SOFT_AT_FIXINGS)
      reasons.push('The wood is soft where the fixings would go.')
    if (isOnPlate(post)) reasons.push('It stands on a slab: a spur wants ground beside it.')
    if (post.clearFaces === 'both') reasons.push('Both its faces must stay clear: a spur stands on one.')
    if (line.kind === 'single') reasons.push('A post that carries no fence is changed whole with less work.')
    return reasons
  },
  /**
   * The shortest spur first: what is longer is dug deeper and carried. The fixing is the usual one, or what was chosen.
   * A pair is dug twice and takes both faces: nobody is offered one before a new post, whoever wants it chooses it.
   */
  variants(context) {
    const { spur, fixing } = context.tables.parts.lists
    const single = soldHere(context, spur.rows).filter(({ isPair }) => !isPair)
    const spurs = chosenOr(context, 'spur', single)
    const usual = chosenPart(context, 'fixing', soldHere(context, fixing.rows)[0]!.key)
    return spurs.map((each) => ({ spur: each, fixing: usual }))
  },
  design(context, choice) {
    const { wind, material, post } = context
    const { spur, fixing } = partsOf(context, choice)
    const size = { along: spur.size, across: spur.size }
    const hole = designHole(context, key, {
      stands: size,
      // It stands on the bottom of its hole, half its length deep.
      depth: { depth: spur.length / 2, rule: 'half-the-spur' },
      width: toolWidth(context, spur.size + 2 * LEAST_COVER),
    })
    const old = oldBlock(context)
    const left = boredThrough(post.section, fixing.diameter)
    const arm = Math.max(LEAST_ARM, wind.height - spur.upperFixing)
    const links = [
      ...fixingLinks(context, spur, fixing),
      context.links.proportional('spur', 'the spur at the ground', spurBending(spur, wind.height)),
      context.links.bent('post', 'the post at the upper fixing', left, material, arm),
      context.ground('footing', 'the spur in the ground', bearingOf(hole, spur, old)),
    ]
    return {
      links,
      earthwork: {
        holes: [hole],
        fills: [
          {
            kind: 'concrete',
            hole: 0,
            ...(spur.isPair ? { times: 2 } : {}),
            castIn: {
              section: { shape: 'rectangle', ...size },
              foot: Math.min(spur.length / 2, hole.footingBottom),
              isConcrete: true,
            },
            ...(old ? { room: roomBesideOld(context, old, spur, hole) } : {}),
          },
        ],
        oldConcrete: oldConcreteVolume(context) * OLD_SHARE * spursIn(spur),
      },
      parts: [
        { kind: 'spur', key: spur.key, count: 1 },
        // Bolts go through both of a pair, screws into each.
        { kind: 'fixing', key: fixing.key, count: fixing.kind === 'bolt' ? 2 : 2 * spursIn(spur) },
      ],
      stands: () => standsOf(context, spur, hole),
      cautions: [
        `${spur.isPair ? 'Each spur' : 'The spur'} weighs about ${context.says.mass(spur.mass)}.`,
        ...(spur.isPair ? [PAIR] : shareOfTargets(context, links) < HOLDS ? [UNDER] : []),
      ],
      skips: oldOutSteps(context),
    }
  },
  verdict(context, { parts }) {
    const { tables, leafMoment, says } = context
    const reasons: string[] = []
    const spur = row(tables.parts.lists.spur.rows, parts.find(({ kind }) => kind === 'spur')!.key)
    const half = spur.length / 2
    if (spur.isPair && context.post.clearFaces === 'one')
      reasons.push('One of its faces must stay clear: a pair of spurs stands on both.')
    if (half < context.site.frostDepth)
      reasons.push(
        `Half the spur, ${says.length(half)}, is not below the frost at ${says.length(context.site.frostDepth)}.`,
      )
    if (leafMoment > spur.momentCapacity) reasons.push('The leaf pulls harder than the spur can bend.')
    return verdictOf(reasons)
  },
}

const PAIR = 'The second spur needs the other face free of rails and boards, and a hole of its own.'
const UNDER = 'Under the target by itself: a longer spur, a spur on each face, or a new post holds more.'

function partsOf({ tables }: PostContext, { spur, fixing }: Readonly<Record<string, string>>) {
  const { lists } = tables.parts
  return { spur: row(lists.spur.rows, spur!), fixing: row(lists.fixing.rows, fixing!) }
}

/** What somebody chose, or all there is. */
function chosenOr(context: PostContext, kind: string, rows: readonly { key: string }[]): string[] {
  const chosen = chosenPart(context, kind, '')
  return chosen ? [chosen] : rows.map(({ key: each }) => each)
}

/** Cast into the gap of an old block the two bear as one, as wide as the block was and as deep as the spur stands. */
function bearingOf(hole: DesignedHole, spur: SpurPart, old: RoundVoid | undefined): Segment[] {
  if (old) return holeSegments({ ...hole, diameter: old.diameter }, spur.size)
  const inLine = spur.isPair ? IN_LINE : 1
  return holeSegments(hole, spur.size * inLine, inLine)
}

const spursIn = ({ isPair }: SpurPart): 1 | 2 => (isPair ? 2 : 1)

/**
 * Concrete beside an old block: the third of it that comes out and the stump's void, less the spur.
 *
 * @example a block of 0.30 × 0.60 round a 0.1 m post, a 75 mm spur 0.5 m deep: 12.1 + 6.0 − 2.8 = 15.3 L
 */
export function roomBesideOld(context: PostContext, old: RoundVoid, spur: SpurPart, hole: DesignedHole): CubicMetres {
  const stump = grossArea(context.post.section) * (old.bottom - old.top)
  const standing = spur.size ** 2 * Math.min(spur.length / 2, hole.footingBottom)
  return oldConcreteVolume(context) * OLD_SHARE + stump - standing
}

/** A square spur bends about both axes at once; of a pair each takes half. */
function spurBending(spur: SpurPart, arm: Metres): ProportionalPart {
  const code = spur.momentCapacity * spursIn(spur)
  return {
    code,
    over: code * OVER_CODE,
    perNewton: arm,
    used: ({ across, along }) => across.moment + along.moment,
  }
}

/**
 * Tension in the two fixings. Steady loads across the line act on each by the moment about the other; a leaf's
 * pull along the line is a couple on both, in shear, counted at their capacity in tension: a working value.
 *
 * @source equilibrium of the post above its cut: (M − F z) over the distance of the fixings
 */
function fixingLinks({ links, material, wind }: PostContext, spur: SpurPart, fixing: FixingPart): LinkCapacity[] {
  const one = fixingTension(fixing, material)
  // Of a pair one is pulled and the other pushed: each fixing has half.
  const tension = { code: one.code * spursIn(spur), over: one.over * spursIn(spur) }
  const { lowerFixing, upperFixing } = spur
  const shares = fixingShares(wind.height, lowerFixing, upperFixing)
  const apart = upperFixing - lowerFixing
  const other = { upper: lowerFixing, lower: upperFixing }
  return (['upper', 'lower'] as const).map((which) =>
    links.proportional(`${which}-fixing`, `the ${which} fixing`, {
      ...tension,
      // A couple pulls one fixing as much as it pushes the other.
      perNewton: Math.abs(shares[which]),
      used: ({ across, along }) =>
        (Math.abs(across.moment - across.force * other[which]) + Math.abs(along.moment)) / apart,
    }),
  )
}

/** Half a bolt's head, as it is seen, m. */
const HEAD: Metres = 0.012

/** From the side that the spur stands on: it is fixed to the post across the line, and hides its lower part. */
function standsOf({ post, line, along }: PostContext, spur: SpurPart, hole: DesignedHole): Solid[] {
  const [half, spurHalf] = [along / 2, spur.size / 2]
  const above = spur.length / 2
  const foot = -Math.min(above, hole.footingBottom)
  const stump: Solid = {
    key: 'old-stump',
    matter: 'wood',
    outline: box(-half, half, -buriedDepth({ post, line }), CUT_BACK),
    edge: 'solid',
  }
  const fixing = (link: string, height: Metres): Solid => ({
    key: link,
    matter: 'steel',
    outline: box(-HEAD, HEAD, height - HEAD, height + HEAD),
    edge: 'thin',
    link,
  })
  return [
    ...footingSolids(post, 'thin', 'old-footing'),
    ...goneSolids([stump]),
    ...holeSolids(hole),
    {
      key: 'post',
      matter: 'wood',
      outline: box(-half, half, CUT_BACK, line.height),
      edge: 'solid',
      note: 'cut back to sound wood',
    },
    {
      key: 'spur',
      matter: 'concrete',
      outline: [
        [-spurHalf, foot],
        [spurHalf, foot],
        [spurHalf, above - spurHalf],
        [0, above],
        [-spurHalf, above - spurHalf],
      ],
      edge: 'solid',
      link: 'spur',
      measures: [heightOf('spur-above', 'spur above ground', half, above)],
    },
    fixing('lower-fixing', spur.lowerFixing),
    fixing('upper-fixing', spur.upperFixing),
  ]
}
