import type { DayGoal } from './goal'
import { problemOf, readyAfter, type Problem } from './problem'
import {
  DAY_MINUTES,
  dayOf,
  MOST_OVERTIME,
  type After,
  type DayMinute,
  type DayPlan,
  type DayQuestion,
  type Stretch,
  type Task,
} from './question'

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
 * comes as seldom as it must: then a better one may not have more of it than the plan has.
 */
export function dayBound(
  question: DayQuestion,
  { plan, goal }: { plan: DayPlan; goal: DayGoal },
): DayBound | undefined {
  if (goal.left > 0 || plan.visits.length === 0) return undefined
  const problem = problemOf({ ...question, pins: [] })
  const full = leastEnd(problem, MOST_OVERTIME, goal.end)
  const isSoonest = dayOf(full - 1) >= goal.lastDay && leastVisits(problem, goal) >= goal.visits
  const end = isSoonest ? Math.max(full, leastEnd(problem, Math.min(MOST_OVERTIME, goal.overtime), goal.end)) : full
  const from = plan.visits[0]!.from
  const whole = workingMinutes(from, end, question)
  const over = workingMinutes(from, goal.end, question) - whole
  return { end, gap: whole > 0 ? Math.max(0, over) / whole : 0 }
}

/** Minutes of a stretch that are worked: those within the hours, and beyond the last of them on the day it ends. */
function workingMinutes(from: DayMinute, to: DayMinute, { hours }: DayQuestion): number {
  const within = hours
    .flat()
    .reduce((sum, span) => sum + Math.max(0, Math.min(to, span.to) - Math.max(from, span.from)), 0)
  const last = hours[dayOf(to - 1)]?.at(-1)
  return within + (last ? Math.max(0, to - Math.max(last.to, from)) : 0)
}

/** Of each task, the first minute at which it can begin and the last at which it can end. */
interface Room {
  heads: Map<string, DayMinute>
  ends: Map<string, DayMinute>
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

/**
 * @param later a task that begins no earlier than `from`
 * @returns undefined where a task finds no day at all
 */
function headsOf(problem: Problem, overtime: number, later?: Task, from = 0): Map<string, DayMinute> | undefined {
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
function spansOf({ hours }: DayQuestion, day: number, window: Stretch, overtime: number): Stretch[] {
  if (overtime > 0) return [window]
  return (hours[day] ?? [])
    .map(({ from, to }) => ({ from: Math.max(from, window.from), to: Math.min(to, window.to) }))
    .filter(({ from, to }) => from < to)
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

/** Backwards from a supposed end; nothing where a task has no room left. */
function roomFor(
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

/** Work that one resource has to do, each part between a head and an end. */
interface Load {
  parts: { from: DayMinute; to: DayMinute; work: number }[]
  /** At one time. */
  there: number
  /** By the clock, nights included; else in the hours alone. */
  byClock?: true
  /** Only then. */
  hires?: readonly Stretch[] | undefined
}

function loadsOf({ question, inOrder, tasks, time }: Problem, { heads, ends }: Room): Load[] {
  const fastest = fastestRate(question)
  const shortest = (task: Task) =>
    task.pour ? Math.max(task.minutes, task.pour.placing, Math.floor(task.pour.works / fastest)) : task.minutes
  const part = (task: Task, work: number) => ({ from: heads.get(task.id)!, to: ends.get(task.id)!, work })
  const handsOf = (task: Task) =>
    task.pour ? task.pour.placing * task.hands + (shortest(task) - task.pour.placing) : task.minutes * task.hands
  const loads: Load[] = [{ there: question.crew.length, parts: inOrder.map((task) => part(task, handsOf(task))) }]
  for (const skill of new Set(inOrder.flatMap(({ skills }) => skills))) {
    const parts = inOrder.filter(({ skills }) => skills.includes(skill)).map((task) => part(task, handsOf(task)))
    loads.push({ there: question.crew.filter(({ skills }) => skills.includes(skill)).length, parts })
  }
  for (const tool of Object.keys(question.tools) as (keyof DayQuestion['tools'])[]) {
    const there = question.tools[tool] ?? 0
    const parts = inOrder.flatMap((task) => {
      const count = task.tools[tool] ?? 0
      const used = task.pour && tool !== 'level' ? task.pour.placing : shortest(task)
      return count > 0 ? [part(task, used * count)] : []
    })
    if (parts.length > 0) loads.push({ there, parts, hires: question.hires[tool] })
    const kept = inOrder.flatMap((task) => (task.holds?.tool === tool ? holding(task) : []))
    if (kept.length > 0) loads.push({ there, parts: kept, byClock: true })
  }
  return loads

  /** From its start to the end of what frees it: at least what the concrete between them wants. */
  function holding(task: Task): Load['parts'] {
    const until = tasks.get(task.holds!.until)!
    const waits = until.after.map(({ task: id, milestone, least }) => {
      const pour = tasks.get(id)!
      const wanted = milestone && pour.pour?.milestones[milestone]
      return wanted === undefined ? least : Math.floor(wanted / fastest)
    })
    const work = task.minutes + Math.max(0, ...waits) + until.minutes
    const from = heads.get(task.id)!
    const to = ends.get(until.id)!
    void time
    return [{ from, to, work: Math.min(work, to - from) }]
  }
}

/** Concrete hardens nowhere faster than in the warmest hour of the air. */
function fastestRate({ weather, before }: DayQuestion): number {
  const warmest = Math.max(...before, ...weather.map(({ temperature }) => temperature))
  const energy = 33_500 + (warmest < 20 ? 1_470 * (20 - warmest) : 0)
  return warmest <= 0 ? 1e-9 : Math.exp((energy / 8.314) * (1 / 293.15 - 1 / (warmest + 273.15)))
}

function isOverfull(
  { parts, there, byClock, hires }: Load,
  { question, calendar }: Problem,
  overtime: number,
): boolean {
  const froms = [...new Set(parts.map(({ from }) => from))]
  const byEnd = [...parts].sort((a, b) => a.to - b.to)
  for (const from of froms) {
    let work = 0
    for (const part of byEnd) {
      if (part.from < from) continue
      work += part.work
      const minutes = byClock ? part.to - from : workable({ from, to: part.to }, question, calendar, overtime, hires)
      if (work > there * minutes) return true
    }
  }
  return false
}

function workable(
  { from, to }: Stretch,
  question: DayQuestion,
  { windowOf }: Problem['calendar'],
  overtime: number,
  hires: readonly Stretch[] | undefined,
): number {
  let sum = 0
  for (let day = dayOf(from); day * DAY_MINUTES < to; day++) {
    const window = windowOf(day, overtime)
    if (!window) continue
    for (const span of spansOf(question, day, window, overtime)) {
      const within = (a: DayMinute, b: DayMinute) =>
        Math.max(0, Math.min(to, span.to, b) - Math.max(from, span.from, a))
      sum += hires ? hires.reduce((total, hire) => total + within(hire.from, hire.to), 0) : within(from, to)
    }
  }
  return sum
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
