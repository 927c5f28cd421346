import { readyAfter, type Problem } from './problem'
import { dayOf, type After, type DayMinute, type DayQuestion, type Stretch, type Task } from './question'

/* What time and weather leave to each task, whoever does it: the first minute from its chain, the last from an end. */

/** Of each task, the first minute at which it can begin and the last at which it can end. */
export interface Room {
  heads: Map<string, DayMinute>
  ends: Map<string, DayMinute>
}

/**
 * @param later a task that begins no earlier than `from`
 * @returns undefined where a task finds no day at all
 */
export function headsOf(
  problem: Problem,
  overtime: number,
  later?: Task,
  from = 0,
): Map<string, DayMinute> | undefined {
  const { inOrder, tasks, question } = problem
  const heads = new Map<string, DayMinute>()
  for (const task of inOrder) {
    let ready = Math.max(task.window?.from ?? 0, task === later ? from : 0)
    for (const after of task.after) {
      const before = tasks.get(after.task)!
      const start = heads.get(after.task)!
      ready = Math.max(
        ready,
        readyAfter(after, before, { start, end: start + problem.time.minutesOf(before, start) }, problem),
      )
    }
    const head = firstFit(problem, task, ready, overtime)
    if (head === undefined) return undefined
    heads.set(task.id, head)
    if (question.hours.length === 0) return undefined
  }
  return heads
}

/** The first start in the calendar and the weather, whoever does it. */
function firstFit(
  { calendar, time, question }: Problem,
  task: Task,
  ready: DayMinute,
  overtime: number,
): DayMinute | undefined {
  for (let day = Math.max(0, dayOf(ready)); day < calendar.days; day++) {
    const window = calendar.windowOf(day, overtime)
    if (!window) continue
    for (const span of spansOf(question, day, window, overtime)) {
      for (let start = Math.max(ready, span.from); start < span.to; start = nextHour(start)) {
        // A span may be crossed by overtime alone.
        if (start + time.minutesOf(task, start) > window.to) break
        if (time.mayStart(task, start)) return start
      }
    }
  }
  return undefined
}
const nextHour = (minute: DayMinute) => (Math.floor(minute / 60) + 1) * 60

/** Where work may lie on a day: its hours; with overtime its breaks as well. */
export function spansOf({ hours }: DayQuestion, day: number, window: Stretch, overtime: number): Stretch[] {
  if (overtime > 0) return [window]
  return (hours[day] ?? [])
    .map(({ from, to }) => ({ from: Math.max(from, window.from), to: Math.min(to, window.to) }))
    .filter(({ from, to }) => from < to)
}

/** Backwards from a supposed end; nothing where a task has no room left. */
export function roomFor(
  problem: Problem,
  heads: ReadonlyMap<string, DayMinute>,
  end: DayMinute,
  overtime: number,
): Room | undefined {
  const { inOrder, waitingFor } = problem
  const lastStarts = new Map<string, DayMinute>()
  const ends = new Map<string, DayMinute>()
  for (const task of inOrder.toReversed()) {
    let last = task.window ? Math.min(task.window.to, end) : end
    let finish = end
    for (const { task: next, after } of waitingFor.get(task.id)!) {
      const by = lastStarts.get(next.id)!
      finish = Math.min(finish, by - after.least)
      if (after.milestone) last = Math.min(last, lastStartFor(problem, task, after, by, heads.get(task.id)!))
    }
    const start = lastFit(problem, task, Math.min(last, finish), finish, overtime)
    if (start === undefined || start < heads.get(task.id)!) return undefined
    lastStarts.set(task.id, start)
    ends.set(task.id, Math.min(finish, start + problem.time.minutesOf(task, start)))
  }
  return { heads: new Map(heads), ends }
}

/** The last start of a pour from which it carries something in time: the later it starts, the later it carries. */
function lastStartFor({ time }: Problem, pour: Task, { milestone }: After, by: DayMinute, head: DayMinute): DayMinute {
  let [low, high] = [head - 1, by]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (time.carries(pour, milestone!, Math.max(0, middle)) <= by) low = middle
    else high = middle - 1
  }
  return low
}

function lastFit(
  { calendar, time, question }: Problem,
  task: Task,
  last: DayMinute,
  finish: DayMinute,
  overtime: number,
): DayMinute | undefined {
  for (let day = Math.min(calendar.days - 1, dayOf(Math.max(0, last))); day >= 0; day--) {
    const window = calendar.windowOf(day, overtime)
    if (!window) continue
    for (const span of spansOf(question, day, window, overtime).toReversed()) {
      // The later it starts, the later it ends.
      let [low, high] = [span.from - 1, Math.min(last, span.to - 1)]
      const until = Math.min(finish, window.to)
      while (low < high) {
        const middle = (low + high + 1) >> 1
        if (middle + time.minutesOf(task, middle) <= until) low = middle
        else high = middle - 1
      }
      if (low >= span.from) return low
    }
  }
  return undefined
}
