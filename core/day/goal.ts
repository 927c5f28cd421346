import type { Problem } from './problem'
import { dayOf, type DayPlan, type DayQuestion, type Placed, type Task } from './question'

/** What a plan comes to, in the order in which it counts. */
export interface DayGoal {
  /** Tasks that found no place. */
  left: number
  lastDay: number
  visits: number
  overtime: number
  end: number
  idle: number
}

export interface FoundPlan {
  plan: DayPlan
  goal: DayGoal
}

const ORDER = ['left', 'lastDay', 'visits', 'overtime', 'end', 'idle'] as const

/** Less than 0 where the first is better. */
export function compareGoals(a: DayGoal, b: DayGoal): number {
  for (const key of ORDER) if (a[key] !== b[key]) return a[key] - b[key]
  return 0
}

export function goalOf({ placed, visits, left }: DayPlan, { question, tasks }: Problem): DayGoal {
  const last = visits.at(-1)
  const worked = placed.reduce((sum, each) => sum + handMinutes(each, tasks.get(each.task)!), 0)
  const there = visits.reduce(
    (sum, { from, to }) => sum + withinHours(from + question.setUp, to - question.cleanUp, question),
    0,
  )
  return {
    left: left.length,
    lastDay: last ? last.day : 0,
    visits: visits.length,
    overtime: visits.reduce((sum, { overtime }) => sum + overtime, 0),
    end: last ? last.to : 0,
    idle: Math.max(0, there * question.crew.length - worked),
  }
}

/** Of a pour all hands while it is placed, then one. */
function handMinutes({ start, end }: Placed, task: Task): number {
  if (!task.pour) return (end - start) * task.hands
  const placing = Math.min(end - start, task.pour.placing)
  return placing * task.hands + (end - start - placing)
}

function withinHours(from: number, to: number, { hours }: DayQuestion): number {
  return (hours[dayOf(from)] ?? []).reduce(
    (sum, span) => sum + Math.max(0, Math.min(to, span.to) - Math.max(from, span.from)),
    0,
  )
}
