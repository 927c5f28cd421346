import { remembered } from '../numeric/remember'
import { postContext, type GroundMemory } from '../repair/context'
import { standingFootingLink, standardFootingLink } from '../repair/standing'
import { gustFor } from '../repair/links'
import type { ResolvedLine, ResolvedSite } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import { experienceOfLine, type ExperienceRange } from '../wind/experience'

/** What a line's own history says of the wind here. */
export type LineExperience = ExperienceRange

/**
 * The line with the experience factor that its own history gives, where it has one.
 *
 * The gust at which a post of the line counts as gone is the one from which it leans for good in the wet season by
 * the bare formulas: the middle one of its posts, each in its own footing or in a common one where nobody knows it.
 */
export function withHistory(
  site: ResolvedSite,
  line: ResolvedLine,
  tables: Tables,
  memory: GroundMemory,
): { line: ResolvedLine; learned?: LineExperience } {
  const { history } = line
  if (!history) return { line }
  const leanGust = typicalLean({ ...site, season: 'wet' }, line, tables, memory)
  if (leanGust === undefined) return { line }
  const usual = tables.experience.ground
  const key = JSON.stringify([history, usual, leanGust, site.gust50])
  const learned = remembered(memory.experience, key, () => experienceOfLine(history, usual, leanGust, site.gust50))
  return { line: { ...line, experience: { ...line.experience, ground: learned.median } }, learned }
}

function typicalLean(site: ResolvedSite, line: ResolvedLine, tables: Tables, memory: GroundMemory): number | undefined {
  const gusts = line.posts
    .map((post) => {
      const context = postContext(site, line, post, tables, memory)
      const link = standingFootingLink(context) ?? standardFootingLink(context)
      return link?.lean === undefined ? 0 : gustFor(link.lean, context.forceAtUnitGust)
    })
    .filter((gust) => gust > 0 && Number.isFinite(gust))
    .sort((a, b) => a - b)
  return gusts[Math.floor(gusts.length / 2)]
}
