import { MILESTONES } from '../concrete/setting'
import type { Job, Pour } from '../document/job'
import { normalShare } from '../numeric/normal'
import { WORKING_GUST } from '../plan/setOut/beside'
import type { Plan, PostPlan } from '../plan/types'
import { pourClock, shareAt } from '../pour/clock'
import { greenHolds, isPropped } from '../pour/holds'
import { plannedPours, pourAt } from '../pour/planned'
import type { ResolvedJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { MetresPerSecond } from '../units/types'
import { airOf, HOUR_MS, hoursIn, type Forecast, type Moment } from '../weather/forecast'

/** What a post holds, without the weather: worked out once for a version of a job. */
export interface ExposedPost {
  line: string
  post: string
  /** As it stands, by experience, m/s; missing where nothing is known. */
  standing?: MetresPerSecond
  /** It moves by hand, or has given way. */
  isGone?: true
  /** Concrete at its foot that may still be green: what the ground and the props hold, bare, and the repair at last. */
  green?: { pour: Pour; ground?: MetresPerSecond; props?: MetresPerSecond; repaired?: MetresPerSecond }
}

export interface StormPost {
  line: string
  post: string
  /** That it goes over in its worst hour. */
  chance: number
  at: Moment
  gust: MetresPerSecond
  over: MetresPerSecond
  why: 'green' | 'propped' | 'gone' | 'standing'
}

/** So far ahead it looks, and what chance it names. */
const AHEAD = 96 * HOUR_MS
const LEAST_CHANCE = 0.1
/** Scatter of what is forecast, and how it grows by the day. Working values. */
const SCATTER = 0.08
const SCATTER_A_DAY = 0.04
const DAY = 24 * HOUR_MS

/** Everything of a job that wind may bring down. */
export function exposedPosts(job: Job, resolved: ResolvedJob, plan: Plan, tables: Tables): ExposedPost[] {
  const planned = plannedPours(resolved.lines, plan, tables)
  return plan.posts.flatMap((post): ExposedPost[] => {
    const pour = pourAt(job, post.line, post.post)
    const method = planned.find((each) => each.line === post.line && each.post === post.post)?.method
    const green = pour ? { green: greenOf(pour, post, method) } : {}
    const standing = standingOf(post)
    if (!pour && standing === undefined) return []
    return [{ line: post.line, post: post.post, ...green, ...standing }]
  })
}

function greenOf(pour: Pour, plan: PostPlan, method: string | undefined): NonNullable<ExposedPost['green']> {
  const ground = greenHolds(plan, method, 1, false)
  const props = greenHolds(plan, undefined, 0, true)
  const repaired = plan.methods.find((each) => each.method === method)?.holdingGust
  return {
    pour,
    ...(ground === undefined ? {} : { ground }),
    ...(props === undefined ? {} : { props }),
    ...(repaired === undefined ? {} : { repaired }),
  }
}

/** Of a range its least: it is a warning. Nothing where nothing is known. */
function standingOf({ standing, diagnosis }: PostPlan): Pick<ExposedPost, 'standing' | 'isGone'> | undefined {
  switch (standing.state) {
    case 'holds':
      return standing.holdingGust === undefined ? undefined : { standing: standing.holdingGust }
    case 'range':
      // A sound post whose footing nobody has measured is no news.
      return standing.range && diagnosis.state !== 'nothing-wrong' ? { standing: standing.range[0] } : undefined
    case 'moves':
      // A hand moves it: less than so much, and no figure how much less.
      return standing.holdingGust === undefined
        ? undefined
        : { standing: Math.max(WORKING_GUST, standing.holdingGust), isGone: true }
    case 'given-way':
      // Only its panels hold it: it counts as something that hangs loose.
      return { standing: WORKING_GUST, isGone: true }
    case 'not-known':
      return undefined
  }
}

/**
 * Posts whose chance to go over within four days is a tenth or more, the likeliest first.
 *
 * Φ(ln(forecast ÷ over) ÷ σ) of the worst hour, the forecast as median, σ = 8 % and 4 % more for each day ahead. What
 * stands counts by experience, what is green or propped by the bare formulas.
 *
 * @example a post that goes over at 20 m/s, 20 m/s forecast in an hour: 0.5
 */
export function stormWatch(
  posts: readonly ExposedPost[],
  forecast: Pick<Forecast, 'hours'>,
  now: Moment,
  tables: Pick<Tables, 'mixes' | 'resins'>,
): StormPost[] {
  const hours = hoursIn(forecast, now, now + AHEAD)
  const air = airOf(forecast)
  return posts
    .flatMap((each): StormPost[] => {
      const found = hours.flatMap((hour): StormPost[] => {
        const at = Math.max(now, Date.parse(hour.at))
        const held = holdsAt(each, at, tables, air)
        if (!held) return []
        const chance = goesOver(hour.gust, held.over, (at - now) / DAY)
        return [{ line: each.line, post: each.post, chance, at, gust: hour.gust, ...held }]
      })
      const worst = found.reduce<StormPost | undefined>(
        (most, hour) => (most && most.chance >= hour.chance ? most : hour),
        undefined,
      )
      return worst && worst.chance >= LEAST_CHANCE ? [worst] : []
    })
    .sort((a, b) => b.chance - a.chance)
}

/** @param days ahead */
export function goesOver(gust: MetresPerSecond, over: MetresPerSecond, days: number): number {
  if (over <= 0) return 1
  return normalShare(Math.log(gust / over) / (SCATTER + SCATTER_A_DAY * days))
}

const CARRIES = MILESTONES.find(({ key }) => key === 'gate')!.share

function holdsAt(
  { standing, isGone, green }: ExposedPost,
  at: Moment,
  tables: Pick<Tables, 'mixes' | 'resins'>,
  air: ReturnType<typeof airOf>,
): Pick<StormPost, 'over' | 'why'> | undefined {
  if (!green) return standing === undefined ? undefined : { over: standing, why: isGone ? 'gone' : 'standing' }
  const { pour, ground, props, repaired } = green
  const share = shareAt(pour, at, tables, air)
  const isSet =
    share >= CARRIES ||
    (pourClock(pour, at, tables, air)?.milestones.some(({ key, latest }) => key === 'cured' && latest! <= at) ?? false)
  if (isSet) return repaired === undefined ? undefined : { over: repaired, why: 'standing' }
  const byGround = (ground ?? 0) * share
  const byProps = isPropped(pour) ? (props ?? 0) : 0
  if (ground === undefined && props === undefined) return undefined
  return { over: Math.max(byGround, byProps), why: byProps > byGround ? 'propped' : 'green' }
}
