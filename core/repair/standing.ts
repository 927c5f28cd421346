import { softAtGroundOf } from '../cause/observations'
import type { RoundVoid } from '../concrete/volume'
import { DEPTH_RANGE, type Segment } from '../ground/profile'
import { remembered } from '../numeric/remember'
import { leanSlopes } from '../setout/lean'
import { sectionProperties, sectionSize } from '../timber/section'
import type { CubicMetres, Metres } from '../units/types'
import type { PostContext } from './context'
import type { LinkCapacity } from './links'
import { box, type Edge, type Matter, type Solid } from './solids'

/* What stands there now: the post, its footing, and what of both is left. */

/** Deepest soft wood found at or below the ground line, m. */
export const softAtGround = ({ post }: PostContext): Metres => softAtGroundOf(post.observations)

export const isBroken = ({ post }: PostContext): boolean =>
  post.observations.breakFace !== undefined && post.observations.breakFace !== 'none'

/** Length of the post that stands in the ground, m. */
export const buriedDepth = ({ post, line }: Pick<PostContext, 'post' | 'line'>): Metres =>
  Math.max(0, post.length - line.height)

/** The standing post at the ground line: what decay has left of it. */
export const standingPostLink = (context: PostContext): LinkCapacity =>
  // Many methods ask for it, with each of their parts.
  remembered(standingPosts, context, () => postLinkOf(context))
const standingPosts = new WeakMap<PostContext, LinkCapacity>()

function postLinkOf(context: PostContext): LinkCapacity {
  const { post, material, wind, links } = context
  const broken = isBroken(context)
  const left = sectionProperties(post.section, softAtGround(context))
  const link = links.bent(
    'post',
    broken ? 'the broken post' : 'the post at the ground line',
    left,
    material,
    wind.height,
  )
  return broken ? { ...link, code: 0, over: 0 } : link
}

/**
 * The footing as it stands, on the same scale as a new one.
 *
 * @returns undefined when its size is not known or the soil gives no figure
 */
export function standingFootingLink(context: PostContext): LinkCapacity | undefined {
  if (!standingFootings.has(context)) standingFootings.set(context, footingLinkOf(context))
  return standingFootings.get(context)
}
const standingFootings = new WeakMap<PostContext, LinkCapacity | undefined>()

function footingLinkOf(context: PostContext): LinkCapacity | undefined {
  const segments = standingSegments(context)
  if (!segments || !context.soil) return undefined
  return context.ground('footing', 'the standing footing', segments)
}

/** The buried part as it stands, by its widths; undefined where its size is not known. */
export function standingSegments({ post, line, along }: PostContext): Segment[] | undefined {
  const buried = Math.min(post.length - line.height, DEPTH_RANGE.maximum)
  const { kind, diameter, top = 0, bottom } = post.footing ?? { kind: 'unknown' }
  if (kind === 'none' || kind === 'soil') {
    return buried > DEPTH_RANGE.minimum ? [{ top: 0, bottom: buried, width: along }] : undefined
  }
  if ((kind !== 'concrete' && kind !== 'stone') || diameter === undefined || bottom === undefined) return undefined
  const above = { top: 0, bottom: top, width: along }
  const footing = { top, bottom, width: kind === 'stone' ? diameter * STONE_BEARING : diameter }
  // A post often reaches below the collar of concrete round it.
  const below = { top: bottom, bottom: buried, width: along }
  return [...(top > 0 ? [above] : []), footing, ...(buried > bottom + MATTERS ? [below] : [])]
}

/** What a footing that nobody measured may be: from small to fair, m. Working values. */
const LIKELY_FOOTINGS = [
  { top: 0, bottom: 0.35, width: 0.2 },
  { top: 0, bottom: 0.6, width: 0.3 },
]
/** The commonest footing, where one has to be taken for granted. */
const STANDARD_FOOTING: Segment = { top: 0.05, bottom: 0.6, width: 0.25 }

/** The least and the most that an unmeasured footing is likely to hold; none where the soil gives no figure. */
export const footingRangeLinks = (context: PostContext): LinkCapacity[] =>
  LIKELY_FOOTINGS.map((segment) => context.ground('footing', 'the standing footing', [segment]))

export const standardFootingLink = (context: PostContext): LinkCapacity | undefined =>
  context.soil
    ? context.ground('footing', 'a common footing', [
        { top: 0, bottom: STANDARD_FOOTING.top, width: context.along },
        STANDARD_FOOTING,
      ])
    : undefined

/** Stands on a slab, by its footing or its duty. */
export const isOnPlate = ({ footing, duties }: Pick<PostContext['post'], 'footing' | 'duties'>): boolean =>
  footing?.kind === 'plate' || duties.includes('plate-mounted')

/** Ground that holds water against a post in concrete, and swells. */
export const isHeavyGround = ({ saturated, soil }: Pick<PostContext['post'], 'saturated' | 'soil'>): boolean =>
  saturated || HEAVY.includes(soil)
const HEAVY = ['stiff-clay', 'hard-clay']

/** Its footing moves, or it moves in its footing. */
export const isFootingLoose = ({ post: { observations } }: PostContext): boolean =>
  MOVED.includes(observations.pushPivot ?? '')
const MOVED = ['in-the-soil', 'footing-moves', 'post-loose-in-concrete']

/** Digging showed a footing that holds nothing well. */
export const isFootingPoor = ({ post: { observations } }: PostContext): boolean =>
  POOR_FOOTING.includes(observations.footingFound ?? '')
const POOR_FOOTING = ['none', 'small', 'one-sided', 'cracked', 'dry-pockets', 'stands-proud']

/** Turns under a push: anything but the panel moves. */
export function turnsByHand({ post }: PostContext): boolean {
  const { pushPivot } = post.observations
  return pushPivot !== undefined && pushPivot !== 'nothing-moves' && pushPivot !== 'panel-only'
}

/** It turns above its footing: a pull on it says nothing of the ground. */
export const isHinged = (context: PostContext): boolean =>
  isBroken(context) || HINGED.includes(context.post.observations.pushPivot ?? '')
const HINGED = ['at-ground-line', 'post-loose-in-concrete', 'at-plate']

/** Out of plumb, metres for each metre, whichever way. */
export function leanOf({ post }: PostContext): number {
  const { along, across } = leanSlopes(post.observations.lean)
  return Math.hypot(along, across)
}

/** A shorter stretch of post below its footing changes nothing, m. */
const MATTERS = 0.02
/** Stone bears like a rigid footing of this share of its hole. */
export const STONE_BEARING = 0.85

/** The old block of concrete, where its size is known. */
export function oldBlock({ post }: Pick<PostContext, 'post'>): RoundVoid | undefined {
  const { kind, diameter, top = 0, bottom } = post.footing ?? { kind: 'unknown' }
  return kind === 'concrete' && diameter !== undefined && bottom !== undefined ? { diameter, top, bottom } : undefined
}

/** Volume of the old block less the post in it, m³; 0 when its size is not known. */
export function oldConcreteVolume(context: PostContext): CubicMetres {
  const block = oldBlock(context)
  if (!block) return 0
  const { diameter, top, bottom } = block
  return Math.max(0, (bottom - top) * ((Math.PI * diameter ** 2) / 4 - context.along * context.across))
}

/** What the post is drawn of. */
export const postMatter = ({ material }: Pick<PostContext['post'], 'material'>): Matter =>
  material === 'steel' || material === 'concrete' ? material : 'wood'

/** What a footing that nobody measured may be, from small to fair: drawn dashed. */
export function likelyFootingSolids({ footing }: Pick<PostContext['post'], 'footing'>): Solid[] {
  if (footing && footing.kind !== 'unknown') return []
  return LIKELY_FOOTINGS.map(({ top, bottom, width }, i) => ({
    key: `footing-guess-${i}`,
    matter: 'outline',
    outline: box(-width / 2, width / 2, -bottom, -top),
    edge: 'dashed',
    ...(i > 0 ? { note: 'footing not measured' } : {}),
  }))
}

/** What is taken out, as it was: its outline alone. */
export const goneSolids = (solids: readonly Solid[]): Solid[] =>
  solids.map((solid) => ({ ...solid, matter: 'outline', edge: 'dashed' }))

/** Slab and plate under a post that stands on one, m: the commonest sizes. */
const SLAB = { half: 0.4, thick: 0.12 }
const PLATE = { beside: 0.04, thick: 0.01 }
/** A driven or cast sleeve round the post's foot, m. */
const SLEEVE = { up: 0.06, down: 0.45, wall: 0.004 }

/** The slab with its plate, or the sleeve, where the post does not stand in the ground itself. */
export function anchoredSolids({ footing, section }: Pick<PostContext['post'], 'footing' | 'section'>): Solid[] {
  const half = sectionSize(section).along / 2
  const wide = half + PLATE.beside
  if (footing?.kind === 'plate')
    return [
      { key: 'slab', matter: 'old-concrete', outline: box(-SLAB.half, SLAB.half, -SLAB.thick, 0), edge: 'thin' },
      { key: 'plate', matter: 'steel', outline: box(-wide, wide, 0, PLATE.thick), edge: 'solid' },
    ]
  if (footing?.kind !== 'sleeve') return []
  const out = half + SLEEVE.wall
  return [{ key: 'sleeve', matter: 'steel', outline: box(-out, out, -SLEEVE.down, SLEEVE.up), edge: 'solid' }]
}

/** The footing as it is drawn, where its size is known. */
export function footingSolids({ footing }: PostContext['post'], edge: Edge = 'thin', key = 'footing'): Solid[] {
  const { kind, diameter, top = 0, bottom } = footing ?? { kind: 'unknown' }
  if (diameter === undefined || bottom === undefined || (kind !== 'concrete' && kind !== 'stone')) return []
  const matter = kind === 'stone' ? 'stone' : 'old-concrete'
  return [{ key, matter, outline: box(-diameter / 2, diameter / 2, -bottom, -top), edge }]
}
