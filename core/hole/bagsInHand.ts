import type { Job } from '../document/job'
import { tidy, wholeUp } from '../numeric/rounding'
import { BELOW_FROST } from '../ground/frost'
import type { MethodPlan } from '../plan/types'
import type { Tables } from '../tables/tables'
import type { Metres } from '../units/types'
import { holeBench, type HoleBench, type HoleChange } from './bench'

/** One hole with what it gets of the bags. */
export interface BagShare {
  post: string
  depth: Metres
  /** By measure. */
  bags: number
  plan: MethodPlan
  /** Share of both targets that it holds, 1 where it holds them. */
  share: number
}

export interface BestUse {
  holes: BagShare[]
  /** Whole bags that they take together, and what is left. */
  used: number
  left: number
  /** The weakest of them. */
  weakest?: BagShare
  /** Bags that are missing for the least that each of them needs. */
  missing?: number
}

/** Depths are tried down to this under what is recommended, m. */
const SHALLOWER: Metres = 0.4
/** Nothing deeper than what holds both targets is dug only because there are bags. */
const ENOUGH = 1

/**
 * The best use of a number of bags over several open holes: the weakest post as strong as it can be made.
 *
 * @param posts each with the method that it is to have
 * @source exact: over every share that any hole can have the highest that all can reach with these bags
 * @example three holes that want 4 bags each, with 10: two at 0.70, one at 0.65 m
 */
export function bestUseOfBags(
  job: Job,
  tables: Tables,
  posts: readonly { post: string; method: string }[],
  bags: number,
): BestUse {
  const holes = posts.flatMap(({ post, method }) => {
    const bench = holeBench(job, tables, post, method)
    return bench?.now.concrete && bench.now.hole ? [{ post, options: optionsOf(bench, post) }] : []
  })
  const levels = [...new Set(holes.flatMap(({ options }) => options.map(({ share }) => Math.min(ENOUGH, share))))]
  levels.sort((a, b) => b - a)
  for (const level of levels) {
    const taken = holes.map(({ options }) => cheapestAt(options, level))
    if (taken.some((each) => each === undefined)) continue
    const used = wholeUp(taken.reduce((sum, each) => sum + each!.bags, 0))
    if (used <= bags) return answer(taken as BagShare[], used, bags)
  }
  const least = holes.map(({ options }) => options.reduce((a, b) => (b.bags < a.bags ? b : a)))
  const used = wholeUp(least.reduce((sum, each) => sum + each.bags, 0))
  return { ...answer(least, used, bags), left: 0, ...(used > bags ? { missing: used - bags } : {}) }
}

const answer = (holes: BagShare[], used: number, bags: number): BestUse => ({
  holes,
  used,
  left: Math.max(0, bags - used),
  ...(holes.length > 0 ? { weakest: holes.reduce((a, b) => (b.share < a.share ? b : a)) } : {}),
})

function cheapestAt(options: readonly BagShare[], level: number): BagShare | undefined {
  return options
    .filter(({ share }) => share >= level - 1e-12)
    .reduce<BagShare | undefined>((best, each) => (best && best.bags <= each.bags ? best : each), undefined)
}

function optionsOf(bench: HoleBench, post: string): BagShare[] {
  const { context, now } = bench
  const { depthStep } = context.tables.digging
  const { site } = context
  const hole = now.hole!
  // Frost and the local rules are not up for sale.
  const frost = site.frostDepth > 0 ? site.frostDepth + BELOW_FROST : 0
  const least = Math.max(frost + hole.stoneBed, site.minimumDepth + hole.stoneBed, hole.depth - SHALLOWER)
  const steps = Math.max(0, Math.floor((hole.depth - least) / depthStep + 1e-9))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const depth = tidy(hole.depth - i * depthStep)
    const plan = i === 0 ? now : bench.with({ depth })
    return { post, depth, plan, bags: plan.concrete?.bags.exactCount ?? 0, share: shareHeld(bench, plan) }
  })
}

/** Of both targets, the lesser. */
export function shareHeld({ context }: HoleBench, { holdingGust = 0, leanGust = holdingGust }: MethodPlan): number {
  return Math.min(holdingGust / context.targetGust, Math.min(leanGust, holdingGust) / context.leanTargetGust)
}

/** One way to make do where a hole came out larger than the bags. */
export interface MakeDo {
  key: 'stone-bed' | 'stones' | 'lower' | 'narrower'
  says: string
  change: HoleChange
  plan: MethodPlan
}

const MOST_STONES = 0.3
const MOST_BED: Metres = 0.3
const LOWEST_TOP: Metres = 0.3

/**
 * Ways to fill one hole with the bags that are there: a higher stone bed, wedged stones, ending lower, a narrower foot.
 * Each is the least of its kind that does, with what it then holds.
 *
 * @param bags that there are
 * @returns none where the bags do as it is
 */
export function makeDo(bench: HoleBench, bags: number): MakeDo[] {
  const { now } = bench
  if (!now.hole || !now.concrete || now.concrete.bags.count <= bags) return []
  const { stoneBed, fillTop, diameter } = now.hole
  const steps = (from: number, to: number, step: number) =>
    Array.from({ length: Math.max(0, Math.round((to - from) / step)) }, (_, i) => tidy(from + (i + 1) * step))
  const tries: { key: MakeDo['key']; says: string; changes: HoleChange[] }[] = [
    {
      key: 'stones',
      says: 'Wedge clean stones into it, hard against the sides: they hold the post too while the mix is wet.',
      changes: steps(now.hole.stones ?? 0, MOST_STONES, 0.05).map((stones) => ({ stones })),
    },
    {
      key: 'stone-bed',
      says: 'Raise the stone bed: the concrete ends higher, the hole stays.',
      changes: steps(stoneBed, MOST_BED, 0.025).map((bed) => ({ stoneBed: bed, depth: now.hole!.depth })),
    },
    {
      key: 'lower',
      says: 'End the concrete lower, and tamp soil over it.',
      changes: steps(fillTop, LOWEST_TOP, 0.025).map((top) => ({ fillTop: top, depth: now.hole!.depth })),
    },
    {
      key: 'narrower',
      says: 'Ram soil back round the foot: a narrower bottom.',
      changes: steps(0, diameter / 2, 0.025).map((less) => ({
        shape: 'tapered' as const,
        bottomDiameter: tidy(diameter - less),
        depth: now.hole!.depth,
      })),
    },
  ]
  return tries.flatMap(({ key, says, changes }) => {
    for (const change of changes) {
      const plan = bench.with(change)
      if (plan.concrete && plan.concrete.bags.count <= bags) return [{ key, says, change, plan }]
    }
    return []
  })
}
