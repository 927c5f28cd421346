import { row } from '../../tables/tables'
import { OVER_CODE, type PinPart } from '../../tables/parts'
import { boredLengthwise } from '../../timber/cuts'
import { sectionProperties } from '../../timber/section'
import type { Metres, Pascals } from '../../units/types'
import { gustOfReturnPeriod } from '../../wind/returnPeriod'
import type { PostContext } from '../context'
import { pinBearing } from '../fixings'
import type { LinkCapacity } from '../links'
import { answersByTable, chosenPart, commonRefusals, lookFirst, verdictOf, type RepairMethod } from '../method'
import { box, heightOf } from '../solids'
import { buriedDepth, footingSolids, isFootingLoose, isFootingPoor, standingFootingLink } from '../standing'

const key = 'steel-pin'
/** Allowable share of the pin's yield. */
const ALLOWABLE = 0.6
/** Wet wood across the grain, Pa. */
const WOOD_ACROSS: Pascals = 2.5e6
/** Bore at most this share of the post, with this much wood all round, m. */
const BORE_SHARE = 1 / 3
const WOOD_ROUND_BORE: Metres = 0.025
/** Soft wood deeper than this round the pin gives it nothing to bear on, m. */
const SOFT_AT_PIN: Metres = 0.003
/** Wind below the top of the bore does not bend the post there, m. */
const LEAST_ARM: Metres = 0.05
/** A repair that gives way more often than once in so many years is none. */
const LEAST_RETURN_YEARS = 10
/** Grout between the foot of the bored post and the footing, m. */
const JOINT: Metres = 0.01

const USUAL_PIN = 'pipe-33'

/** Grouted pin standing in the old footing's socket, the post bored and bonded over it. */
export const steelPin: RepairMethod = {
  key,
  takesOut: [],
  needs: ['pin'],
  answers: answersByTable(key),
  against,
  /** The usual pin first, then every other that the post has room for. */
  variants(context) {
    const chosen = chosenPart(context, 'pin', '')
    const others = context.tables.parts.lists.pin.rows
      .filter((each) => each.key !== USUAL_PIN && fitsBore(each, context))
      .map((each) => each.key)
    return (chosen ? [chosen] : [USUAL_PIN, ...others]).map((each) => ({ pin: each }))
  },
  design(context, choice) {
    const { post, line, along } = context
    const pin = row(context.tables.parts.lists.pin.rows, choice.pin!)
    const footing = standingFootingLink(context)
    return {
      links: [...pinLinks(context, pin), ...(footing ? [footing] : [])],
      parts: [{ kind: 'pin', key: pin.key, count: 1, length: buriedDepth(context) + pin.insertion }],
      stands: () => [
        ...footingSolids(post),
        {
          key: 'post',
          matter: 'wood',
          outline: box(-along / 2, along / 2, JOINT, Math.min(post.top, line.height)),
          edge: 'solid',
          link: 'post',
        },
        {
          key: 'pin',
          matter: 'steel',
          outline: box(-pin.diameter / 2, pin.diameter / 2, -buriedDepth(context), pin.insertion),
          edge: 'solid',
          link: 'pin',
          measures: [heightOf('pin', 'pin up into the post', along / 2, pin.insertion, 0.1)],
        },
      ],
      cautions: footing ? [] : ['The old footing is not measured: what it holds is not in these figures.'],
    }
  },
  verdict(context, { links, parts }) {
    const { site, tables } = context
    const pin = row(tables.parts.lists.pin.rows, parts[0]!.key)
    const reasons: string[] = []
    if (!fitsBore(pin, context)) {
      reasons.push(`A ${context.says.small(pin.diameter)} bore leaves too little wood in this post.`)
    }
    const tooWeak = (link: LinkCapacity) => context.gustOf(link) < gustOfReturnPeriod(LEAST_RETURN_YEARS, site.gust50)
    const bending = links.find(({ link }) => link === 'pin')!
    const wood = links.find(({ link }) => link === 'wood-round-pin')!
    if (tooWeak(bending)) reasons.push(weakWords(context, bending, 'bends the pin'))
    else if (tooWeak(wood)) reasons.push(weakWords(context, wood, 'crushes the wood round the pin'))
    const known = links.some(({ link }) => link === 'footing')
    return known ? verdictOf(reasons) : lookFirst(reasons, 'Look at the footing first: what it holds is not known.')
  },
}

function against(context: PostContext): string[] {
  const { post, material } = context
  const reasons = commonRefusals(context)
  if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post cannot be bored for a pin.`)
  if (post.duties.some((duty) => duty.startsWith('gate'))) reasons.push('A gate would work the pin loose.')
  if (post.footing && post.footing.kind !== 'concrete' && post.footing.kind !== 'unknown')
    reasons.push('There is no concrete footing to stand the pin in.')
  if ((post.observations.probeAbove ?? 0) > SOFT_AT_PIN) reasons.push('The wood is soft where the pin would go.')
  if (isFootingLoose(context)) reasons.push('The footing itself is loose.')
  if (isFootingPoor(context)) reasons.push('The old footing is not worth standing a pin in.')
  return reasons
}

function fitsBore({ diameter }: PinPart, { along, across }: PostContext): boolean {
  const width = Math.min(along, across)
  return diameter <= width * BORE_SHARE && (width - diameter) / 2 >= WOOD_ROUND_BORE
}

function weakWords({ gustOf, says }: PostContext, link: LinkCapacity, does: string): string {
  const [load] = link.because?.split(' alone ') ?? []
  return load
    ? `${load[0]!.toUpperCase()}${load.slice(1)} alone ${does}.`
    : `The wind on this fence ${does} at ${says.gust(gustOf(link))}.`
}

/**
 * The pin bent at the joint, the wood round it, and the post at the top of the bore: each under the wind and every
 * steady load.
 *
 * @source M = P e against f_y; the wood by plastic bearing on a rigid pin, {@link pinBearing}
 */
function pinLinks(context: PostContext, pin: PinPart): LinkCapacity[] {
  const { wind, post, material, links } = context
  const section = sectionProperties(pin.section)
  const width = Math.min(context.along, context.across)
  const bored = boredLengthwise(post.section, Math.min(pin.diameter, width))
  const holds = (arm: Metres) => pinBearing(arm, pin.diameter, pin.insertion, WOOD_ACROSS)
  return [
    links.proportional('pin', 'the pin at the joint', {
      code: ALLOWABLE * pin.yield * section.modulus,
      over: pin.yield * section.plasticModulus,
      perNewton: wind.height,
      used: ({ across, along }) => across.moment + along.moment,
    }),
    links.byArm(
      'wood-round-pin',
      'the wood round the pin',
      (threshold, arm) => (threshold === 'over' ? holds(arm) * OVER_CODE : holds(arm)),
      ['code', 'over'],
    ),
    links.bent(
      'post',
      'the post at the top of the bore',
      bored,
      material,
      Math.max(LEAST_ARM, wind.height - pin.insertion),
    ),
  ]
}
