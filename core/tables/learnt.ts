/* What a workspace has learnt from its own records, once somebody has looked at it and put it in use. */

export const LEARNT_KINDS = ['over-dig', 'bags', 'minutes', 'spares'] as const
export type LearntKind = (typeof LEARNT_KINDS)[number]

/** A figure in use in place of a working value: actual over planned. */
export interface LearntRow {
  /** As {@link learntKey} makes it. */
  key: string
  name: string
  kind: LearntKind
  /** Of over-dig and bags: tool and soil; of one of them alone, or of all, where they are missing. */
  tool?: string
  soil?: string
  /** Of minutes: the step; of spares: what is bought. */
  task?: string
  median: number
  /** Nine in ten were no more than this. */
  ninety: number
  records: number
}

/** @example learntKey('over-dig', { tool: 'spade', soil: 'firm-clay' }) // 'over-dig-spade-firm-clay' */
export const learntKey = (
  kind: LearntKind,
  { tool = '', soil = '', task = '' }: { tool?: string; soil?: string; task?: string },
): string => [kind, ...(task ? [task] : [tool, soil])].filter(Boolean).join('-')

/**
 * The figure in use for a tool in a soil, else for that tool, else for all.
 *
 * @example learntOf(rows, 'over-dig', 'spade', 'gravel') // the row of the spade where none speaks of gravel
 */
export function learntOf(
  rows: readonly LearntRow[],
  kind: LearntKind,
  tool: string,
  soil: string,
): LearntRow | undefined {
  for (const of of [{ tool, soil }, { tool }, {}]) {
    const found = rows.find(({ key }) => key === learntKey(kind, of))
    if (found) return found
  }
  return undefined
}

/** What is bought on top of things that were counted before, by the key in the list: nine jobs in ten took no more. */
export const learntSpares = (rows: readonly LearntRow[]): Record<string, number> =>
  Object.fromEntries(
    rows.flatMap(({ kind, task, ninety }) => (kind === 'spares' && task ? [[task, Math.max(0, ninety - 1)]] : [])),
  )

/** @example 'from your last 14 holes' */
export const learntFrom = ({ kind, records }: Pick<LearntRow, 'kind' | 'records'>): string =>
  `from your last ${records} ${{ 'over-dig': 'holes', bags: 'fills', minutes: 'times', spares: 'jobs' }[kind]}`
