import { TOOLS } from '../document/vocabulary'
import { visitsOf } from './calendar'
import { readyAfter, type Problem } from './problem'
import {
  DAY_MINUTES,
  dayOf,
  type DayMinute,
  type Person,
  type Placed,
  type Stretch,
  type Task,
  type Tool,
} from './question'

/** What a search may change about how tasks are laid one after the other. */
export interface Manner {
  /** Rank by task: lower first, where both could be laid. */
  rank: ReadonlyMap<string, number>
  /** Of a day, minutes that may lie outside of its hours. */
  overtime: number
  /** Days on which nobody comes. */
  closed: ReadonlySet<number>
  /** Tasks that are begun no sooner. */
  later?: ReadonlyMap<string, DayMinute>
}

/** A stretch for which a tool is kept; of one that is held, to an end that is not known yet. */
interface Use extends Stretch {
  count: number
}

/** Of a pour, its mixer is free again once all of it is placed; a level stays to the end. */
const usedUntil = ({ pour }: Task, tool: Tool, start: DayMinute, end: DayMinute): DayMinute =>
  pour && tool !== 'level' ? Math.min(end, start + pour.placing) : end

export type Found = 'laid' | 'held' | { task: string; until: DayMinute }

/** What lies already, and where the next may. */
export class Board {
  readonly #placed = new Map<string, Placed>()
  readonly #busy = new Map<string, Stretch[]>()
  readonly #uses = new Map<Tool, Use[]>(TOOLS.map((tool) => [tool, []]))
  readonly #byDay = new Map<number, Stretch[]>()
  readonly #reasons = new Map<string, string>()
  /** Where something may begin: ends of what lies, by day. */
  readonly #ends = new Map<number, Set<DayMinute>>()
  /** By the task whose end frees it. */
  readonly #held = new Map<string, Use[]>()

  constructor(
    readonly problem: Problem,
    readonly manner: Manner,
  ) {
    for (const { id } of problem.question.crew) this.#busy.set(id, [])
    for (const { id, givesBack } of problem.inOrder) if (givesBack) this.#keep(givesBack, id, 0)
  }

  all = (): Placed[] => [...this.#placed.values()]
  why = (id: string): string => this.#reasons.get(id) ?? 'waits for one that found no place'

  isReady = ({ after }: Task): boolean => after.every(({ task }) => this.#placed.has(task))
  givesBack = ({ id }: Task): boolean => this.#held.has(id)

  /** Of a task that is ready. */
  place(task: Task, notBefore: DayMinute): Found {
    const { tasks, question } = this.problem
    let ready = Math.max(notBefore, task.window?.from ?? 0)
    let last = task.window?.to ?? question.hours.length * DAY_MINUTES
    let hastes: string | undefined
    for (const after of task.after) {
      const before = this.#placed.get(after.task)!
      ready = Math.max(ready, readyAfter(after, tasks.get(after.task)!, before, this.problem))
      if (after.most !== undefined && before.end + after.most < last) {
        last = before.end + after.most
        hastes = after.task
      }
    }
    if (!Number.isFinite(ready)) return this.#cannot(task, 'in this cold it never hardens')
    const due = this.problem.dueBy.get(task.id)
    const inTime = due === undefined ? last : Math.min(last, due - task.minutes)
    // Too late for what was set by hand is better than nowhere: that is said.
    const start = this.#firstStart(task, ready, inTime) ?? this.#firstStart(task, ready, last)
    if (start === undefined) {
      const later =
        hastes === undefined ? undefined : this.#firstStart(task, ready, question.hours.length * DAY_MINUTES)
      const before = hastes === undefined ? undefined : this.#placed.get(hastes)
      if (later !== undefined && before) {
        const by = later - last
        return { task: before.task, until: before.start + Math.max(1, by) }
      }
      return this.#cannot(task, 'the days given have no room for it')
    }
    const loose = this.#looseAt(task, start)
    if (loose) return loose
    this.#put(task, start, this.#handsAt(task, start)!)
    return 'laid'
  }

  putPinned(task: Task, start: DayMinute): void {
    const by = this.#handsAt(task, start) ?? this.problem.question.crew.slice(0, task.hands).map(({ id }) => id)
    this.#put(task, start, by)
  }

  #cannot(task: Task, why: string): Found {
    this.#reasons.set(task.id, why)
    return 'held'
  }

  #firstStart(task: Task, ready: DayMinute, last: DayMinute): DayMinute | undefined {
    const { calendar } = this.problem
    for (let day = Math.max(0, dayOf(ready)); day < calendar.days && day <= dayOf(last); day++) {
      if (this.manner.closed.has(day)) continue
      const window = calendar.windowOf(day, this.manner.overtime)
      if (!window || window.to <= ready) continue
      for (const start of this.#candidates(task, day, window, ready))
        if (start <= last && this.#fits(task, start, window)) return start
    }
    return undefined
  }

  /** A task that begins as early as it can begins when something ends, a span begins, or the weather changes. */
  #candidates(task: Task, day: number, window: Stretch, ready: DayMinute): DayMinute[] {
    const { calendar, question } = this.problem
    const moments = new Set<DayMinute>(calendar.startsOf(day))
    moments.add(Math.max(ready, window.from))
    for (const end of this.#ends.get(day) ?? []) moments.add(end)
    for (const tool of Object.keys(task.tools) as Tool[])
      for (const { from } of question.hires[tool] ?? []) if (dayOf(from) === day) moments.add(from)
    if (task.pour || task.loosens !== undefined)
      for (let minute = Math.ceil(window.from / 60) * 60; minute < window.to; minute += 60) moments.add(minute)
    return [...moments].filter((moment) => moment >= ready && moment >= window.from).sort((a, b) => a - b)
  }

  #fits(task: Task, start: DayMinute, window: Stretch): boolean {
    const { time, question, looseFor } = this.problem
    if (start < window.from) return false
    const end = start + time.minutesOf(task, start)
    if (end > window.to || !time.mayStart(task, start)) return false
    if (task.loosens !== undefined && time.calmFrom(start, end + looseFor.get(task.id)!) > start) return false
    if (!this.#isWithinOvertime(dayOf(start), { from: start, to: end })) return false
    for (const tool of Object.keys(task.tools) as Tool[]) {
      const until = usedUntil(task, tool, start, end)
      if (!this.#isFree(tool, start, until, task.tools[tool]!)) return false
      const hires = question.hires[tool]
      if (hires && !hires.some((hire) => hire.from <= start && until <= hire.to)) return false
    }
    if (task.holds && !this.#isFree(task.holds.tool, start, Infinity, 1)) return false
    return this.#handsAt(task, start) !== undefined
  }

  #isWithinOvertime(day: number, more: Stretch): boolean {
    const { calendar, question } = this.problem
    const { setUp, cleanUp, travel } = question
    // Most of what lies within the hours with its way there and home needs no counting.
    if (calendar.outside({ from: more.from - setUp - travel, to: more.to + cleanUp + travel }) === 0) return true
    const [visit] = visitsOf([...(this.#byDay.get(day) ?? []), more], question, calendar)
    return visit!.overtime <= this.manner.overtime
  }

  #isFree(tool: Tool, from: DayMinute, to: DayMinute, count: number): boolean {
    const there = this.problem.question.tools[tool] ?? 0
    const uses = this.#uses.get(tool)!.filter((use) => use.from < to && from < use.to)
    if (uses.length === 0) return count <= there
    // How many are out at once can only grow where one is taken.
    const moments = [from, ...uses.map((use) => use.from).filter((at) => at > from)]
    return moments.every(
      (at) => uses.reduce((sum, use) => sum + (use.from <= at && at < use.to ? use.count : 0), count) <= there,
    )
  }

  /** Who is free for it: those who can do least else, so that the others stay free. */
  #handsAt(task: Task, start: DayMinute): string[] | undefined {
    const { time, question } = this.problem
    const end = start + time.minutesOf(task, start)
    const placed = task.pour ? Math.min(end, start + task.pour.placing) : end
    const able = question.crew
      .filter(({ skills }) => task.skills.every((skill) => skills.includes(skill)))
      .sort((a: Person, b: Person) => a.skills.length - b.skills.length)
    const isFree = ({ id }: Person, to: DayMinute) =>
      !this.#busy.get(id)!.some((each) => each.from < to && start < each.to)
    const stays = able.find((person) => isFree(person, end))
    if (!stays) return undefined
    const others = able.filter((person) => person !== stays && isFree(person, placed)).slice(0, task.hands - 1)
    return others.length === task.hands - 1 ? [stays.id, ...others.map(({ id }) => id)] : undefined
  }

  /** What this one ends has stood loose: begun later where it blew meanwhile. */
  #looseAt(task: Task, start: DayMinute): { task: string; until: DayMinute } | undefined {
    const { time, tasks } = this.problem
    const end = start + time.minutesOf(task, start)
    for (const [id, placed] of this.#placed) {
      if (tasks.get(id)!.loosens !== task.id) continue
      const calm = time.calmFrom(placed.start, end)
      if (calm > placed.start) return { task: id, until: calm }
    }
    return undefined
  }

  /** Until the end of a task that lies nowhere yet. */
  #keep(tool: Tool, until: string, from: DayMinute): void {
    const use = { from, to: Infinity, count: 1 }
    this.#uses.get(tool)!.push(use)
    this.#held.set(until, [...(this.#held.get(until) ?? []), use])
  }

  #put(task: Task, start: DayMinute, by: string[]): void {
    const end = start + this.problem.time.minutesOf(task, start)
    this.#placed.set(task.id, { task: task.id, start, end, by })
    const placed = task.pour ? Math.min(end, start + task.pour.placing) : end
    by.forEach((id, i) => this.#busy.get(id)!.push({ from: start, to: i === 0 ? end : placed }))
    for (const tool of Object.keys(task.tools) as Tool[])
      this.#uses.get(tool)!.push({ from: start, to: usedUntil(task, tool, start, end), count: task.tools[tool]! })
    if (task.holds) this.#keep(task.holds.tool, task.holds.until, start)
    for (const use of this.#held.get(task.id) ?? []) use.to = end
    const day = dayOf(start)
    const known = this.#byDay.get(day)
    if (known) known.push({ from: start, to: end })
    else this.#byDay.set(day, [{ from: start, to: end }])
    const ends = this.#ends.get(day) ?? new Set()
    this.#ends.set(day, ends.add(end).add(placed))
  }
}
