import { dayOf, DAY_MINUTES, type DayQuestion, type Task, type Tool } from '../../core/day/question'
import type { DayGoal } from '../../core/day/goal'
import type { Restriction, SolveProgramme, Term } from '../../core/numeric/integerProgramme'

/*
 * The best plan of a small day, proven by an exact solver: every start of every task in steps of five minutes is a choice
 * of yes or no. At 20 °C, one span a day, a crew that can do everything; written for tests, without the planner's code.
 */

const STEP = 5

/** @returns the goal of the best plan, in the planner's own order: days, visits and overtime first, then end and idleness */
export function exactGoal(question: DayQuestion, solve: SolveProgramme): DayGoal {
  const model = modelOf(question, 120)
  const chosenOf = ({ restrictions, follows }: Model, minimise: readonly Term[]) => {
    const chosen = solve({ minimise, restrictions, follows })
    if (!chosen) throw new Error('no plan at all')
    return chosen
  }
  const countIn = (of: ReadonlySet<string>, start: string) =>
    [...of].filter((choice) => choice.startsWith(start)).length
  const first = chosenOf(model, model.days)
  // No better one comes on a later day, or has more overtime: what is left of the choices is far less.
  const days = question.hours.slice(0, 1 + countIn(first, 'reach_'))
  const narrow = modelOf({ ...question, hours: days }, countIn(first, 'late_') * STEP)
  const visits = narrow.days.reduce((sum, [factor, choice]) => sum + (first.has(choice) ? factor : 0), 0)
  narrow.restrictions.push({ terms: narrow.days, is: '<=', than: visits })
  const best = chosenOf(narrow, narrow.rest)
  const count = (start: string) => countIn(best, start)
  const work = question.tasks.reduce((sum, task) => sum + handMinutes(task), 0)
  return {
    left: 0,
    lastDay: count('reach_'),
    visits: count('visit_'),
    overtime: count('late_') * STEP,
    end: count('end_') * STEP,
    idle: Math.max(0, count('there_') * STEP * question.crew.length - work),
  }
}

const lengthOf = ({ minutes, pour }: Task) => (pour ? Math.max(minutes, pour.placing, pour.works) : minutes)
const handMinutes = (task: Task) =>
  task.pour ? task.pour.placing * task.hands + (lengthOf(task) - task.pour.placing) : task.minutes * task.hands

interface Model {
  restrictions: Restriction[]
  follows: Set<string>
  /** Days, visits and overtime; then the end and who is there. */
  days: Term[]
  rest: Term[]
}

function modelOf(question: DayQuestion, overtime: number): Model {
  const { tasks, hours, crew, tools, setUp, cleanUp, travel } = question
  const restrictions: Restriction[] = []
  const follows = new Set<string>()
  const name = (task: Task, start: number) => `x_${tasks.indexOf(task)}_${start}`
  const starts = new Map(
    tasks.map((task) => [
      task.id,
      hours.flatMap((spans, day) => {
        const [span] = spans
        const all: number[] = []
        const from = span!.from + travel + setUp
        const to = span!.to - travel - cleanUp + overtime
        for (let start = from; start + lengthOf(task) <= Math.min(to, (day + 1) * DAY_MINUTES); start += STEP)
          all.push(start)
        return all
      }),
    ]),
  )
  for (const task of tasks)
    restrictions.push({ terms: starts.get(task.id)!.map((start): Term => [1, name(task, start)]), is: '=', than: 1 })
  const byId = new Map(tasks.map((task) => [task.id, task]))
  for (const task of tasks)
    for (const { task: id, least, milestone } of task.after) {
      const before = byId.get(id)!
      const readyFrom = (start: number) =>
        Math.max(start + lengthOf(before) + least, milestone ? start + before.pour!.milestones[milestone]! : 0)
      // Begun by a moment is no more than was ready by it.
      for (const moment of starts.get(task.id)!) {
        const begun = starts.get(task.id)!.filter((start) => start <= moment)
        const ready = starts.get(id)!.filter((start) => readyFrom(start) <= moment)
        restrictions.push({
          terms: [
            ...begun.map((start): Term => [1, name(task, start)]),
            ...ready.map((start): Term => [-1, name(before, start)]),
          ],
          is: '<=',
          than: 0,
        })
      }
    }
  const slots = hours.flatMap((_spans, day) =>
    Array.from({ length: DAY_MINUTES / STEP }, (_, i) => day * DAY_MINUTES + i * STEP),
  )
  const over = (terms: Term[], most: number) => {
    const sum = terms.reduce((total, [factor]) => total + Math.max(0, factor), 0)
    if (sum > most) restrictions.push({ terms, is: '<=', than: most })
  }
  for (const slot of slots) {
    const during = (task: Task, until: (start: number) => number, count: number) =>
      starts
        .get(task.id)!
        .filter((start) => start <= slot && slot < until(start))
        .map((start): Term => [count, name(task, start)])
    over(
      tasks.flatMap((task) => {
        const { pour, hands } = task
        if (!pour) return during(task, (start) => start + task.minutes, hands)
        return [
          ...during(task, (start) => start + pour.placing, hands - 1),
          ...during(task, (start) => start + lengthOf(task), 1),
        ].filter(([factor]) => factor > 0)
      }),
      crew.length,
    )
    for (const tool of Object.keys(tools) as Tool[]) {
      const used = tasks
        .flatMap((task) => during(task, (start) => start + lengthOf(task), task.tools[tool] ?? 0))
        .filter(([factor]) => factor > 0)
      const held = tasks.flatMap((task) => {
        if (task.holds?.tool !== tool) return []
        const off = byId.get(task.holds.until)!
        return [
          ...starts
            .get(task.id)!
            .filter((start) => start <= slot)
            .map((start): Term => [1, name(task, start)]),
          ...starts
            .get(off.id)!
            .filter((start) => start + lengthOf(off) <= slot)
            .map((start): Term => [-1, name(off, start)]),
        ]
      })
      if (used.length + held.length > 0) over([...used, ...held], tools[tool]!)
    }
  }
  /** 1 wherever one of the choices, or the mark that it stands over, is taken; it comes out whole by itself. */
  const marks = (mark: string, choices: readonly { task: Task; choice: string }[], over?: string): boolean => {
    const known = over !== undefined && follows.has(over)
    if (choices.length === 0 && !known) return false
    follows.add(mark)
    // Of one task one is chosen.
    for (const task of new Set(choices.map((each) => each.task)))
      restrictions.push({
        terms: [[1, mark], ...choices.filter((each) => each.task === task).map(({ choice }): Term => [-1, choice])],
        is: '>=',
        than: 0,
      })
    if (known)
      restrictions.push({
        terms: [
          [1, mark],
          [-1, over],
        ],
        is: '>=',
        than: 0,
      })
    return true
  }
  const all = tasks.flatMap((task) =>
    starts.get(task.id)!.map((start) => ({ task, choice: name(task, start), start, end: start + lengthOf(task) })),
  )
  const within = (slot: number, moment: number) => slot < moment && moment <= slot + STEP
  const days: Term[] = []
  const rest: Term[] = []
  hours.forEach((spans, day) => {
    const ofDay = all.filter(({ start }) => dayOf(start) === day)
    marks(`visit_${day}`, ofDay)
    days.push([VISIT, `visit_${day}`])
    const [{ from: opens, to: closes }] = spans as [{ from: number; to: number }]
    const slotsOf = slots.filter((slot) => dayOf(slot) === day)
    for (const slot of slotsOf.toReversed()) {
      // There until the last task with what follows it.
      const late = ofDay.filter(({ end }) => within(slot, end + cleanUp + travel))
      if (slot >= closes && marks(`late_${slot}`, late, `late_${slot + STEP}`)) days.push([1, `late_${slot}`])
      marks(
        `goes_${slot}`,
        ofDay.filter(({ end }) => within(slot, end)),
        `goes_${slot + STEP}`,
      )
    }
    for (const slot of slotsOf) {
      marks(
        `begun_${slot}`,
        ofDay.filter(({ start }) => start === slot),
        slot > slotsOf[0]! ? `begun_${slot - STEP}` : undefined,
      )
      if (slot < opens || slot >= closes || !follows.has(`begun_${slot}`) || !follows.has(`goes_${slot}`)) continue
      follows.add(`there_${slot}`)
      restrictions.push({
        terms: [
          [1, `there_${slot}`],
          [-1, `begun_${slot}`],
          [-1, `goes_${slot}`],
        ],
        is: '>=',
        than: -1,
      })
      rest.push([1, `there_${slot}`])
    }
  })
  for (let day = hours.length - 1; day > 0; day--) {
    marks(
      `reach_${day}`,
      all.filter(({ start }) => dayOf(start) === day),
      `reach_${day + 1}`,
    )
    days.push([LAST_DAY, `reach_${day}`])
  }
  // The last end, each step of it one more.
  for (const slot of slots.toReversed())
    if (
      marks(
        `end_${slot}`,
        all.filter(({ end }) => within(slot, end + cleanUp)),
        `end_${slot + STEP}`,
      )
    )
      rest.push([END, `end_${slot}`])
  return { restrictions, follows, days, rest }
}

/** What counts first outweighs all that counts behind it. */
const LAST_DAY = 10_000
const VISIT = 500
const END = 500
