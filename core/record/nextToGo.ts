import { USUAL_YEARS } from '../cost/years'
import type { Job } from '../document/job'
import type { Plan, PostPlan } from '../plan/types'
import type { ResolvedJob } from '../resolve/resolve'
import { goesOverChances } from '../survive/goesOver'
import type { MetresPerSecond, Years } from '../units/types'

/** A post that stands, in the order in which posts of its line go. */
export interface NextPost {
  line: string
  post: string
  /** Goes over at, as it stands; of a range its least. */
  over: MetresPerSecond
  /** Chance to go over within the year, and within what is left of the fence. */
  year: number
  life: number
  years: Years
}

/**
 * The posts of a line that stand, by what they hold: the least first.
 *
 * A post whose repair was chosen counts as mended with it; what has failed without one is not the next to go, but the
 * one in hand.
 *
 * @param lineId of a line of the job
 * @param wet    the same job as planned on saturated ground, see {@link onWetGround}
 */
export function nextToGo(job: Job, { lines }: ResolvedJob, plan: Plan, lineId: string, wet?: Plan): NextPost[] {
  const line = lines.find(({ id }) => id === lineId)
  if (!line) return []
  const years = Math.max(1, Math.round(line.remainingYears ?? USUAL_YEARS))
  const chosen = new Map(line.posts.map(({ id, repair }) => [id, repair?.method]))
  const standing = plan.posts
    .filter((each) => each.line === lineId)
    .flatMap((each) => {
      const over = holds(each, chosen.get(each.post))
      if (over === undefined || !Number.isFinite(over)) return []
      const onWet = wet?.posts.find(({ line: of, post }) => of === lineId && post === each.post)
      const saturated = onWet && holds({ ...onWet, diagnosis: each.diagnosis }, chosen.get(each.post))
      return [{ line: lineId, post: each.post, over, years, ...(saturated === undefined ? {} : { saturated }) }]
    })
  const chances = goesOverChances(standing, { gust50: plan.target.gust50, years })
  return standing
    .map(({ saturated: _wet, ...each }, i): NextPost => ({ ...each, ...chances[i]! }))
    .sort((a, b) => b.life - a.life || a.over - b.over)
}

/** What a post goes over at: mended by the way that was chosen, else as it stands where nothing has failed. */
function holds({ standing, diagnosis, methods }: PostPlan, method: string | undefined): MetresPerSecond | undefined {
  const mended = method === undefined ? undefined : methods.find((each) => each.method === method)?.holdingGust
  if (mended !== undefined) return mended
  const stands = diagnosis.state === 'nothing-wrong' || diagnosis.state === 'not-looked-at'
  return stands ? (standing.holdingGust ?? standing.range?.[0]) : undefined
}

/** The job after long rain: six large gusts in ten come then. */
export const onWetGround = (job: Job): Job => ({
  ...job,
  lines: job.lines.map((line) => ({
    ...line,
    posts: line.posts.map((post) => ({
      ...post,
      saturated: true,
      ...(post.layers ? { layers: post.layers.map((layer) => ({ ...layer, saturated: true })) } : {}),
    })),
  })),
})
