import type { ResolvedLine, ResolvedPost, ResolvedSite } from '../resolve/resolve'
import { recommendedDepth, type DepthQuestion, type RecommendedDepth } from '../ground/depthRules'
import { groundCapacity, groundThreshold, type GroundCapacity, type GroundThreshold } from '../ground/postInGround'
import { DEPTH_RANGE, type Segment } from '../ground/profile'
import { ignoredTop, type NoFigureSoil, type Soil } from '../ground/soil'
import { remembered } from '../numeric/remember'
import { softAtGroundOf } from '../document/readings'
import { row, type MaterialRow, type Tables } from '../tables/tables'
import { sectionProperties, sectionSize, type SectionProperties } from '../timber/section'
import type { Metres, MetresPerSecond, Newtons } from '../units/types'
import { windLoad, type WindLoad } from '../wind/force'
import { gustOfReturnPeriod } from '../wind/returnPeriod'
import { bendingLink, groundLink, type LinkCapacity } from './links'
import { groundAllowance, leastAllowance, loadCases, type LoadCase } from './loadCases'

/** All that a method needs to know of one post. */
export interface PostContext {
  site: ResolvedSite
  line: ResolvedLine
  post: ResolvedPost
  tables: Tables
  material: MaterialRow
  /** Null when the soil gives no figure. */
  soil: Soil | null
  noFigure: NoFigureSoil | null
  targetGust: MetresPerSecond
  /** At the target gust. */
  wind: WindLoad
  forceAtUnitGust: Newtons
  /** Width and depth of the sound post, m. */
  along: Metres
  across: Metres
  /** Steady loads with the wind, one after the other. */
  cases: readonly LoadCase[]
  /** The ground round a profile, as a link. */
  ground: (link: string, name: string, segments: readonly Segment[]) => LinkCapacity
  /** Recommended embedment of a footing of this width. */
  embedment: (soil: Soil, width: Metres) => RecommendedDepth
}

/** Posts of one line often share soil, load and hole; the ground is solved once for each. */
export interface GroundMemory {
  capacities: Map<string, GroundCapacity>
  depths: Map<string, RecommendedDepth>
}

export function postContext(
  site: ResolvedSite,
  line: ResolvedLine,
  post: ResolvedPost,
  tables: Tables,
  memory: GroundMemory,
): PostContext {
  const anySoil = row(tables.soils, post.soil)
  const soil = anySoil.kind === 'none' ? null : anySoil
  const targetGust = gustOfReturnPeriod(site.targetReturnYears, site.gust50)
  const stretch = {
    ...line,
    from: post.from,
    to: post.to,
    exposure: tables.exposures[site.exposure].factor,
    shelter: site.shelter,
  }
  const wind = windLoad(stretch, targetGust)
  const cases = loadCases(post)
  const ground = (link: string, name: string, segments: readonly Segment[]): LinkCapacity => {
    if (!soil) return groundLink(link, name, (threshold) => (threshold === 'code' ? null : 0), wind.height, cases)
    const buried = { soil, saturated: post.saturated, ignoredTop: ignoredTop(soil, site.season), segments }
    const profile = segments.map(({ top, bottom, width }) => `${top} ${bottom} ${width}`).join()
    const key = `${soil.key} ${buried.saturated} ${buried.ignoredTop} ${wind.height} ${profile}`
    const atWind = remembered(memory.capacities, key, () => groundCapacity({ ...buried, height: wind.height }))
    // Steady loads ask at other heights too: one threshold at a time then.
    const holds = (threshold: GroundThreshold, height: Metres): Newtons | null =>
      height === wind.height ? atWind[threshold] : groundThreshold({ ...buried, height }, threshold)
    return groundLink(link, name, holds, wind.height, cases)
  }
  const embedment = (ofSoil: Soil, width: Metres): RecommendedDepth => {
    const question = depthQuestion(context, ofSoil, width)
    const { force, height, ignoredTop: ignored } = question
    const key = [
      ofSoil.key,
      post.saturated,
      ignored,
      width,
      force,
      height,
      post.length,
      site.frostDepth,
      site.minimumDepth,
      JSON.stringify(cases),
    ].join(' ')
    return remembered(memory.depths, key, () => recommendedDepth(question))
  }
  const context: PostContext = {
    site,
    line,
    post,
    tables,
    material: tables.materials[post.material],
    soil,
    noFigure: anySoil.kind === 'none' ? anySoil : null,
    targetGust,
    wind,
    forceAtUnitGust: wind.force / targetGust ** 2,
    ...sectionSize(post.section),
    cases,
    ground,
    embedment,
  }
  return context
}

/** The question that every depth rule answers, for a footing of this width. */
export function depthQuestion(context: PostContext, soil: Soil, width: Metres): DepthQuestion {
  const { post, site, wind, cases } = context
  return {
    soil,
    saturated: post.saturated,
    ignoredTop: ignoredTop(soil, site.season),
    width,
    windLeft: (holds) => leastAllowance(cases, (each) => groundAllowance(each, wind.height, holds)).force,
    force: wind.force,
    height: wind.height,
    postLength: post.length,
    frostDepth: site.frostDepth,
    minimumDepth: site.minimumDepth,
  }
}

/** Deepest soft wood found at or below the ground line, m. */
export const softAtGround = ({ post }: PostContext): Metres => softAtGroundOf(post.observations)

export const isBroken = ({ post }: PostContext): boolean =>
  post.observations.breakFace !== undefined && post.observations.breakFace !== 'none'

/** The standing post at the ground line: what decay has left of it. */
export function standingPostLink(context: PostContext): LinkCapacity {
  const name = isBroken(context) ? 'the broken post' : 'the post at the ground line'
  const left: SectionProperties = sectionProperties(context.post.section, softAtGround(context))
  const link = bendingLink('post', name, left, context.material, context.wind.height, context.cases)
  return isBroken(context) ? { ...link, code: 0, over: 0 } : link
}

/** The sound section of a new post of the same size and material. */
export function newPostLink(context: PostContext): LinkCapacity {
  return bendingLink(
    'post',
    'the new post at the ground line',
    sectionProperties(context.post.section),
    context.material,
    context.wind.height,
    context.cases,
  )
}

/**
 * The footing as it stands, on the same scale as a new one.
 *
 * @returns undefined when its size is not known or the soil gives no figure
 */
export function standingFootingLink(context: PostContext): LinkCapacity | undefined {
  const segments = standingSegments(context)
  if (!segments || !context.soil) return undefined
  return context.ground('footing', 'the standing footing', segments)
}

function standingSegments({ post, line, along }: PostContext): Segment[] | undefined {
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

/** A shorter stretch of post below its footing changes nothing, m. */
const MATTERS = 0.02
/** Stone bears like a rigid footing of this share of its hole. */
const STONE_BEARING = 0.85
