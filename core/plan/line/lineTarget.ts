import type { Job } from '../../document/job'
import { groundMemory, postContext, type GroundMemory } from '../../repair/context'
import { leanReturnYears, resolveJob, type ResolvedLine, type ResolvedSite } from '../../resolve/resolve'
import type { Tables } from '../../tables/tables'
import type { MetresPerSecond } from '../../units/types'

import { lifeReturnYears, neighboursTarget, yearsTarget, type TargetBy, type TargetGust } from '../../wind/target'
import { planDiagnosis } from '../diagnosis'
import { withLineReadings } from './experience'
import { planStanding } from '../standing'

export interface OfferedTarget extends Partial<TargetGust> {
  by: TargetBy
  /** Why it cannot be asked for here. */
  because?: string
}

/** Return periods that a target may have, years: less is no target, more no fence sees. */
const LEAST_YEARS = 2
const MOST_YEARS = 1_000

/**
 * The three ways to say what a repair of this line has to hold, each with its gust.
 *
 * @param neighbours gusts at which its sound posts go over, as they stand
 */
export function offeredTargets(
  site: ResolvedSite,
  line: ResolvedLine,
  neighbours: readonly MetresPerSecond[],
): OfferedTarget[] {
  const { gust50 } = site
  const life = line.remainingYears
  return [
    { by: 'years', ...yearsTarget(site.asked.targetReturnYears, gust50) },
    life
      ? { by: 'life', ...yearsTarget(withinYears(lifeReturnYears(life, site.target?.chance)), gust50) }
      : { by: 'life', because: 'Say in Walk how many years the rest of the fence has.' },
    neighbours.length >= 2
      ? { by: 'neighbours', ...bounded(neighboursTarget(neighbours, gust50), gust50) }
      : { by: 'neighbours', because: 'Fewer than two sound posts of this line are known.' },
  ]
}

const withinYears = (years: number): number => Math.min(MOST_YEARS, Math.max(LEAST_YEARS, years))
function bounded({ returnYears }: TargetGust, gust50: MetresPerSecond): TargetGust {
  return yearsTarget(withinYears(returnYears), gust50)
}

/** Gusts at which the sound posts of a line go over, as they stand. */
export function soundNeighbours(
  site: ResolvedSite,
  line: ResolvedLine,
  tables: Tables,
  memory: GroundMemory,
): MetresPerSecond[] {
  return line.posts.flatMap((post) => {
    const context = postContext(site, line, post, tables, memory)
    if (planDiagnosis(context).state !== 'nothing-wrong') return []
    const { state, holdingGust } = planStanding(context, [])
    return state === 'holds' && holdingGust !== undefined && Number.isFinite(holdingGust) ? [holdingGust] : []
  })
}

/** The three ways at one post, each with its gust or why it cannot be asked for. */
export function targetsAt(job: Job, tables: Tables, postId: string): OfferedTarget[] {
  const { site, lines } = resolveJob(job, tables)
  const line = lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  if (!line) return []
  const memory = groundMemory()
  const known = withLineReadings(site, line, tables, memory).line
  return offeredTargets(site, known, soundNeighbours(site, known, tables, memory))
}

/** The site with what is asked of the repairs of this line. */
export function siteOfLine(site: ResolvedSite, line: ResolvedLine, tables: Tables, memory: GroundMemory): ResolvedSite {
  const by = site.target?.by ?? 'years'
  if (by === 'years') return site
  const neighbours = by === 'neighbours' ? soundNeighbours(site, line, tables, memory) : []
  const returnYears = offeredTargets(site, line, neighbours).find((each) => each.by === by)?.returnYears
  if (returnYears === undefined) return site
  return {
    ...site,
    targetBy: by,
    targetReturnYears: returnYears,
    leanReturnYears: leanReturnYears(returnYears, site.asked.leanReturnYears, tables.defaults),
  }
}
