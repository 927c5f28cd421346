import type { MethodPlan, Plan } from '../plan/types'
import { STOP_GAPS } from '../repair/methods'
import type { Tables } from '../tables/tables'
import { carriedTo } from './waysOpen'

/** Something that one way can be better in than another. */
export interface Criterion {
  key: string
  name: string
  better: 'more' | 'less'
  of: (way: MethodPlan, against: Against) => number
}
/** What the ways are measured against. */
export interface Against {
  target: Plan['target']
  tables: Tables
}

/**
 * What ways are weighed by. Adding one is one row.
 *
 * The wind counts as the share of both targets that is held: the lean's or the fall's, whichever is less.
 */
export const criteria: readonly Criterion[] = [
  { key: 'wind', name: 'Stands the wind', better: 'more', of: shareHeld },
  { key: 'work', name: 'Little work', better: 'less', of: ({ minutes }) => minutes },
  { key: 'carried', name: 'Little to carry', better: 'less', of: (way, { tables }) => carriedTo(way, tables) },
  {
    key: 'dug',
    name: 'Little digging',
    better: 'less',
    of: ({ concrete, packed }) => (concrete?.hole ?? 0) + (packed?.hole ?? 0),
  },
  { key: 'kept', name: 'Keeps what is sound', better: 'less', of: ({ wastes }) => wastes.length },
  { key: 'solved', name: 'Leaves nothing unsolved', better: 'less', of: ({ leavesUnsolved }) => leavesUnsolved.length },
  { key: 'suits', name: 'Suits the ground', better: 'less', of: ({ unsuited }) => Number(unsuited) },
  { key: 'comes-out', name: 'Comes out again', better: 'more', of: ({ comesOut }) => Number(comesOut) },
]

function shareHeld({ holdingGust = Infinity, leanGust = Infinity }: MethodPlan, { target }: Against): number {
  return Math.min(holdingGust / target.gust, Math.min(leanGust, holdingGust) / target.leanGust)
}

/** One way among others. */
export interface ComparedWay {
  way: MethodPlan
  /** In the order of the criteria. */
  figures: number[]
  /** Another that is as good in everything and better in something. */
  beatenBy?: MethodPlan
  /** 0 to 1, by the weights: 1 would be the best of them in all that counts. */
  score: number
  /** Share of the score that each criterion gives. */
  parts: number[]
}

/**
 * The ways that are open on a post, each measured by every criterion, with who is beaten by whom and what the
 * weights make of them. Nothing is hidden in the score: its parts stand beside it.
 *
 * @param weights of the criteria by key, 0 or more; one that is not named counts nothing
 * @returns in the order of the score, then as they came
 * @example one way best in both of two criteria: score 1, and it beats every other
 */
export function compareWays(
  methods: readonly MethodPlan[],
  against: Against,
  weights: Readonly<Record<string, number>>,
  by: readonly Criterion[] = criteria,
): ComparedWay[] {
  const open = methods.filter(({ allowed, method }) => allowed && !STOP_GAPS.has(method))
  const table = open.map((way) => by.map(({ of }) => of(way, against)))
  const goodness = by.map(({ better }, c) =>
    goodnessOf(
      table.map((figures) => figures[c]!),
      better,
    ),
  )
  const total = by.reduce((sum, { key }) => sum + (weights[key] ?? 0), 0)
  const compared = open.map((way, i): ComparedWay => {
    const parts = by.map(({ key }, c) => (total > 0 ? ((weights[key] ?? 0) / total) * goodness[c]![i]! : 0))
    const beater = open.findIndex((_, other) => beats(goodness, other, i))
    return {
      way,
      figures: table[i]!,
      ...(beater >= 0 ? { beatenBy: open[beater]! } : {}),
      score: parts.reduce((sum, part) => sum + part, 0),
      parts,
    }
  })
  return compared.sort((a, b) => b.score - a.score)
}

/** From 0 for the worst of them to 1 for the best; 1 for all where they are alike. */
function goodnessOf(figures: readonly number[], better: Criterion['better']): number[] {
  const greatest = Math.max(0, ...figures.filter(Number.isFinite))
  // What no wind reaches is better than the best that one does, by a step that leaves the others apart.
  const counted = figures.map((figure) => (Number.isFinite(figure) ? figure : BEYOND * Math.max(1, greatest)))
  const [least, most] = [Math.min(...counted), Math.max(...counted)]
  return counted.map((figure) => {
    if (most - least < ALIKE * Math.max(1, Math.abs(most))) return 1
    const share = (figure - least) / (most - least)
    return better === 'more' ? share : 1 - share
  })
}
const BEYOND = 1.2
const ALIKE = 1e-9

function beats(goodness: readonly (readonly number[])[], one: number, other: number): boolean {
  return goodness.every((of) => of[one]! >= of[other]! - ALIKE) && goodness.some((of) => of[one]! > of[other]! + ALIKE)
}
