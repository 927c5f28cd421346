import type { MethodPlan, Plan, PostPlan } from '../plan/types'
import { holdingMore } from '../plan/recommend'
import { STOP_GAPS } from '../repair/methods'
import { row, type Tables } from '../tables/tables'
import type { Kilograms, Minutes } from '../units/types'

/** One way to mend one post, with what it adds to the sums of the line. */
export interface WayOption {
  method: string
  name: string
  minutes: Minutes
  /** Mix, cement and ballast, or stone brought to it. */
  carried: Kilograms
  /** Times a year that a wind comes which it does not stand. */
  breaks: number
  /** Old concrete has to be broken out. */
  breaker: boolean
}

export interface PostChoice {
  post: string
  options: WayOption[]
}

/** What there is to choose on a line, and what is left to others. */
export interface LineChoice {
  line: string
  posts: PostChoice[]
  /** Posts that are asked for a repair and have nothing to choose from, with the reason. */
  left: { post: string; why: string }[]
}

/**
 * The ways that stand open for every post of a line that waits for a repair.
 *
 * Of each post those that an old hand would weigh against each other at all: allowed, none that holds for days only,
 * none that leaves more unsolved or takes out more of what is sound than the best of them; and where one of them holds
 * both targets, those alone.
 *
 * @param chosen what somebody has chosen already, by post: that stays
 */
export function lineChoice(
  { posts }: Pick<Plan, 'posts'>,
  line: string,
  tables: Tables,
  chosen: ReadonlyMap<string, string> = new Map(),
): LineChoice {
  const result: LineChoice = { line, posts: [], left: [] }
  for (const each of posts) {
    if (each.line !== line || !isAskedFor(each)) continue
    const open = waysOpen(each, chosen.get(each.post))
    if (open.length > 0) result.posts.push({ post: each.post, options: open.map((way) => optionOf(way, tables)) })
    else result.left.push({ post: each.post, why: whyNone(each) })
  }
  return result
}

/** It has failed, or is to become more than it is. */
const isAskedFor = ({ diagnosis: { state }, recommended }: PostPlan) =>
  state === 'failed' || (state === 'nothing-wrong' && recommended !== undefined)

function waysOpen({ methods, standing, diagnosis }: PostPlan, taken: string | undefined): MethodPlan[] {
  const allowed = methods.filter((way) => way.allowed && !STOP_GAPS.has(way.method))
  const open = diagnosis.state === 'failed' ? allowed : holdingMore(standing, allowed)
  const asChosen = allowed.filter(({ method }) => method === taken)
  if (asChosen.length > 0) return asChosen
  return leastOf(leastOf(leastOf(open, unsolved), wasted), weak)
}
const unsolved = ({ leavesUnsolved }: MethodPlan) => leavesUnsolved.length
const wasted = ({ wastes }: MethodPlan) => wastes.length
const weak = ({ holdsTarget, holdingGust, unsuited }: MethodPlan) =>
  (holdsTarget || holdingGust === undefined ? 0 : 2) + (unsuited ? 1 : 0)

function leastOf<T>(items: readonly T[], measure: (item: T) => number): T[] {
  const least = Math.min(...items.map(measure))
  return items.filter((item) => measure(item) === least)
}

function optionOf(way: MethodPlan, tables: Tables): WayOption {
  const { method, name, minutes, concrete, packed, returnYears = Infinity } = way
  return {
    method,
    name,
    minutes,
    carried: carriedTo(way, tables),
    breaks: 1 / returnYears,
    breaker: (concrete?.oldConcrete ?? packed?.oldConcrete) !== undefined,
  }
}

/** Mix, cement and ballast, or stone that has to be brought for one way, kg. */
export function carriedTo({ concrete, packed }: MethodPlan, tables: Tables): Kilograms {
  const stone = packed?.filling === 'stone' ? (packed.fill.mass ?? 0) : 0
  return (concrete ? massOf(concrete, tables) : 0) + stone
}

/** Whole bags, or what is batched by hand; the lorry brings the rest to the hole. */
function massOf({ mix: key, bags }: NonNullable<MethodPlan['concrete']>, { mixes }: Tables): Kilograms {
  const mix = row(mixes, key)
  if (mix.supply === 'bag') return bags.count * mix.mass
  return bags.batch ? bags.batch.cement + bags.batch.ballast : 0
}

function whyNone({ diagnosis, methods }: PostPlan): string {
  if (diagnosis.redFlags.length > 0 && !diagnosis.cleared) return 'A red flag stands: make it safe.'
  const [first] = methods.filter(({ method }) => !STOP_GAPS.has(method)).flatMap(({ reasons }) => reasons)
  return first ?? 'Nothing but a stop-gap is open here.'
}
