import type { AsBuilt, Job } from '../document/job'
import type { PostAddress } from '../edit/changes'
import { mean } from '../numeric/statistics'
import type { MethodPlan } from '../plan/types'
import { pourAt } from '../pour/planned'
import type { Metres } from '../units/types'
import { entriesAt } from './entries'

export const SIDES = ['start', 'end', 'front', 'back'] as const

/**
 * How it came: all that was entered of it, the later over the earlier, part by part; bags and water as they were
 * poured, where nobody counted them afterwards.
 *
 * @returns undefined where nothing was entered or poured
 */
export function asBuiltAt(job: Pick<Job, 'entries' | 'pours'>, at: PostAddress): AsBuilt | undefined {
  const entered = entriesAt(job, at, 'as-built').map(({ value }) => value)
  const lifts = pourAt(job, at.line, at.post)?.lifts ?? []
  if (entered.length === 0 && lifts.length === 0) return undefined
  const poured: AsBuilt =
    lifts.length > 0
      ? {
          bags: lifts.reduce((sum, { bags }) => sum + bags, 0),
          litres: lifts.reduce((sum, { water }) => sum + water, 0),
        }
      : {}
  return entered.reduce(
    (so, each) => ({
      ...so,
      ...each,
      ...(so.depths || each.depths ? { depths: { ...so.depths, ...each.depths } } : {}),
      ...(so.plumb || each.plumb ? { plumb: { ...so.plumb, ...each.plumb } } : {}),
    }),
    poured,
  )
}

/** Depths at the sides that were measured, in their order. */
export const depthsOf = ({ depths = {} }: AsBuilt): Metres[] =>
  SIDES.flatMap((side) => (depths[side] === undefined ? [] : [depths[side]]))

/** Something of a post as planned and as built. */
export interface Difference {
  what: 'depth' | 'width' | 'bags' | 'water'
  planned: number
  built: number
  /** Built over planned. */
  off: number
}

/** The mean depth counts: a bottom is never even. */
export const meanDepth = (built: AsBuilt): Metres | undefined => {
  const depths = depthsOf(built)
  return depths.length > 0 ? mean(depths) : undefined
}

/**
 * What came otherwise than planned, of all that was both planned and measured.
 *
 * @example a hole planned 0.75 deep and measured 0.85 and 0.87: depth 0.75, 0.86, 0.11
 */
export function differences({ hole, concrete }: Pick<MethodPlan, 'hole' | 'concrete'>, built: AsBuilt): Difference[] {
  const pairs: [Difference['what'], number | undefined, number | undefined][] = [
    ['depth', hole?.depth, meanDepth(built)],
    ['width', hole?.diameter, built.width],
    ['bags', concrete?.bags.count, built.bags],
    ['water', concrete?.bags.water, built.litres],
  ]
  return pairs.flatMap(([what, planned, came]) =>
    planned === undefined || came === undefined ? [] : [{ what, planned, built: came, off: came - planned }],
  )
}
