import type { CauseTables } from '../cause/tables'
import type { MethodPlan } from '../plan/types'
import { STOP_GAPS } from '../repair/methods'
import type { MetresPerSecond, Minutes } from '../units/types'

/* What a play of a case costs, in minutes. All of these are working values. */

/** A visit for nothing; a bag too many, and one too few; a metre per second short of the target. */
export const VISIT: Minutes = 120
export const BAG_TOO_MANY: Minutes = 10
export const BAG_TOO_FEW: Minutes = 30
export const SHORT_OF_TARGET: Minutes = 20

/** Nothing is done: the post is left as it stands. */
export const LEAVE = 'leave'

/** A way that may be committed to, with what it costs whatever is true, and the visits that it wastes under each truth. */
export interface Way {
  method: string
  minutes: Minutes
  /** By truth: of the causes in their order, and last of a sound post. */
  wasted: readonly number[]
}

/**
 * The ways that are open at a post: what cannot be done, and what holds for days, is none of them.
 *
 * @param methods as they are planned before anybody has looked
 */
export function waysOf(methods: readonly MethodPlan[], { causes, sound }: CauseTables): Way[] {
  const open = methods.filter(({ verdict, method }) => verdict !== 'refused' && !STOP_GAPS.has(method))
  return [
    { method: LEAVE, minutes: 0, wasted: [...causes.map(() => sound.visits.leftFailed), 0] },
    ...open.map(({ method, minutes }) => ({
      method,
      minutes,
      wasted: [...causes.map(({ answeredBy }) => (answeredBy.includes(method) ? 0 : 1)), sound.visits.mendedSound],
    })),
  ]
}

/** Expected cost of one way as things stand. */
export function costOf({ minutes, wasted }: Way, now: readonly number[]): Minutes {
  let visits = 0
  for (let i = 0; i < now.length; i++) visits += now[i]! * wasted[i]!
  return minutes + VISIT * visits
}

/** The way that is expected to cost least. */
export function leastWay(ways: readonly Way[], now: readonly number[]): { way: Way; cost: Minutes } {
  let best = { way: ways[0]!, cost: Infinity }
  for (const way of ways) {
    const cost = costOf(way, now)
    if (cost < best.cost) best = { way, cost }
  }
  return best
}

/** What knowing the truth would save, at most: no check is worth more. */
export function mostWorth(ways: readonly Way[], now: readonly number[], cost: Minutes): Minutes {
  let least = 0
  for (let i = 0; i < now.length; i++) {
    if (now[i]! === 0) continue
    let cheapest = Infinity
    for (const { minutes, wasted } of ways) cheapest = Math.min(cheapest, minutes + VISIT * wasted[i]!)
    least += now[i]! * cheapest
  }
  return cost - least
}

/** What was dug and bought, over what was wanted. */
export interface Sized {
  bags: number
  /** By measure, of the hole that was dug. */
  bagsWanted: number
  holds: MetresPerSecond
  target: MetresPerSecond
}

/** Cost of a hole that holds too little, and of bags that were not wanted or were missed. */
export function sizeCost({ bags, bagsWanted, holds, target }: Sized): Minutes {
  const over = bags - Math.ceil(bagsWanted - 1e-9)
  return (
    (over > 0 ? BAG_TOO_MANY * over : -BAG_TOO_FEW * over) +
    SHORT_OF_TARGET * Math.max(0, target - Math.min(holds, target))
  )
}
