import type { Problem } from './problem'
import { DAY_MINUTES, dayOf, type DayMinute, type DayQuestion, type Stretch, type Task } from './question'
import { spansOf, type Room } from './room'

/* Whether what has to be done in a stretch of time is more than the hands, tools and sets there are. */

/** Work that one resource has to do, each part between a head and an end. */
export interface Load {
  parts: { from: DayMinute; to: DayMinute; work: number }[]
  /** At one time. */
  there: number
  /** By the clock, nights included; else in the hours alone. */
  byClock?: true
  /** Only then. */
  hires?: readonly Stretch[] | undefined
}

export function loadsOf({ question, inOrder, tasks }: Problem, { heads, ends }: Room): Load[] {
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
    return [{ from, to, work: Math.min(work, to - from) }]
  }
}

/** Concrete hardens nowhere faster than in the warmest hour of the air. */
export function fastestRate({ weather, before }: DayQuestion): number {
  const warmest = Math.max(...before, ...weather.map(({ temperature }) => temperature))
  const energy = 33_500 + (warmest < 20 ? 1_470 * (20 - warmest) : 0)
  return warmest <= 0 ? 1e-9 : Math.exp((energy / 8.314) * (1 / 293.15 - 1 / (warmest + 273.15)))
}

export function isOverfull(
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
