import type { StringHold } from '../setout/stringOver'
import { holdsOver, lineTops } from '../setout/topline/lineTops'
import { row, type Tables } from '../tables/tables'
import type { Section } from '../timber/section'
import type { Experience } from '../wind/experience'
import type { TargetBy } from '../wind/target'
import type { MeasuredScale } from '../ground/pullTest'
import type { Metres, Years } from '../units/types'
import { marksNear } from '../document/marks'
import type { Heard } from '../cause/readings'
import { heardAlong } from '../document/alike'
import { carriedBy, dutiesOf, pointedAt } from '../document/postState'
import type { Duty, Job, Line, Mark, Post, Site } from '../document/job'
import { sameData } from '../sameData'

export interface Assumption {
  /** Null for the site and the line. */
  post: string | null
  key: string
  value: unknown
  why: string
}

type SiteAsked = 'name' | 'rules' | 'target' | 'van' | 'place' | 'timeZone'
export type ResolvedSite = Required<Omit<Site, SiteAsked>> &
  Pick<Site, 'rules' | 'target' | 'van' | 'place' | 'timeZone'> & {
    name: string
    /** By years, whatever else a line asks for. */
    asked: { targetReturnYears: Years; leanReturnYears?: Years | undefined }
    /** By what its target was reckoned. */
    targetBy: TargetBy
  }

/** What pulls say of a soil of a line: see the pull test. */
export interface MeasuredGround extends MeasuredScale {
  /** What is counted of it: no more than 1 unless it was held for a minute on wet ground. */
  used: number
  pulls: number
  isHeld: boolean
}

/** What a post stands in, as a key: posts of one line that share it share what was measured of it. */
export const soilOf = ({ soil, layers }: Pick<ResolvedPost, 'soil' | 'layers'>): string =>
  layers ? layers.map((each) => `${each.soil} to ${each.bottom}`).join(', ') : soil

type Sketched = 'marks' | 'course' | 'levelReference' | 'history' | 'setOut'
export type ResolvedLine = Required<Omit<Line, 'remainingYears' | 'posts' | Sketched>> &
  Pick<Line, Sketched | 'remainingYears'> & {
    posts: ResolvedPost[]
    /** Share of the computed wind that counts, in the ground and in everything else. */
    experience: Experience
    /** Where the string is held, over the ground at the first post, by rising station. */
    string: StringHold[]
    /** The lower one, a hand above the ground: gaps and hole depths are read from it. */
    lowString: StringHold[]
    /** By soil, see {@link soilOf}; nothing before it was worked out. */
    measured: Readonly<Record<string, MeasuredGround>>
    /** How many kinds of repair are chosen along it. */
    repairKinds: number
    /** So many of its posts are seen to have gone that it is the line that is at its end. */
    isWornOut: boolean
  }

/** What the figures rest on most, and whether anybody said it. */
export type AssumedFact = 'soil' | 'section'
type Given = 'duty' | 'material' | 'section' | 'length' | 'ageYears' | 'soil' | 'saturated'
export interface ResolvedPost extends Omit<Post, Given | 'duties'>, Required<Pick<Post, Given>> {
  observations: NonNullable<Post['observations']>
  isAssumed: Record<AssumedFact, boolean>
  isPointedAt: boolean
  duties: Duty[]
  /** What digging showed at other posts of the same age and make. */
  heard: Heard[]
  /** The stretch of fence that the post carries, m from the start of the line. */
  from: Metres
  to: Metres
  /** The string's height above the ground here: where the top of a post set to it comes, m. */
  top: Metres
  /** What lies or stands within reach of its hole. */
  nearMarks: Mark[]
}

export interface ResolvedJob {
  site: ResolvedSite
  lines: ResolvedLine[]
  assumed: Assumption[]
}

/** Fills in what nobody gave and lists it: the plan shows every assumption. */
export const resolveJob = (job: Job, tables: Tables): ResolvedJob => jobResolver(tables)(job)

/**
 * A `resolveJob` that gives a post back as it was while neither it nor what it takes from its line has changed, so that
 * an edit of one post of a long line is resolved at once. Jobs are not changed once they were given to it: an edit makes
 * a new one.
 */
export function jobResolver(tables: Tables): (job: Job) => ResolvedJob {
  const known: KnownPosts = new WeakMap()
  return (job) => {
    const assumed: Assumption[] = []
    const site = resolveSite(job.site ?? {}, tables, assumed)
    const lines = job.lines.map((line) => resolveLine(line, tables, assumed, known))
    return { site, lines, assumed }
  }
}

/** What a post takes from its line, and what came of both. */
interface KnownPost {
  ofLine: string
  place: Place
  post: ResolvedPost
  assumed: readonly Assumption[]
}
type KnownPosts = WeakMap<Post, KnownPost>
type Place = Pick<ResolvedPost, 'from' | 'to' | 'top' | 'isPointedAt' | 'heard' | 'nearMarks'> & { atEnd: boolean }

const isSamePlace = (a: Place, b: Place): boolean =>
  a.from === b.from &&
  a.to === b.to &&
  a.top === b.top &&
  a.isPointedAt === b.isPointedAt &&
  a.atEnd === b.atEnd &&
  sameData(a.heard, b.heard) &&
  sameData(a.nearMarks, b.nearMarks)

function taker(post: string | null, prefix: string, assumed: Assumption[]) {
  return <T>(given: T | undefined, key: string, value: T, why: string): T => {
    if (given !== undefined) return given
    assumed.push({ post, key: prefix + key, value, why })
    return value
  }
}

function resolveSite(given: Site, { defaults, localRules }: Tables, assumed: Assumption[]): ResolvedSite {
  const take = taker(null, 'site.', assumed)
  const rules = given.rules === undefined ? undefined : row(localRules, given.rules)
  const { gust50, frostDepth, minimumDepth } = { ...rules, ...given }
  const site = { ...given, gust50, frostDepth, minimumDepth }
  const targetReturnYears = take(
    site.targetReturnYears,
    'targetReturnYears',
    defaults.targetReturnYears,
    'a permanent repair',
  )
  return {
    ...given,
    name: site.name ?? '',
    exposure: take(site.exposure, 'exposure', defaults.exposure, 'no exposure given'),
    shelter: take(site.shelter, 'shelter', defaults.shelter, 'no shelter counted'),
    gust50: take(site.gust50, 'gust50', defaults.gust50, 'working value: look up the map for this place'),
    frostDepth: take(site.frostDepth, 'frostDepth', defaults.frostDepth, 'working value: ask the local office'),
    minimumDepth: take(site.minimumDepth, 'minimumDepth', defaults.minimumDepth, 'working value: ask the local office'),
    targetReturnYears,
    leanReturnYears: leanReturnYears(targetReturnYears, given.leanReturnYears, defaults),
    asked: { targetReturnYears, leanReturnYears: given.leanReturnYears },
    targetBy: 'years',
    season: take(site.season, 'season', 'wet', 'the worse season'),
  }
}

/** A temporary repair may lean sooner: once in two years where the other asks for ten or less. */
export function leanReturnYears(target: Years, asked: Years | undefined, defaults: Tables['defaults']): Years {
  const usual = target <= defaults.leanReturnYears ? TEMPORARY_LEAN_YEARS : defaults.leanReturnYears
  return Math.min(target, asked ?? usual)
}
const TEMPORARY_LEAN_YEARS = 2

function resolveLine(line: Line, tables: Tables, assumed: Assumption[], known: KnownPosts): ResolvedLine {
  const { defaults } = tables
  const take = taker(null, `line ${line.id} `, assumed)
  const stations = line.posts.map((post) => post.station)
  const kind = take(line.kind, 'kind', 'close-boarded', 'the commonest')
  const height = take(line.height, 'height', defaults.height, 'the commonest')
  const length = take(line.length, 'length', Math.max(0, ...stations), 'to the last post')
  const resolved = {
    ...line,
    name: line.name ?? line.id,
    kind,
    height,
    gap: kind === 'single' ? (line.gap ?? 0) : take(line.gap, 'gap', defaults.gap, 'open gap under the cladding'),
    solidity: line.solidity ?? tables.solidity[kind],
    length,
    // What was typed at the tape is not asked again.
    cornerAtStart: line.cornerAtStart ?? line.posts[0]?.duty === 'corner',
    cornerAtEnd: line.cornerAtEnd ?? line.posts[line.posts.length - 1]?.duty === 'corner',
  }
  const isMeant = pointedAt(line)
  const heard = heardAlong(line.posts, carriedBy(tables.causes))
  const { string, tops } = lineTops(line.posts, resolved, line.setOut)
  const ofLine = `${kind} ${height} ${resolved.gap}`
  const posts = line.posts.map((post, i) => {
    const before = line.posts[i - 1]
    const after = line.posts[i + 1]
    const place: Place = {
      from: before ? (before.station + post.station) / 2 : Math.min(post.station, 0),
      to: after ? (after.station + post.station) / 2 : Math.max(post.station, length),
      top: tops[i]! - (post.groundLevel ?? 0),
      isPointedAt: isMeant(post),
      heard: heard(post),
      nearMarks: marksNear(line.marks, post.station),
      atEnd: i === 0 || i === line.posts.length - 1,
    }
    const was = known.get(post)
    if (was && was.ofLine === ofLine && isSamePlace(was.place, place)) {
      assumed.push(...was.assumed)
      return was.post
    }
    const own: Assumption[] = []
    const { atEnd, ...along } = place
    const made: ResolvedPost = { ...resolvePost(post, resolved, atEnd, tables, own), ...along }
    known.set(post, { ofLine, place, post: made, assumed: own })
    assumed.push(...own)
    return made
  })
  const kinds = new Set(line.posts.flatMap(({ repair }) => (repair?.method ? [repair.method] : [])))
  return {
    ...resolved,
    posts,
    string,
    lowString: holdsOver(line.posts, line.setOut?.low ?? LOW_STRING),
    experience: tables.experience,
    measured: {},
    repairKinds: kinds.size,
    isWornOut: isWornOut(line),
  }
}

/** Half of a run of posts is seen to move, or to be broken. */
function isWornOut({ posts }: Line): boolean {
  const gone = posts.filter(({ observations: { pushPivot, breakFace } = {} }) => {
    const moves = pushPivot !== undefined && pushPivot !== 'nothing-moves' && pushPivot !== 'panel-only'
    return moves || (breakFace !== undefined && breakFace !== 'none')
  })
  return gone.length >= Math.max(LEAST_RUN, posts.length / 2)
}
const LEAST_RUN = 3

/** Over the ground where it is held: clear of grass, within a hand's reach, m. */
export const LOW_STRING: Metres = 0.3

function resolvePost(
  post: Post,
  { kind, height: fenceHeight, gap }: { kind: Line['kind']; height: Metres; gap: Metres },
  atEnd: boolean,
  { defaults }: Tables,
  assumed: Assumption[],
) {
  const take = taker(post.id, '', assumed)
  const gate = () => {
    const { leafWidth, leafMass, ...rest } = post.gate ?? {}
    const wide = take(leafWidth, 'gate.leafWidth', defaults.leafWidth, 'not measured')
    // In tenths: nobody knows a leaf by its grams.
    const weighed = Math.round(defaults.leafMass * wide * (fenceHeight - gap) * 10) / 10
    return { ...rest, leafWidth: wide, leafMass: take(leafMass, 'gate.leafMass', weighed, 'not weighed: by its size') }
  }
  const duty = post.duty ?? (kind === 'single' ? 'roadside-box' : atEnd ? 'end' : 'line')
  const duties = dutiesOf(post, duty)
  // What the hole showed stands before what a thumb said at its top.
  const top = post.layers?.[0]
  const section: Section = { shape: 'rectangle', along: defaults.postSize, across: defaults.postSize }
  return {
    ...post,
    ...(kind === 'single' ? { box: take(post.box, 'box', defaults.box, 'not measured') } : {}),
    ...(duties.includes('gate-hinge') ? { gate: gate() } : {}),
    duty,
    duties,
    material: take(post.material, 'material', 'treated-softwood', 'the commonest'),
    section: take(post.section, 'section', section, 'not measured'),
    length: take(post.length, 'length', fenceHeight + defaults.embedment, 'its height and 0.6 m in the ground'),
    ageYears: take(post.ageYears, 'ageYears', defaults.ageYears, 'nobody knew'),
    soil: top?.soil ?? take(post.soil, 'soil', defaults.soil, 'not tested: push a thumb into the side of the hole'),
    saturated: top?.saturated ?? post.saturated ?? false,
    observations: post.observations ?? {},
    isAssumed: { soil: post.soil === undefined && top === undefined, section: post.section === undefined },
  }
}
