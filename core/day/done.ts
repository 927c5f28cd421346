import { MINUTE_MS, type Moment } from '../weather/forecast'
import type { PourClock } from '../pour/clock'
import type { After, DayMinute, Milestones, Task } from './question'

/** When a task was done; of a pour also when it surely carries what, Infinity where it never does. */
export interface DoneTask {
  at: DayMinute
  carries?: Partial<Record<keyof Milestones, DayMinute>>
}

/** What a pour that has begun says to those that plan round it. */
export interface PouredPost {
  at: Moment
  carries: Partial<Record<keyof Milestones, Moment>>
}

/** @example a pour whose boards never come in lasting frost: carries.boards is Infinity */
export function pouredPost({ start, milestones }: Pick<PourClock, 'start' | 'milestones'>): PouredPost {
  return { at: start, carries: Object.fromEntries(milestones.map(({ key, latest }) => [key, latest ?? Infinity])) }
}

/** The same in whole minutes of the days, from their midnight. */
export function pouredTask({ at, carries }: PouredPost, midnight: Moment): DoneTask {
  const minute = (moment: Moment) => Math.ceil((moment - midnight) / MINUTE_MS)
  return {
    at: minute(at),
    carries: Object.fromEntries(Object.entries(carries).map(([key, moment]) => [key, minute(moment)])),
  }
}

/**
 * What is left to do. Whoever has done a task has done what comes before it; what waits for one that is done may begin
 * when that carries it; props that were set stay out until they come off, and a hole that was dug stands open.
 */
export function withoutDone(tasks: readonly Task[], done: ReadonlyMap<string, DoneTask>): Task[] {
  const all = withAllBefore(tasks, done)
  if (all.size === 0) return [...tasks]
  const left = tasks.filter(({ id }) => !all.has(id))
  const out = new Map(tasks.flatMap(({ id, holds }) => (holds && all.has(id) ? [[holds.until, holds.tool]] : [])))
  const open = new Set(tasks.flatMap(({ id, opens }) => (opens !== undefined && all.has(id) ? [opens] : [])))
  return left.map((task): Task => {
    const behind = task.after.filter(({ task: id }) => all.has(id))
    const tool = out.get(task.id)
    return {
      ...task,
      after: task.after.filter(({ task: id }) => !all.has(id)),
      ...(behind.length > 0 ? startsBehind(task, behind, all) : {}),
      ...(tool ? { givesBack: tool } : {}),
      ...(open.has(task.id) ? { isOpen: true as const } : {}),
    }
  })
}

function startsBehind({ window }: Task, behind: readonly After[], done: ReadonlyMap<string, DoneTask>) {
  const ready = behind.map(({ task: id, least, milestone }) => {
    const { at, carries } = done.get(id)!
    return Math.max(at + least, (milestone && carries?.[milestone]) ?? at)
  })
  const milestone = behind.find((after) => after.milestone)?.milestone
  return {
    window: { from: Math.max(window?.from ?? 0, ...ready), to: window?.to ?? Infinity },
    ...(milestone ? { ripens: milestone } : {}),
  }
}

function withAllBefore(tasks: readonly Task[], done: ReadonlyMap<string, DoneTask>): Map<string, DoneTask> {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const all = new Map([...done].filter(([id]) => byId.has(id)))
  function put(id: string, at: DayMinute): void {
    for (const { task: before } of byId.get(id)!.after) {
      if (all.has(before) || !byId.has(before)) continue
      all.set(before, { at })
      put(before, at)
    }
  }
  for (const [id, { at }] of [...all]) put(id, at)
  return all
}
