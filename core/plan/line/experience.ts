import { remembered } from '../../numeric/remember'
import { postContext, type GroundMemory } from '../../repair/context'
import { standingFootingLink, standardFootingLink } from '../../repair/standing'
import { gustFor } from '../../repair/links'
import type { MeasuredGround, ResolvedLine, ResolvedSite } from '../../resolve/resolve'
import type { Tables } from '../../tables/tables'
import { experienceOfLine, scatterOf, type ExperienceRange, type SharedSoil } from '../../wind/experience'
import { measuredGround } from './measured'

/** What a line's own history says of the wind here. */
export type LineExperience = ExperienceRange

/**
 * The line with what pulls on its posts say of its soils, and with the experience factor that its own history gives.
 *
 * The gust at which a post of the line counts as gone is the one from which it leans for good in the wet season by
 * the bare formulas: the middle one of its posts, each in its own footing or in a common one where nobody knows it.
 */
export function withLineReadings(
  site: ResolvedSite,
  line: ResolvedLine,
  tables: Tables,
  memory: GroundMemory,
): { line: ResolvedLine; learned?: LineExperience } {
  const { history } = line
  const hasPulls = line.posts.some(({ pulls = [] }) => pulls.length > 0)
  if (!history && !hasPulls) return { line }
  const measured = hasPulls ? measuredGround(site, line, tables, memory) : line.measured
  const known = { ...line, measured }
  const leanGust = history && typicalLean({ ...site, season: 'wet' }, line, tables, memory)
  if (!history || leanGust === undefined) return { line: known }
  const usual = tables.experience.ground
  // Of several soils the one that most of its pulls were made in speaks for the line.
  const [soil] = Object.values(measured).sort((a, b) => b.pulls - a.pulls)
  const key = JSON.stringify([history, usual, leanGust, site.gust50, soil])
  const learned = remembered(memory.experience, key, () =>
    experienceOfLine(history, usual, leanGust, site.gust50, soil && sharedSoil(soil)),
  )
  return { line: { ...known, experience: { ...line.experience, ground: learned.median } }, learned }
}

/** What a pull says of the strength that a line has in common. */
const sharedSoil = (measured: MeasuredGround): SharedSoil => ({
  median: measured.used,
  scatter: scatterOf(measured),
})

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
