import type { Manner } from './board'
import { compareGoals, type FoundPlan } from './goal'
import type { Problem } from './problem'
import { DAY_MINUTES, dayOf, type DayMinute, type Task } from './question'

type Later = ReadonlyMap<string, DayMinute>

/**
 * Digs on the day of the pour where that costs nothing: a hole open for a night is a hole to cover, to bar and to bail
 * out. Post by post what cuts loose and what digs is begun just before the pour, else no sooner than that day; what
 * makes the plan worse stays as it was.
 *
 * @param laid the plan of another manner
 * @returns a plan that is no worse in its goal, with no more nights
 */
export function withFewerNights(
  { problem, manner, best }: { problem: Problem; manner: Manner; best: FoundPlan },
  laid: (manner: Manner) => FoundPlan,
): FoundPlan {
  let now = best
  let later: Later = manner.later ?? new Map()
  for (const post of new Set(best.plan.covers.map((cover) => cover.post))) {
    for (const wanted of startsBeforePour(post, now, problem)) {
      const tried = new Map([...later, ...wanted])
      const found = laid({ ...manner, later: tried })
      if (compareGoals(found.goal, now.goal) > 0 || found.plan.covers.length >= now.plan.covers.length) continue
      ;[now, later] = [found, tried]
      break
    }
  }
  return now
}

/** Where what opens a post's ground may begin: just in time for its pour, or on its day. */
function startsBeforePour(post: string, { plan }: FoundPlan, { inOrder }: Problem): Later[] {
  const at = new Map(plan.placed.map(({ task, start }) => [task, start]))
  const ofPost = inOrder.filter(({ posts }) => posts.includes(post))
  const opening = ofPost.filter(({ opens, loosens }) => opens !== undefined || loosens !== undefined)
  const closing = ofPost.find(({ id }) => opening.some(({ opens }) => opens === id))
  const closes = closing && at.get(closing.id)
  if (closes === undefined) return []
  const inTime = latestBefore(closing!, closes, ofPost)
  const day = dayOf(closes) * DAY_MINUTES
  return [
    new Map(opening.map(({ id }) => [id, Math.max(day, inTime.get(id) ?? day)])),
    new Map(opening.map(({ id }) => [id, day])),
  ]
}

function latestBefore(closing: Task, start: DayMinute, ofPost: readonly Task[]): Later {
  const latest = new Map([[closing.id, start]])
  for (const task of ofPost.toReversed()) {
    const by = latest.get(task.id)
    if (by === undefined) continue
    for (const { task: id, least } of task.after) {
      const before = ofPost.find((each) => each.id === id)
      if (before) latest.set(id, Math.min(latest.get(id) ?? Infinity, by - least - before.minutes))
    }
  }
  return latest
}
