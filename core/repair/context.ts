import type { Diagnosis } from '../cause/diagnose'
import { bindingDepths, recommendedDepth, type DepthQuestion, type RecommendedDepth } from '../ground/depthRules'
import { groundCapacity, groundThreshold, plumbMargin, type BuriedPost } from '../ground/postInGround'
import type { Segment } from '../ground/profile'
import { apparentCohesion, ignoredTop, type AnySoil, type NoFigureSoil, type Soil } from '../ground/soil'
import type { Ground } from '../ground/strata'
import { remembered } from '../numeric/remember'
import { soilOf, type ResolvedLine, type ResolvedPost, type ResolvedSite } from '../resolve/resolve'
import { row, type Tables } from '../tables/tables'
import type { MaterialRow } from '../timber/materials'
import { sectionSize } from '../timber/section'
import { measuresIn, type Measures } from '../units/quantity'
import type { Metres, MetresPerSecond, NewtonMetres, Newtons } from '../units/types'
import { BARE, type ExperienceRange } from '../wind/experience'
import { boxLoad, windLoad, type WindLoad } from '../wind/force'
import { gustOfReturnPeriod } from '../wind/returnPeriod'
import { gustsOf, linkMaker, type GustScale, type HoldsAtArm, type LinkCapacity, type LinkMaker } from './links'
import { hungLeafMoment, loadCases, loadUnder, type Load } from './loadCases'

/** A footing of this width, with what stands above its fill, not deeper than this where its post ends. */
type AskedDepth = [soil: Soil, width: Metres, above?: DepthQuestion['above'], deepest?: Metres]

/** All that a method needs to know of one post. */
export interface PostContext {
  site: ResolvedSite
  line: ResolvedLine
  post: ResolvedPost
  tables: Tables
  material: MaterialRow
  /** Null when the soil gives no figure. */
  soil: Soil | null
  /** What the ground is, its layers and what a pull measured of it; null where the soil gives no figure. */
  earth: Ground | null
  /** The same in another state of its water, as it was on the day of a pull, and as the book has it. */
  groundWhen: (saturated: boolean) => Ground
  noFigure: NoFigureSoil | null
  targetGust: MetresPerSecond
  /** Gust from which it must spring back to plumb. */
  leanTargetGust: MetresPerSecond
  /** At the target gust. */
  wind: WindLoad
  forceAtUnitGust: Newtons
  /** Turns what a link stands into gusts. */
  scale: GustScale
  /** Width and depth of the sound post, m. */
  along: Metres
  across: Metres
  /** Of a leaf that hangs on this post, N m; 0 where none does. */
  leafMoment: NewtonMetres
  /** Of somebody or something against the box of a single post, at its middle, N; it never comes with the wind. */
  knock: Newtons
  /** How the reader's quantities are said. */
  says: Measures
  /** Makes every link, steady loads and all. */
  links: LinkMaker
  /** The ground round a profile, as a link: in its own state of water, or in the one that is asked. */
  ground: (link: string, name: string, segments: readonly Segment[], saturated?: boolean) => LinkCapacity
  /** A profile in that ground, for whatever height of load; null where the soil gives no figure. */
  buried: (segments: readonly Segment[], saturated?: boolean) => Omit<BuriedPost, 'height'> | null
  /** The question that every depth rule answers, for a footing of this width. */
  depthQuestion: (...of: AskedDepth) => DepthQuestion
  /** What each binding rule asks of such a footing, searched once for posts that are alike. */
  bindingDepthsOf: (...of: AskedDepth) => ReadonlyMap<string, Metres | null>
  /** Recommended embedment of a footing of this width, with what stands above its fill. */
  embedment: (...of: AskedDepth) => RecommendedDepth
  /** Posts of one line often show the same: judged once. */
  diagnoses: Map<string, Diagnosis>
  /** The posts next to it on its line, before and after. */
  neighbours: () => readonly PostContext[]
  /** Gust at which a link gives way; Infinity where the wind does not reach the post. */
  gustOf: (link: LinkCapacity) => MetresPerSecond
}

/** A working value, N. */
const KNOCK: Newtons = 300

/** Posts of one line often share soil, load and hole; the ground is solved once for each. */
export interface GroundMemory {
  /** By ground and loads, then by profile. */
  capacities: Map<string, Map<string, LinkCapacity>>
  /** By ground, loads and what is asked of it, then by footing. */
  depths: Map<string, Map<string, ReadonlyMap<string, Metres | null>>>
  diagnoses: Map<string, Diagnosis>
  experience: Map<string, ExperienceRange>
}
export const groundMemory = (): GroundMemory => ({
  capacities: new Map(),
  depths: new Map(),
  diagnoses: new Map(),
  experience: new Map(),
})

export function postContext(
  site: ResolvedSite,
  line: ResolvedLine,
  post: ResolvedPost,
  tables: Tables,
  memory: GroundMemory,
): PostContext {
  const { anySoil, noFigure } = soilsOf(post, tables)
  const soil = noFigure ? null : (anySoil as Soil)
  const measured = line.measured[soilOf(post)]
  const groundWhen = (saturated?: boolean): Ground => groundOf(post, tables, saturated)
  const earthWhen = (saturated?: boolean): Ground | null =>
    soil && { ...groundWhen(saturated), ...(measured ? { strength: measured.used } : {}) }
  const earth = earthWhen()
  const targetGust = gustOfReturnPeriod(site.targetReturnYears, site.gust50)
  const exposure = tables.exposures[site.exposure].factor
  const { shelter } = site
  const wind = post.box
    ? boxLoad({ ...post.box, top: line.height, exposure, shelter }, targetGust)
    : windLoad({ ...line, from: post.from, to: post.to, exposure, shelter }, targetGust)
  const knock = post.box ? KNOCK : 0
  const forceAtUnitGust = wind.force / targetGust ** 2
  const leanTargetGust = gustOfReturnPeriod(site.leanReturnYears, site.gust50)
  // What people stand beside or under is asked by the bare formulas.
  const experience = post.duties.includes('load-bearing') ? BARE : line.experience
  const scale: GustScale = { forceAtUnitGust, gust50: site.gust50, experience }
  const cases = loadCases(post)
  const links = linkMaker(cases, wind.height)
  const groundKey = [anySoil.key, post.layers, measured?.used, post.saturated, site.season, wind.height, cases]
  const capacities = remembered(memory.capacities, JSON.stringify(groundKey), () => new Map())
  const depths = remembered(memory.depths, JSON.stringify([groundKey, site, scale, knock]), () => new Map())

  const buriedIn: PostContext['buried'] = (segments, saturated) => {
    const of = saturated === undefined ? earth : earthWhen(saturated)
    return of && soil && { ...of, ignoredTop: ignoredTop(soil, site.season), segments }
  }
  const ground: PostContext['ground'] = (link, name, segments, saturated) => {
    const buried = buriedIn(segments, saturated)
    if (!buried) {
      const nothing: HoldsAtArm = (threshold) => (threshold === 'code' ? null : 0)
      return { ...links.byArm(link, name, nothing, ALL), of: 'ground' }
    }
    const profile = `${saturated ?? ''} ${segments.map(({ top, bottom, width }) => `${top} ${bottom} ${width}`).join()}`
    const found = remembered(capacities, profile, () => {
      const atWind = groundCapacity({ ...buried, height: wind.height })
      // Steady loads ask at other heights too: one threshold at a time then.
      const holds: HoldsAtArm = (threshold, height) =>
        height === wind.height ? atWind[threshold] : groundThreshold({ ...buried, height }, threshold)
      const lean = ({ force, height }: Load) => plumbMargin({ ...buried, height }, force)
      return links.byArm(link, name, holds, ALL, { lean })
    })
    const { lean, code, over, because } = found
    return { link, name, of: 'ground', lean, code, over, because, segments }
  }
  const depthQuestion: PostContext['depthQuestion'] = (ofSoil, width, above, deepest) => ({
    ...(earth ?? { saturated: post.saturated }),
    soil: ofSoil,
    ...(deepest === undefined ? {} : { deepest }),
    ignoredTop: ignoredTop(ofSoil, site.season),
    width,
    ...(above ? { above } : {}),
    demand: {
      over: Math.max(knock, scale.experience.ground * wind.force),
      lean: scale.experience.ground * forceAtUnitGust * leanTargetGust ** 2,
    },
    loadsUnder: (force) => cases.map((each) => loadUnder(each, force, wind.height)),
    force: wind.force,
    height: wind.height,
    postLength: post.length,
    frostDepth: site.frostDepth,
    minimumDepth: site.minimumDepth,
    customs: tables.digging,
  })
  const bindingDepthsOf: PostContext['bindingDepthsOf'] = (...of) => {
    const [{ key: ofSoil }, width, above, deepest] = of
    // No binding rule asks for the post's length.
    const key = `${ofSoil} ${width} ${above?.bottom} ${above?.width} ${deepest}`
    return remembered(depths, key, () => bindingDepths(depthQuestion(...of)))
  }
  const embedment: PostContext['embedment'] = (...of) => recommendedDepth(depthQuestion(...of), bindingDepthsOf(...of))
  const { along, across } = sectionSize(post.section)
  let beside: readonly PostContext[] | undefined
  return {
    site,
    line,
    post,
    tables,
    material: tables.materials[post.material],
    soil,
    earth,
    groundWhen,
    noFigure,
    targetGust,
    leanTargetGust,
    wind,
    forceAtUnitGust,
    scale,
    along,
    across,
    leafMoment: hungLeafMoment(post),
    knock,
    says: measuresIn(tables.units),
    links,
    ground,
    buried: buriedIn,
    depthQuestion,
    bindingDepthsOf,
    embedment,
    diagnoses: memory.diagnoses,
    neighbours() {
      beside ??= nextTo(post, line).map((each) => postContext(site, line, each, tables, memory))
      return beside
    },
    gustOf: (link) => gustsOf(link, scale).givesWay,
  }
}

/** The soil at its top, and the first of its layers that has no figure. */
function soilsOf({ soil, layers }: ResolvedPost, tables: Tables): { anySoil: AnySoil; noFigure: NoFigureSoil | null } {
  const anySoil = row(tables.soils, soil)
  const all = layers ? layers.map((each) => row(tables.soils, each.soil)) : [anySoil]
  return { anySoil, noFigure: all.find((each) => each.kind === 'none') ?? null }
}

/** @param asked state of its water, as on the day of a pull; as somebody said it when absent */
function groundOf({ soil, layers, saturated }: ResolvedPost, tables: Tables, asked?: boolean): Ground {
  const of = (key: string, wet: boolean) => {
    const found = row(tables.soils, key) as Soil
    return { soil: found, saturated: wet, cohesion: apparentCohesion(found, wet) }
  }
  const plain = of(soil, asked ?? saturated)
  if (!layers) return plain
  return {
    ...plain,
    layers: layers.map((each) => ({ ...of(each.soil, asked ?? each.saturated ?? saturated), bottom: each.bottom })),
  }
}

/** The posts before and after one on its line. */
export function nextTo({ id }: Pick<ResolvedPost, 'id'>, { posts }: Pick<ResolvedLine, 'posts'>): ResolvedPost[] {
  const at = posts.findIndex((each) => each.id === id)
  return [posts[at - 1], posts[at + 1]].filter((each) => each !== undefined)
}

const ALL = ['lean', 'code', 'over'] as const
