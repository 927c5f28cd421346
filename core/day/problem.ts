import { InputError } from '../errors'
import { calendarOf, type Calendar } from './calendar'
import { concreteTime, type ConcreteTime } from './concreteTime'
import type { After, DayMinute, DayQuestion, Task } from './question'

/** A question with what every search through it looks up. */
export interface Problem {
  question: DayQuestion
  tasks: ReadonlyMap<string, Task>
  /** Each behind all that it waits for. */
  inOrder: readonly Task[]
  /** What waits for a task, with how. */
  waitingFor: ReadonlyMap<string, readonly { task: Task; after: After }[]>
  /** Of what a pinned task waits for: when it has to be done, so that the pin holds. */
  dueBy: ReadonlyMap<string, DayMinute>
  /** Least minutes from the end of what cuts loose to the end of what makes it fast again. */
  looseFor: ReadonlyMap<string, number>
  calendar: Calendar
  time: ConcreteTime
}

/**
 * @throws InputError for a task that waits for itself or for one that is not there, and for work that nobody can do
 */
export function problemOf(question: DayQuestion): Problem {
  const tasks = new Map(question.tasks.map((task) => [task.id, task]))
  const waitingFor = new Map<string, { task: Task; after: After }[]>(question.tasks.map(({ id }) => [id, []]))
  for (const task of question.tasks) {
    for (const after of task.after) {
      const known = waitingFor.get(after.task)
      if (!known) throw new InputError(`${task.id}.after`, after.task, 'a task of this plan')
      known.push({ task, after })
    }
    requireHands(task, question)
  }
  const order = inOrder(question.tasks, tasks)
  return {
    question,
    tasks,
    inOrder: order,
    waitingFor,
    dueBy: dueBy(question, tasks),
    looseFor: looseFor(order, tasks),
    calendar: calendarOf(question),
    time: concreteTime(question),
  }
}

function requireHands({ id, hands, skills, tools, holds }: Task, { crew, tools: there }: DayQuestion): void {
  const able = crew.filter((person) => skills.every((skill) => person.skills.includes(skill))).length
  if (able < hands)
    throw new InputError(`${id}.hands`, hands, `at most ${able}: so many here can ${skills.join(' and ') || 'work'}`)
  for (const [tool, count] of Object.entries({ ...tools, ...(holds ? { [holds.tool]: 1 } : {}) }))
    if (count > (there[tool as keyof typeof there] ?? 0))
      throw new InputError(`${id}.tools`, tool, `at most ${there[tool as keyof typeof there] ?? 0} of them`)
}

function inOrder(all: readonly Task[], tasks: ReadonlyMap<string, Task>): Task[] {
  const done = new Set<string>()
  const under = new Set<string>()
  const order: Task[] = []
  function put(task: Task): void {
    if (done.has(task.id)) return
    if (under.has(task.id)) throw new InputError(`${task.id}.after`, task.id, 'tasks that do not wait for each other')
    under.add(task.id)
    for (const { task: before } of task.after) put(tasks.get(before)!)
    done.add(task.id)
    order.push(task)
  }
  all.forEach(put)
  return order
}

function dueBy({ pins }: DayQuestion, tasks: ReadonlyMap<string, Task>): Map<string, DayMinute> {
  const due = new Map<string, DayMinute>()
  const isPinned = new Set(pins.map(({ task }) => task))
  function ask(task: Task, start: DayMinute): void {
    for (const { task: id, least } of task.after) {
      const before = tasks.get(id)!
      const end = Math.min(start - least, due.get(id) ?? Infinity)
      if (isPinned.has(id) || end === due.get(id)) continue
      due.set(id, end)
      ask(before, end - before.minutes)
    }
  }
  for (const { task: id, start } of pins) {
    const task = tasks.get(id)
    if (task) ask(task, start)
  }
  return due
}

function looseFor(order: readonly Task[], tasks: ReadonlyMap<string, Task>): Map<string, number> {
  const loose = order.filter(({ loosens }) => loosens !== undefined)
  return new Map(loose.map((cut) => [cut.id, longestTo(tasks.get(cut.loosens!)!, cut.id) ?? 0]))

  function longestTo(task: Task, from: string): number | undefined {
    const ways = task.after.flatMap(({ task: id, least }) => {
      if (id === from) return [least]
      const before = longestTo(tasks.get(id)!, from)
      return before === undefined ? [] : [before + least]
    })
    return ways.length > 0 ? Math.max(...ways) + task.minutes : undefined
  }
}

/** The first minute at which a task may follow another, by what it waits for. */
export function readyAfter(
  { least, milestone }: After,
  before: Task,
  placed: { start: DayMinute; end: DayMinute },
  { time }: Pick<Problem, 'time'>,
): DayMinute {
  const carried = milestone ? time.carries(before, milestone, placed.start) : 0
  return Math.max(placed.end + least, carried)
}
