import { row } from '../../tables/tables'
import { boredLengthwise } from '../../timber/cuts'
import { sectionProperties } from '../../timber/section'
import { standingFootingLink, type PostContext } from '../context'
import { pinBearing } from '../fixings'
import { bendingLink, gustFor, type LinkCapacity } from '../links'
import { commonRefusals, type RepairMethod } from '../method'
import { OVER_CODE, type PinPart } from '../../tables/parts'
import { gustOfReturnPeriod } from '../../wind/returnPeriod'

/** Allowable share of the pin's yield. */
const ALLOWABLE = 0.6
/** Wet wood across the grain, Pa. */
const WOOD_ACROSS = 2.5e6
/** Bore at most this share of the post, with this much wood all round, m. */
const BORE_SHARE = 1 / 3
const WOOD_ROUND_BORE = 0.025
/** Wind below the top of the bore does not bend the post there, m. */
const LEAST_ARM = 0.05
/** A repair that gives way more often than once in so many years is none. */
const LEAST_RETURN_YEARS = 10

const MOVED = ['in-the-soil', 'footing-moves', 'post-loose-in-concrete']
const POOR_FOOTING = ['none', 'small', 'one-sided', 'cracked', 'dry-pockets', 'stands-proud']

/** Grouted pin standing in the old footing's socket, the post bored and bonded over it. */
export const steelPin: RepairMethod = {
  key: 'steel-pin',
  refusals(context, design) {
    const { post, material, site, along, across } = context
    const { pushPivot, footingFound } = post.observations
    const reasons = commonRefusals(context)
    const pin = chosenPin(context)
    if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post cannot be bored for a pin.`)
    if (post.duty.startsWith('gate')) reasons.push('A gate would work the pin loose.')
    if (post.footing && post.footing.kind !== 'concrete' && post.footing.kind !== 'unknown')
      reasons.push('There is no concrete footing to stand the pin in.')
    if (pushPivot && MOVED.includes(pushPivot)) reasons.push('The footing itself is loose.')
    if (footingFound && POOR_FOOTING.includes(footingFound))
      reasons.push('The old footing is not worth standing a pin in.')
    const width = Math.min(along, across)
    if (pin.diameter > width * BORE_SHARE || (width - pin.diameter) / 2 < WOOD_ROUND_BORE) {
      reasons.push(`A ${Math.round(pin.diameter * 1e3)} mm bore leaves too little wood in this post.`)
    }
    const bending = design.links.find((link) => link.link === 'pin')!
    const gust = gustFor(bending.over!, context.forceAtUnitGust)
    if (gust < gustOfReturnPeriod(LEAST_RETURN_YEARS, site.gust50)) {
      reasons.push(`The wind on this fence bends the pin at ${Math.round(gust)} m/s.`)
    }
    return reasons
  },
  design(context) {
    const { wind, post, material, cases } = context
    const pin = chosenPin(context)
    const width = Math.min(context.along, context.across)
    const section = sectionProperties(pin.section)
    const bearing = pinBearing(wind.height, pin.diameter, pin.insertion, WOOD_ACROSS)
    const footing = standingFootingLink(context)
    const links: LinkCapacity[] = [
      {
        link: 'pin',
        name: 'the pin at the joint',
        code: (ALLOWABLE * pin.yield * section.modulus) / wind.height,
        over: (pin.yield * section.plasticModulus) / wind.height,
      },
      { link: 'wood-round-pin', name: 'the wood round the pin', code: bearing, over: bearing * OVER_CODE },
      bendingLink(
        'post',
        'the post at the top of the bore',
        boredLengthwise(post.section, Math.min(pin.diameter, width)),
        material,
        Math.max(LEAST_ARM, wind.height - pin.insertion),
        cases,
      ),
    ]
    if (footing) links.push(footing)
    return {
      links,
      parts: { pin: pin.key },
      cautions: footing ? [] : ['The old footing is not measured: what it holds is not in these figures.'],
    }
  },
}

function chosenPin({ post, tables }: PostContext): PinPart {
  return row(tables.parts.pins, post.repair?.pin ?? 'pipe-33')
}
