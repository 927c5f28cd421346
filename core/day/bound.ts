import type { DayGoal } from './goal'
import { fastestRate, isOverfull, loadsOf } from './loads'
import { problemOf, type Problem } from './problem'
import { dayOf, MOST_OVERTIME, type DayMinute, type DayPlan, type DayQuestion, type Task } from './question'
import { headsOf, roomFor } from './room'

export interface DayBound {
  /** The last visit ends no earlier than this, whoever plans it. */
  end: DayMinute
  /** How far the plan is over it, both counted in working minutes from its first set-up; 0 where it is proven best. */
  gap: number
}

/**
 * What no plan can be better than: the longest chain with its waits on the working calendar, and the work of each
 * resource laid into the calendar between what comes before and behind it, with set-up and clean-up of every visit. A
 * supposed end is shown impossible when in some stretch of time more has to be done than there are hands; the bound is
 * the first end that is not.
 *
 * The calendar has all the overtime that there may be, unless the plan already ends on the first day on which it can and
 * comes as seldom as it must: then a better one may not have more of it than the plan has. So much overtime ends a day so
 * much later than its hours, unless a whole visit lies behind them: where the plan has enough for that, it proves nothing.
 */
export function dayBound(
  question: DayQuestion,
  { plan, goal }: { plan: DayPlan; goal: DayGoal },
): DayBound | undefined {
  if (goal.left > 0 || plan.visits.length === 0) return undefined
  const problem = problemOf({ ...question, pins: [] })
  const full = leastEnd(problem, MOST_OVERTIME, goal.end)
  const isSoonest = dayOf(full - 1) >= goal.lastDay && leastVisits(problem, goal) >= goal.visits
  const end =
    isSoonest && goal.overtime < leastOutside(problem)
      ? Math.max(full, leastEnd(problem, Math.min(MOST_OVERTIME, goal.overtime), goal.end))
      : full
  const from = plan.visits[0]!.from
  const whole = workingMinutes(from, end, question)
  const over = workingMinutes(from, goal.end, question) - whole
  return { end, gap: whole > 0 ? Math.max(0, over) / whole : 0 }
}

/** Overtime of the shortest visit that lies wholly outside of the hours. */
function leastOutside({ inOrder, question }: Problem): number {
  const shortest = Math.min(...inOrder.map(({ minutes, pour }) => pour?.placing ?? minutes))
  return question.setUp + shortest + question.cleanUp
}

/** Minutes of a stretch that are worked: those within the hours, and beyond the last of them on the day it ends. */
function workingMinutes(from: DayMinute, to: DayMinute, { hours }: DayQuestion): number {
  const within = hours
    .flat()
    .reduce((sum, span) => sum + Math.max(0, Math.min(to, span.to) - Math.max(from, span.from)), 0)
  const last = hours[dayOf(to - 1)]?.at(-1)
  return within + (last ? Math.max(0, to - Math.max(last.to, from)) : 0)
}

function leastEnd(problem: Problem, overtime: number, known: DayMinute): DayMinute {
  const heads = headsOf(problem, overtime)
  if (!heads) return known
  const { question, inOrder, time } = problem
  const chain = Math.max(
    ...inOrder.map((task) => heads.get(task.id)! + time.minutesOf(task, heads.get(task.id)!) + question.cleanUp),
    lastWave(problem, overtime) + question.cleanUp,
  )
  // The first end between the chain's and the plan's that cannot be shown impossible.
  let [low, high] = [chain, Math.max(chain, known)]
  while (low < high) {
    const middle = (low + high) >> 1
    if (isImpossible(problem, heads, middle - question.cleanUp, overtime)) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * Where fewer sets are there than posts want one, somebody waits for one to be given back: the earliest end of whatever
 * follows the last of them to be set.
 */
function lastWave(problem: Problem, overtime: number): DayMinute {
  const { inOrder, tasks, question, waitingFor, time } = problem
  let end = 0
  for (const tool of Object.keys(question.tools) as (keyof DayQuestion['tools'])[]) {
    const holding = inOrder.filter(({ holds }) => holds?.tool === tool)
    const waves = Math.floor((holding.length - 1) / Math.max(1, question.tools[tool] ?? 0))
    let from = 0
    for (let wave = 0; wave < waves; wave++) {
      const back = holding.map((task) => endOf(headsOf(problem, overtime, task, from), task.holds!.until))
      from = Math.min(...back)
      if (!Number.isFinite(from)) return end
    }
    if (waves < 1) continue
    const lasts = holding.map((task) => {
      const heads = headsOf(problem, overtime, task, from)
      return Math.max(...behind(task).map((id) => endOf(heads, id)))
    })
    end = Math.max(end, Math.min(...lasts))
  }
  return end

  function endOf(heads: ReadonlyMap<string, DayMinute> | undefined, id: string): DayMinute {
    const head = heads?.get(id)
    return head === undefined ? Infinity : head + time.minutesOf(tasks.get(id)!, head)
  }
  /** Itself and all that waits for it, however far behind. */
  function behind(task: Task, found = new Set([task.id])): string[] {
    for (const { task: next } of waitingFor.get(task.id)!) {
      if (found.has(next.id)) continue
      found.add(next.id)
      behind(next, found)
    }
    return [...found]
  }
}

function isImpossible(
  problem: Problem,
  heads: ReadonlyMap<string, DayMinute>,
  end: DayMinute,
  overtime: number,
): boolean {
  const room = roomFor(problem, heads, end, overtime)
  if (!room) return true
  return loadsOf(problem, room).some((load) => isOverfull(load, problem, overtime))
}

/** Days that cannot be one: what follows another by more than a day has room for comes on a later one. */
function leastVisits({ inOrder, tasks, question }: Problem, _goal: DayGoal): number {
  const longest = Math.max(
    0,
    ...question.hours.map((spans) => (spans.length > 0 ? spans.at(-1)!.to - spans[0]!.from + MOST_OVERTIME : 0)),
  )
  const fastest = fastestRate(question)
  const visits = new Map<string, number>()
  for (const task of inOrder) {
    const before = task.after.map(({ task: id, least, milestone }) => {
      const wanted = milestone && tasks.get(id)!.pour?.milestones[milestone]
      const wait = Math.max(least, wanted === undefined ? 0 : wanted / fastest)
      return visits.get(id)! + (wait > longest ? 1 : 0)
    })
    visits.set(task.id, Math.max(1, ...before))
  }
  const busy = handMinutesLeast(inOrder, fastest)
  return Math.max(Math.ceil(busy / (question.crew.length * longest)), ...visits.values())
}

const handMinutesLeast = (tasks: readonly Task[], fastest: number): number =>
  tasks.reduce((sum, { pour, minutes, hands }) => {
    if (!pour) return sum + minutes * hands
    return sum + pour.placing * hands + Math.max(0, Math.floor(pour.works / fastest) - pour.placing)
  }, 0)
