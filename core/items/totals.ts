import type { MethodPlan, PostPlan } from '../plan/types'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres, Minutes } from '../units/types'

/** What a line comes to, over all its posts that are mended. */
export interface LineTotals {
  /** Posts with a repair, and those of them for which it is only proposed. */
  posts: number
  proposed: number
  repairs: { method: string; name: string; count: number }[]
  /** Bags to buy by mix, and what they come to by measure. */
  bags: { mix: string; name: string; count: number; exact: number }[]
  concrete: CubicMetres
  water: CubicMetres
  stone: CubicMetres
  /** Loose, and old concrete broken out. */
  spoil: CubicMetres
  oldConcrete: CubicMetres
  minutes: Minutes
}

/**
 * Sums of a line: for the chosen repair of each post, or the one proposed where nobody chose.
 *
 * @param chosen the method that somebody chose for a post
 * @example lineTotals(plan.posts, (post) => repairs[post], tables).bags // [{ count: 11, exact: 9.6, … }]
 */
export function lineTotals(
  posts: readonly PostPlan[],
  chosen: (post: string) => string | undefined,
  tables: Tables,
): LineTotals {
  const mended = posts.flatMap(({ post, methods, recommended }) => {
    const key = chosen(post) ?? recommended?.method
    const method = methods.find((each) => each.method === key)
    return method ? [{ method, isProposed: chosen(post) === undefined }] : []
  })
  const sum = (of: (method: MethodPlan) => number | undefined) =>
    mended.reduce((total, { method }) => total + (of(method) ?? 0), 0)
  return {
    posts: mended.length,
    proposed: mended.filter(({ isProposed }) => isProposed).length,
    repairs: repairsOf(mended.map(({ method }) => method)),
    bags: bagsOf(
      mended.map(({ method }) => method),
      tables,
    ),
    concrete: sum(({ concrete }) => concrete?.concrete),
    water: sum(({ concrete }) => concrete?.bags.water),
    stone: sum(({ concrete }) => concrete?.stone),
    spoil: sum(({ concrete }) => concrete?.spoil),
    oldConcrete: sum(({ concrete }) => concrete?.oldConcrete?.volume),
    minutes: sum(({ minutes }) => minutes),
  }
}

function repairsOf(methods: readonly MethodPlan[]): LineTotals['repairs'] {
  const counted = grouped(methods, ({ method }) => method)
  return [...counted]
    .map(([method, all]) => ({ method, name: all[0]!.name, count: all.length }))
    .sort((a, b) => b.count - a.count)
}

function bagsOf(methods: readonly MethodPlan[], tables: Tables): LineTotals['bags'] {
  const poured = methods.flatMap(({ concrete }) => concrete ?? []).filter(({ bags }) => bags.count > 0)
  return [...grouped(poured, ({ mix }) => mix)].map(([mix, all]) => ({
    mix,
    name: row(tables.mixes, mix).name,
    count: all.reduce((sum, { bags }) => sum + bags.count, 0),
    exact: all.reduce((sum, { bags }) => sum + bags.exactCount, 0),
  }))
}

function grouped<T>(all: readonly T[], key: (each: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const each of all) groups.set(key(each), [...(groups.get(key(each)) ?? []), each])
  return groups
}
