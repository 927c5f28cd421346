import { drawsFrom, type Draws } from '../numeric/draws'
import { compareGoals, goalOf, type FoundPlan } from './goal'
import { withFewerNights } from './nights'
import { problemOf, type Problem } from './problem'
import { DAY_MINUTES, MOST_OVERTIME, type DayQuestion } from './question'
import type { Manner } from './board'
import { schedule } from './schedule'

export interface SearchEffort {
  /** The same seed and the same rounds give the same plan. */
  seed: number
  rounds: number
}

export const USUAL_EFFORT: SearchEffort = { seed: 1, rounds: 240 }

/** Of the tasks, what one round lays anew. */
const LEAST_ANEW = 0.1
const MOST_ANEW = 0.5
/** How much of their days' overtime a round may try. */
const OVERTIMES = [0, 30, 60, MOST_OVERTIME]
/** A round of the search is told so often. */
const TELL_EVERY = 8

/**
 * Plans the days: each task as early as it can be by how late it may be, then a search that lays a neighbourhood of
 * tasks anew, again and again; the best in the order of the goal stays.
 *
 * @param tell called with the best so far and the share that is done
 * @throws InputError for a question that no plan could answer
 */
export function planDays(
  question: DayQuestion,
  { seed, rounds }: SearchEffort = USUAL_EFFORT,
  tell: (best: FoundPlan, share: number) => void = () => undefined,
): FoundPlan {
  const problem = problemOf(question)
  const draws = drawsFrom(seed)
  const late = latestFinishes(problem)
  let manner: Manner = { rank: late, overtime: 0, closed: new Set() }
  let best = tried(problem, manner)
  for (const apart of APART) {
    for (const overtime of OVERTIMES) {
      const next = { ...manner, rank: postByPost(late, apart, problem), overtime }
      const found = tried(problem, next)
      if (compareGoals(found.goal, best.goal) < 0) [manner, best] = [next, found]
    }
  }
  for (let round = 0; round < rounds; round++) {
    if (round % TELL_EVERY === 0) tell(best, round / rounds)
    const next = changed(manner, best, problem, draws)
    const found = tried(problem, next)
    // As good as before is another place to go on from.
    if (compareGoals(found.goal, best.goal) <= 0) [manner, best] = [next, found]
  }
  const kept = withFewerNights({ problem, manner, best }, (other) => tried(problem, other))
  tell(kept, 1)
  return kept
}

/** All posts at once, or the one behind the other by so many minutes: where concrete waits, first ones come first. */
const APART = [0, 20, 60, 180, 1e5]

function postByPost(late: ReadonlyMap<string, number>, apart: number, { inOrder }: Problem): Map<string, number> {
  const posts = [...new Set(inOrder.flatMap(({ posts: of }) => of))]
  // What waits longest at its end goes first.
  const lastOf = (post: string) =>
    Math.min(...inOrder.filter((task) => task.posts.includes(post)).map(({ id }) => late.get(id)!))
  const order = new Map([...posts].sort((a, b) => lastOf(a) - lastOf(b)).map((post, i) => [post, i]))
  return new Map(inOrder.map(({ id, posts: of }) => [id, late.get(id)! + apart * (order.get(of[0] ?? '') ?? 0)]))
}

function tried(problem: Problem, manner: Manner): FoundPlan {
  const plan = schedule(problem, manner)
  return { plan, goal: goalOf(plan, problem) }
}

/**
 * How late each task may end without keeping the last one waiting, by the clock from the last minute back: what comes
 * first is laid first.
 */
export function latestFinishes({ inOrder, waitingFor, question, time }: Problem): Map<string, number> {
  const end = question.hours.length * DAY_MINUTES
  const late = new Map<string, number>()
  for (const task of inOrder.toReversed()) {
    const least = waitingFor.get(task.id)!.map(({ task: next, after }) => {
      const wait = after.milestone ? Math.max(after.least, waitOf(task, after.milestone)) : after.least
      return late.get(next.id)! - next.minutes - wait
    })
    late.set(task.id, Math.min(end, ...least))
  }
  return late

  /** Begun at the first minute: near enough to rank by. */
  function waitOf(task: Parameters<typeof time.carries>[0], milestone: Parameters<typeof time.carries>[1]): number {
    const ready = time.carries(task, milestone, 0)
    return Number.isFinite(ready) ? ready : end
  }
}

function changed(manner: Manner, { goal, plan }: FoundPlan, { inOrder }: Problem, draws: Draws): Manner {
  switch (draws.below(8)) {
    case 0:
      return { ...manner, overtime: draws.one(OVERTIMES) }
    case 1: {
      // A visit fewer: nobody comes on one of the days, but on the last.
      const days = plan.visits.map(({ day }) => day).filter((day) => day !== goal.lastDay)
      if (days.length === 0) return withRank(manner, inOrder, draws)
      return { ...manner, closed: new Set([...manner.closed, draws.one(days)]) }
    }
    case 2:
      if (manner.closed.size > 0) {
        const open = draws.one([...manner.closed])
        return { ...manner, closed: new Set([...manner.closed].filter((day) => day !== open)) }
      }
      return withRank(manner, inOrder, draws)
    case 3:
    case 4:
    case 5:
      return withOneMoved(manner, inOrder, draws)
    default:
      return withRank(manner, inOrder, draws)
  }
}

/** One task just before or just behind another. */
function withOneMoved(manner: Manner, inOrder: Problem['inOrder'], draws: Draws): Manner {
  const rank = new Map(manner.rank)
  for (let moves = 1 + draws.below(2); moves > 0; moves--) {
    const beside = rank.get(draws.one(inOrder).id)!
    rank.set(draws.one(inOrder).id, beside + (draws.below(2) === 0 ? -A_HAIR : A_HAIR) * draws.share())
  }
  return { ...manner, rank }
}
/** Less than what lies between any two. */
const A_HAIR = 0.5

/** A neighbourhood by another order: of one post, or scattered. */
function withRank(manner: Manner, inOrder: Problem['inOrder'], draws: Draws): Manner {
  const rank = new Map(manner.rank)
  const ranks = [...rank.values()].sort((a, b) => a - b)
  const isWhole = draws.below(2) === 0
  const posts = [...new Set(inOrder.flatMap(({ posts: of }) => of))]
  const share = LEAST_ANEW + (MOST_ANEW - LEAST_ANEW) * draws.share()
  const chosen = isWhole ? new Set(posts.filter(() => draws.share() < share)) : undefined
  const shift = draws.one(ranks) - draws.one(ranks)
  for (const task of inOrder) {
    const isIn = chosen ? task.posts.some((post) => chosen.has(post)) : draws.share() < share
    if (!isIn) continue
    // All of a post goes along, or each by itself.
    rank.set(task.id, isWhole ? rank.get(task.id)! + shift : draws.one(ranks))
  }
  return { ...manner, rank }
}
