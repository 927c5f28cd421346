import { softAtGroundOf } from '../cause/observations'
import { residualsOf, type BuriedPost } from '../ground/postInGround'
import type { PostContext } from '../repair/context'
import { gustsOf, type LinkCapacity } from '../repair/links'
import type { Design } from '../repair/method'
import { isOnPlate } from '../repair/standing'
import { soilOf } from '../resolve/resolve'
import { leanSlopes } from '../setout/lean'
import type { Setting } from '../timber/materials'
import { sectionProperties, sectionSize, type Section } from '../timber/section'
import type { Radians } from '../units/types'
import { scatterOf } from '../wind/experience'
import { serviceYears } from './serviceLife'
import type { GoingWood, GroundInWater, Stand, StandingGround, SteadyPart } from './stand'

/** By what a part is called what a life is said to end by; any other is a part of the repair. */
const ENDS_BY: Readonly<Record<string, SteadyPart['ends']>> = {
  post: 'wood',
  'wood-round-pin': 'wood',
  pin: 'pin',
  anchors: 'anchor',
  'upper-fixing': 'fixings',
  'lower-fixing': 'fixings',
  bolts: 'fixings',
  'rail-fixings': 'fixings',
  'tie-fixings': 'fixings',
}

/**
 * What the years see of a post: as it stands, or with a repair.
 *
 * The ground is asked in both states of its water in the same hole. Where the post itself meets the ground it goes with
 * the years; what is above that, and steel, pins and fixings, stay as they are made.
 *
 * @param links of the design, or of the post and footing as they stand
 * @param design where it is mended
 */
export function standOf(context: PostContext, links: readonly LinkCapacity[], design?: Design): Stand {
  const { scale } = context
  const stand: Stand = { parts: [] }
  const parts: SteadyPart[] = []
  for (const link of links) {
    if (link.segments) stand.ground = groundOf(context, link)
    else if (link.link === 'post' && link.weakened) stand.wood = woodOf(context, link, design)
    else parts.push({ ends: ENDS_BY[link.link] ?? 'part', over: gustsOf(link, scale).givesWay })
  }
  // What is set anew starts plumb.
  const lean = design ? 0 : leanSlopes(context.post.observations.lean).across
  return { ...stand, parts, ...(lean === 0 ? {} : { lean }) }
}

/** Points of what a load leaves, and of what soft wood leaves. */
const POINTS = 41
/** Nearer to its limit than this the ground turns on and on: its last point stands for that. */
const NEAR_LIMIT = 1 - 1e-4
const LEAST_SHARE = 0.01

function groundOf(context: PostContext, link: LinkCapacity): StandingGround {
  const measured = context.line.measured[soilOf(context.post)]
  return {
    drained: groundIn(context, link, false),
    saturated: groundIn(context, link, true),
    ...(measured ? { common: scatterOf(measured) } : {}),
  }
}

function groundIn(context: PostContext, link: LinkCapacity, saturated: boolean): GroundInWater {
  const { of, segments } = link
  const here = context.ground(link.link, link.name, segments!, saturated)
  const over = gustsOf({ ...here, of }, context.scale).givesWay
  const buried = context.buried(segments!, saturated)
  if (!buried || !(here.over! > 0)) return { over, left: [0, 0] }
  return { over, left: leftByShare({ ...buried, height: context.wind.height }) }
}

/** Rotation that shares of the limit leave from rest, made smooth: see {@link GroundInWater}. */
export function leftByShare(post: BuriedPost): Radians[] {
  const residual = residualsOf(post)
  return Array.from({ length: POINTS }, (_, i) => {
    const share = Math.min(NEAR_LIMIT, Math.max(LEAST_SHARE, i / (POINTS - 1)))
    return (residual(share) * (1 - share)) / (share * share)
  })
}

function woodOf(context: PostContext, link: LinkCapacity, design: Design | undefined): GoingWood {
  const { post, scale, material: old, tables } = context
  const anew = design?.newPost
  const section = anew?.section ?? post.section
  const own = post.repair?.post?.material
  const material = anew && own ? tables.materials[own] : old
  const { probeAtGround, probeBelow, wrap } = post.observations
  const looked = probeAtGround ?? probeBelow
  const now = anew ? 0 : Math.min(1, softAtGroundOf(post.observations) / halfOf(section))
  const strengthNow = shareLeft(section, now)
  return {
    over: Array.from({ length: POINTS }, (_, i) => {
      const share = strengthNow > 0 ? shareLeft(section, i / (POINTS - 1)) / strengthNow : 0
      return gustsOf({ ...link, over: link.weakened!(share) }, scale).givesWay
    }),
    life: serviceYears(material, settingOf(context, design), anew ? undefined : wrap),
    age: anew ? 0 : post.ageYears,
    ...(anew || looked === undefined ? {} : { soft: now }),
  }
}

/** All the way in: half of the smaller side of what is solid, the wall of what is hollow. */
const halfOf = (section: Section): number =>
  'wall' in section ? section.wall : Math.min(...Object.values(sectionSize(section))) / 2

/** Of its strength, with a share of its thickness gone. */
const shareLeft = (section: Section, gone: number): number =>
  sectionProperties(section, gone * halfOf(section)).modulus / sectionProperties(section).modulus

function settingOf(context: PostContext, design: Design | undefined): Setting | 'plate' {
  const [fill] = design?.earthwork?.fills ?? []
  const anew = design?.newPost !== undefined
  if (!anew && isOnPlate(context.post)) return 'plate'
  const { footing, observations } = context.post
  if (anew || fill?.castIn) {
    // New concrete is crowned: every method that pours has it as a step.
    if (fill?.kind === 'concrete') return 'crowned'
    return fill?.kind === 'stone' ? 'stone' : 'soil'
  }
  if (footing?.kind === 'stone' || footing?.kind === 'sleeve') return 'stone'
  if (footing?.kind === 'soil' || footing?.kind === 'none') return 'soil'
  return observations.groundAround?.includes('water-holding-top') ? 'dished' : 'crowned'
}
