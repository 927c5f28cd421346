import { USUAL_YEARS } from '../cost/years'
import { designMethod } from '../plan/design'
import { lineInHand } from '../plan/inHand'
import type { Plan, PostPlan } from '../plan/types'
import type { PostContext } from '../repair/context'
import { repairMethods } from '../repair/methods'
import { footingRangeLinks, standingFootingLink, standingPostLink } from '../repair/standing'
import type { ResolvedJob } from '../resolve/resolve'
import { simulate } from '../survive/simulate'
import { standOf } from '../survive/standOf'
import type { Stand } from '../survive/stand'
import { wholeYears } from '../survive/years'
import { row, type Tables } from '../tables/tables'
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
 * The posts of a line that stand, by what the years do to them: the first to go first.
 *
 * A post whose repair was chosen counts as mended with it; what has failed without one is not the next to go, but the
 * one in hand. All of them meet the same years of wind; their ground has a part in common, their wood goes on going.
 *
 * @param lineId of a line of the job
 */
export function nextToGo(resolved: ResolvedJob, plan: Plan, tables: Tables, lineId: string): NextPost[] {
  const found = lineInHand(resolved, tables, lineId)
  if (!found) return []
  const { line, contextOf } = found
  const years = wholeYears(line.remainingYears ?? USUAL_YEARS)
  const planned = new Map(plan.posts.filter((each) => each.line === lineId).map((each) => [each.post, each]))
  const standing = line.posts.flatMap((post, place) => {
    const chosen = post.repair?.method
    const over = holds(planned.get(post.id)!, chosen)
    if (over === undefined || !Number.isFinite(over)) return []
    return [{ post: post.id, over, stand: { ...standWith(contextOf(post), chosen), post: place } }]
  })
  const lives = simulate(
    standing.map(({ stand }) => stand),
    { gust50: plan.target.gust50, years },
  )
  return standing
    .map(({ post, over }, i): NextPost => {
      const { gone } = lives[i]!
      return { line: lineId, post, over, years, year: gone[0]!, life: gone.at(-1)! }
    })
    .sort((a, b) => b.life - a.life || a.over - b.over)
}

/** What a post goes over at: mended by the way that was chosen, else as it stands where nothing has failed. */
function holds({ standing, diagnosis, methods }: PostPlan, method: string | undefined): MetresPerSecond | undefined {
  const mended = method === undefined ? undefined : methods.find((each) => each.method === method)?.holdingGust
  if (mended !== undefined) return mended
  const stands = diagnosis.state === 'nothing-wrong' || diagnosis.state === 'not-looked-at'
  return stands ? (standing.holdingGust ?? standing.range?.[0]) : undefined
}

/** Where nobody measured the footing, the least that it is likely to be. */
function standWith(context: PostContext, method: string | undefined): Stand {
  if (method !== undefined) {
    const { design } = designMethod(row(repairMethods, method), context)
    if (design.links.length > 0) return standOf(context, design.links, design)
  }
  const footing = standingFootingLink(context) ?? footingRangeLinks(context)[0]!
  return standOf(context, [standingPostLink(context), footing])
}
