import type { Job } from '../document/job'
import type { Plan } from '../plan/types'
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

/** Where nobody said how long the fence is to stand. */
const USUAL_YEARS: Years = 15

/**
 * The posts of a line that stand, by what they hold: the least first.
 *
 * A post whose repair was chosen counts as mended with it; what has failed without one is not the next to go, but the
 * one in hand.
 *
 * @param lineId of a line of the job
 */
export function nextToGo(job: Job, { lines }: ResolvedJob, plan: Plan, lineId: string): NextPost[] {
  const line = lines.find(({ id }) => id === lineId)
  if (!line) return []
  const years = Math.max(1, Math.round(line.remainingYears ?? USUAL_YEARS))
  const chosen = new Map(line.posts.map(({ id, repair }) => [id, repair?.method]))
  const standing = plan.posts
    .filter((each) => each.line === lineId)
    .flatMap(({ post, standing, diagnosis, methods }) => {
      const method = chosen.get(post)
      const mended = method === undefined ? undefined : methods.find((each) => each.method === method)?.holdingGust
      const asItStands =
        diagnosis.state === 'nothing-wrong' || diagnosis.state === 'not-looked-at'
          ? (standing.holdingGust ?? standing.range?.[0])
          : undefined
      const over = mended ?? asItStands
      return over === undefined || !Number.isFinite(over) ? [] : [{ line: lineId, post, over, years }]
    })
  const chances = goesOverChances(standing, { gust50: plan.target.gust50, years })
  return standing
    .map((each, i): NextPost => ({ ...each, ...chances[i]! }))
    .sort((a, b) => b.life - a.life || a.over - b.over)
}
