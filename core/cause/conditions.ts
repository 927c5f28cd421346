import type { ResolvedLine, ResolvedPost } from '../job/assume'

/** Something that helped the failure along, and must not be built again. */
export interface ConditionRow {
  key: string
  name: string
  /** What to do otherwise this time. */
  advice: string
  /** Whether readings and facts show it; some only a person sees. */
  shownBy?: (post: ResolvedPost, line: ResolvedLine, exposed: boolean) => boolean
}

export interface Condition {
  condition: string
  name: string
  advice: string
  /** By the readings, or ticked by a person. */
  from: 'readings' | 'person'
}

/**
 * Contributing conditions of a post: those that the readings show, and those that somebody ticked.
 *
 * @param exposed the line stands in the open or by water without shelter
 */
export function conditionsOf(
  rows: readonly ConditionRow[],
  post: ResolvedPost,
  line: ResolvedLine,
  exposed: boolean,
): Condition[] {
  return rows.flatMap(({ key, name, advice, shownBy }): Condition[] => {
    if (shownBy?.(post, line, exposed)) return [{ condition: key, name, advice, from: 'readings' }]
    return post.conditions?.includes(key) ? [{ condition: key, name, advice, from: 'person' }] : []
  })
}
