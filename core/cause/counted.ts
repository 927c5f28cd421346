import type { Cause, CauseTables, EvidenceRow } from './tables'

/** How often a value was read before digging, at posts where this cause was found. */
export interface CountedRow {
  key: string
  name: string
  cause: Cause
  observation: string
  value: string
  count: number
  /** Posts where this cause was found and this was read before: a post of two causes counts a half in each. */
  posts: number
}

/** What the shipped figures weigh against posts of one's own. */
const SHIPPED_COUNTS = 20

/**
 * A row of likelihoods with one's own counts in it: (20 × shipped + count) ÷ (20 + n). What is shipped as impossible
 * stays so, and what was counted of it is not counted.
 *
 * @param shipped shares of 1
 * @source posterior mean of a Dirichlet prior of 20 counts
 * @example 0.7, 0.2, 0.1, and 4, 5, 1 found: 0.60, 0.30, 0.10
 */
export function updatedShares(
  shipped: Readonly<Record<string, number>>,
  counts: Readonly<Record<string, number>>,
): Record<string, number> {
  const possible = Object.entries(shipped).filter(([, share]) => share > 0)
  const found = possible.reduce((sum, [value]) => sum + (counts[value] ?? 0), 0)
  return Object.fromEntries(
    Object.entries(shipped).map(([value, share]) => [
      value,
      share > 0 ? (SHIPPED_COUNTS * share + (counts[value] ?? 0)) / (SHIPPED_COUNTS + found) : 0,
    ]),
  )
}

/** How often each value of a row is seen under a cause, as shares of 1. */
export function shippedShares({ byCause, usual }: EvidenceRow, cause: Cause): Record<string, number> {
  const weights = byCause[cause]?.weights ?? usual
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0)
  return Object.fromEntries(Object.entries(weights).map(([value, weight]) => [value, weight / total]))
}

/** Counts by value, of rows of one observation. */
export const countsOf = (rows: readonly CountedRow[], cause: Cause): Record<string, number> =>
  Object.fromEntries(rows.filter((each) => each.cause === cause).map(({ value, count }) => [value, count]))

/**
 * The tables of the diagnosis with a workspace's own counts in them. Commonness and leans' densities are left as they
 * are.
 */
export function withCounts(tables: CauseTables, counted: readonly CountedRow[]): CauseTables {
  if (counted.length === 0) return tables
  const evidence = tables.evidence.map((row): EvidenceRow => {
    const own = counted.filter(({ observation }) => observation === row.observation)
    if (own.length === 0 || row.logistic) return row
    const byCause = { ...row.byCause }
    for (const cause of new Set(own.map((each) => each.cause))) {
      byCause[cause] = {
        weights: updatedShares(shippedShares(row, cause), countsOf(own, cause)),
        because: `${row.byCause[cause]?.because ?? 'as usual'}; with what you found when you dug`,
      }
    }
    return { ...row, byCause }
  })
  return { ...tables, evidence }
}
