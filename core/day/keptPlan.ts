import type { DaySetup } from '../document/job'
import { dayEdit } from '../edit/keyed'
import type { Command } from '../edit/commands'
import { problemOf } from './problem'
import { dayOf, type DayMinute, type DayPlan, type DayQuestion, type Placed } from './question'
import { planOf } from './schedule'
import { startingLater } from './setup'

/* A plan of days that is kept in the job, as the days go by and as somebody pulls at it. */

const DAY_MS = 24 * 3600e3
/** What counts its days from the first one, and moves with it. */
const BY_DAY = ['free', 'hires', 'deliveries', 'pins'] as const

/** The days that are left to plan. */
export interface DaysLeft {
  /** The first of them, as 2026-11-24. */
  begins: string
  setup: DaySetup
  /** Days that were worked before it. */
  visited: number
}

/**
 * What is left to plan today: days that have gone by are no days of the plan any more.
 *
 * @param first day as it was planned, and today, both as 2026-11-24 where the site is
 * @example daysLeft({ free: [3] }, '2026-11-24', '2026-11-26') // begins 2026-11-26, free [1]
 */
export function daysLeft(setup: DaySetup, first: string, today: string): DaysLeft {
  const begins = first < today ? today : first
  const gone = Math.round((Date.parse(begins) - Date.parse(first)) / DAY_MS)
  const { tasks = [], visited = 0 } = setup.planned ?? {}
  const worked = new Set(tasks.map(({ start }) => dayOf(start)).filter((day) => day < gone))
  return { begins, setup: { ...startingLater(setup, gone), first: begins }, visited: visited + worked.size }
}

/** The edits that keep a new plan; what counts its days from the first one moves with it. */
export function planEdits(
  { begins, setup, visited }: DaysLeft,
  { first, placed, at }: { first: string; placed: readonly Placed[]; at: string },
): Command[] {
  const moved = begins === first ? [] : BY_DAY.flatMap((key) => (setup[key] ? [dayEdit(key, setup[key])] : []))
  return [
    dayEdit('first', begins),
    ...moved,
    dayEdit('planned', {
      at,
      ...(visited > 0 ? { visited } : {}),
      tasks: placed.map((each) => ({ ...each, by: [...each.by] })),
    }),
  ]
}

/**
 * The kept plan as it follows from its tasks now; what is asked since and was not planned is left over.
 *
 * @param pulled where somebody is pulling a task to
 * @returns undefined where nothing was planned
 */
export function keptPlan(
  question: DayQuestion,
  { tasks = [] }: Partial<NonNullable<DaySetup['planned']>>,
  pulled?: { task: string; start: DayMinute },
): DayPlan | undefined {
  if (tasks.length === 0) return undefined
  const problem = problemOf(question)
  const placed = tasks.flatMap((each): Placed[] => {
    const task = problem.tasks.get(each.task)
    if (!task) return []
    const start = each.task === pulled?.task ? pulled.start : each.start
    const end = each.task === pulled?.task ? start + problem.time.minutesOf(task, start) : each.end
    return [{ ...each, by: [...each.by], start, end }]
  })
  const lies = new Set(placed.map(({ task }) => task))
  const left = question.tasks.filter(({ id }) => !lies.has(id)).map(({ id }) => ({ task: id, why: 'not planned yet' }))
  return planOf(placed, left, problem)
}

/** The edits that set one task by hand: it is kept there when the rest is planned anew. */
export function pinEdits(
  question: DayQuestion,
  { pins = [], planned }: DaySetup,
  { task, start }: { task: string; start: DayMinute },
): Command[] {
  const problem = problemOf(question)
  const length = problem.time.minutesOf(problem.tasks.get(task)!, start)
  return [
    dayEdit('pins', [...pins.filter((each) => each.task !== task), { task, start }]),
    ...(planned
      ? [
          dayEdit('planned', {
            ...planned,
            tasks: planned.tasks.map((each) => (each.task === task ? { ...each, start, end: start + length } : each)),
          }),
        ]
      : []),
  ]
}
