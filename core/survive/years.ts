import { USUAL_YEARS, yearsPlumb } from '../cost/years'
import type { Job } from '../document/job'
import { designMethod } from '../plan/design'
import { postInHand } from '../plan/inHand'
import { planStanding } from '../plan/standing'
import type { PostContext } from '../repair/context'
import { methodRow, type RepairMethod } from '../repair/method'
import { repairMethods, STOP_GAPS } from '../repair/methods'
import { standingFootingLink, standingPostLink } from '../repair/standing'
import { soilOf, type ResolvedJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { Years } from '../units/types'
import { BARE, USUAL_RANGE, type ExperienceRange, type LineHistory } from '../wind/experience'
import { LIVES, simulate, type Survived } from './simulate'
import { standOf } from './standOf'
import type { Ends, Stand } from './stand'
import { MOST_YEARS } from './winds'

/** Years that a curve is drawn over: more nobody plans for. */
export const YEARS_DRAWN: Years = 30
/** The post and footing that stand there now, in the place of a method's key. */
export const AS_IT_STANDS = 'as-it-stands'

/** How long one way stands plumb. */
export interface PlumbYears {
  /** Key of a method, or {@link AS_IT_STANDS}. */
  method: string
  name: string
  /** Chance to stand plumb at the end of each year, the first first; with the range of the experience factor. */
  plumb: readonly number[]
  low: readonly number[]
  high: readonly number[]
  /** Chance that it has gone over by then. */
  gone: readonly number[]
  /** Of those that end, the share that ends so. */
  ends: Record<Ends, number>
  /** Half of such posts are still plumb, read between years; absent where more than half outlast what is drawn. */
  median?: Years
  /** Expected within what is left of the fence. */
  expected: Years
}

/** What the curves of one post rest on. */
export interface YearsRestOn {
  factor: ExperienceRange
  history?: LineHistory
  pulls?: number
  /** Of the fence, and whether somebody said so. */
  fenceYears: Years
  isFenceAssumed: boolean
}

export interface StandingYears {
  line: string
  post: string
  curves: PlumbYears[]
  restsOn: YearsRestOn
}

export interface YearsQuestion {
  /** Ways to look at; every one that is allowed when absent. Stop-gaps last for days, and are none of them. */
  methods?: readonly string[]
  /** The same job, where that is known. */
  resolved?: ResolvedJob
  lives?: number
  years?: Years
  onProgress?: (share: number) => void
}

/**
 * How long each way to mend a post stands plumb, and how long it would as it stands where nothing in it has failed.
 *
 * All of them meet the same years of wind on the same ground; see {@link simulate}.
 *
 * @returns undefined when there is no such post
 * @example standingYears(job, tables, 'B7')!.curves[0].median // 13.6
 */
export function standingYears(
  job: Job,
  tables: Tables,
  postId: string,
  { methods, resolved, lives = LIVES, years = YEARS_DRAWN, onProgress }: YearsQuestion = {},
): StandingYears | undefined {
  const found = postInHand(job, tables, postId, resolved)
  if (!found) return undefined
  const { context, learned } = found
  const { line, post, scale, site } = context
  const ways = [...standsNow(context), ...mended(context, methods)]
  const fenceYears = line.remainingYears ?? USUAL_YEARS
  const median = scale.experience.ground
  const factor = learned ?? rangeAbout(median)
  const measured = line.measured[soilOf(post)]
  const asked = {
    gust50: site.gust50,
    years,
    lives,
    pressures: [1, factor.low / median, factor.high / median],
    ...(onProgress ? { onProgress: (done: number) => onProgress(done / lives) } : {}),
  }
  const survived =
    ways.length > 0
      ? simulate(
          ways.map(({ stand }) => stand),
          asked,
        )
      : []
  return {
    line: line.id,
    post: post.id,
    curves: ways.map(({ method, name }, i) => ({ method, name, ...curveOf(survived[i]!, fenceYears) })),
    restsOn: {
      factor,
      ...(learned && line.history ? { history: line.history } : {}),
      ...(measured ? { pulls: measured.pulls } : {}),
      fenceYears,
      isFenceAssumed: line.remainingYears === undefined,
    },
  }
}

interface Way {
  method: string
  name: string
  stand: Stand
}

/** Without a history the factor may be so many times more or less; what people stand beside has none. */
const rangeAbout = (median: number): ExperienceRange =>
  median === BARE.ground
    ? { median, low: median, high: median }
    : { median, low: median / USUAL_RANGE, high: median * USUAL_RANGE }

/** A post of which anything has failed, or whose footing nobody measured, has no years of its own. */
function standsNow(context: PostContext): Way[] {
  const footing = standingFootingLink(context)
  const { state, holdingGust } = planStanding(context, [])
  if (!footing || state !== 'holds' || !Number.isFinite(holdingGust)) return []
  return [
    {
      method: AS_IT_STANDS,
      name: 'As it stands',
      stand: standOf(context, [standingPostLink(context), footing]),
    },
  ]
}

function mended(context: PostContext, methods: readonly string[] | undefined): Way[] {
  return repairMethods
    .filter(({ key }) => !STOP_GAPS.has(key) && (methods?.includes(key) ?? true))
    .flatMap((method) => wayOf(context, method) ?? [])
}
function wayOf(context: PostContext, method: RepairMethod): Way | undefined {
  const { design, verdict, thresholds } = designMethod(method, context)
  // Where the wind does not reach it there is nothing to tell.
  if (verdict.verdict !== 'allowed' || !Number.isFinite(thresholds.holdingGust)) return undefined
  return {
    method: method.key,
    name: methodRow(method.key, context).name,
    stand: standOf(context, design.links, design),
  }
}

function curveOf(
  { plumb: [plumb, felt, feltMore], gone, ends }: Survived,
  fenceYears: Years,
): Omit<PlumbYears, 'method' | 'name'> {
  const median = medianYears(plumb!)
  return {
    plumb: plumb!,
    // Leans of both signs add: more wind may, by a hair, leave one life plumb that less would not.
    low: plumb!.map((share, year) => Math.min(share, feltMore![year]!)),
    high: plumb!.map((share, year) => Math.max(share, felt![year]!)),
    gone,
    ends,
    ...(median === undefined ? {} : { median }),
    expected: yearsPlumb(plumb!.slice(0, wholeYears(fenceYears))),
  }
}

/** As years are looked at: whole ones, one at least. */
export const wholeYears = (years: Years): Years => Math.min(MOST_YEARS, Math.max(1, Math.round(years)))

const DRAWN_BEYOND: Years = 5
/** Years that are drawn for a fence that has so many left. @example yearsDrawn(8) // 15 */
export const yearsDrawn = (fenceYears: Years): Years =>
  Math.min(YEARS_DRAWN, Math.max(10, Math.ceil((fenceYears + DRAWN_BEYOND) / 5) * 5))

/**
 * Years after which half of them are still plumb, read straight between the ends of years.
 *
 * @returns undefined where more than half outlast the list
 * @example medianYears([0.9, 0.6, 0.4]) // 2.5
 */
export function medianYears(plumb: readonly number[]): Years | undefined {
  const year = plumb.findIndex((share) => share < 0.5)
  if (year < 0) return undefined
  const before = year === 0 ? 1 : plumb[year - 1]!
  return year + (before - 0.5) / (before - plumb[year]!)
}
