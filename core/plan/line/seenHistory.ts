import { median } from '../../numeric/statistics'
import { row, type Tables } from '../../tables/tables'
import type { LineHistory } from '../../wind/experience'
import type { Plan } from '../types'

/** Posts of a line that are known to have moved in the ground: of the others nobody said that they did. */
export const goneByFooting = ({ posts }: Pick<Plan, 'posts'>, lineId: string, { causes }: Tables): number =>
  posts.filter(
    ({ line, diagnosis }) =>
      line === lineId && diagnosis.inForce.some((cause) => row(causes.causes, cause).part === 'ground'),
  ).length

/**
 * What the posts of a line, as they were looked at, say of its history, for somebody to say whether it is so.
 *
 * @param ages of its posts, years, where somebody said them; the middle one speaks for the line
 * @returns undefined where half of the ages or more are not known
 * @example 20 posts of 14 years, one tilted in its footing: { posts: 20, ageYears: 14, gone: 1 }
 */
export function seenHistory(
  plan: Pick<Plan, 'posts'>,
  lineId: string,
  ages: readonly (number | undefined)[],
  tables: Tables,
): LineHistory | undefined {
  const known = ages.filter((age): age is number => age !== undefined && age >= 1)
  if (known.length === 0 || known.length <= ages.length / 2) return undefined
  return { posts: ages.length, ageYears: Math.round(median(known)), gone: goneByFooting(plan, lineId, tables) }
}
