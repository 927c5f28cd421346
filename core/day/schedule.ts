import { visitsOf } from './calendar'
import { Board, type Manner } from './board'
import type { Problem } from './problem'
import { dayOf, type DayMinute, type DayPlan, type Placed, type Task } from './question'

/** So often a task is begun later, because what follows it in time could not. */
const TRIES = 60

/**
 * Lays the tasks into the days one after the other, each as early as it can be: serial schedule generation.
 *
 * @returns a plan that breaks nothing; what found no place is named
 */
export function schedule(problem: Problem, manner: Manner): DayPlan {
  const notBefore = new Map<string, DayMinute>(manner.later)
  let laid = layAll(problem, manner, notBefore)
  for (let tries = 0; laid.delay && tries < TRIES; tries++) {
    notBefore.set(laid.delay.task, Math.max(laid.delay.until, notBefore.get(laid.delay.task) ?? 0))
    laid = layAll(problem, manner, notBefore)
  }
  return planOf(...withoutHalves(laid, problem), problem)
}

/** A post is not cut loose or dug for where nothing will stand in it: what cannot be finished so far is not begun. */
function withoutHalves({ placed, left }: Laid, { tasks }: Problem): [Placed[], DayPlan['left']] {
  const missing = new Map(left.map(({ task, why }) => [task, why]))
  const dropped = new Map<string, string>()
  for (const { task: id } of placed) {
    const { posts, loosens, opens } = tasks.get(id)!
    const why = missing.get(loosens ?? '') ?? missing.get(opens ?? '')
    if (why !== undefined) for (const post of posts) dropped.set(post, why)
  }
  if (dropped.size === 0) return [placed, left]
  const whyOf = ({ task }: Placed) =>
    tasks
      .get(task)!
      .posts.map((post) => dropped.get(post))
      .find(Boolean)
  return [
    placed.filter((each) => whyOf(each) === undefined),
    [...left, ...placed.flatMap((each) => (whyOf(each) === undefined ? [] : [{ task: each.task, why: whyOf(each)! }]))],
  ]
}

/** The plan of what lies where: with its visits and what is covered for the night. */
export function planOf(
  placed: readonly Placed[],
  left: DayPlan['left'],
  { question, tasks, calendar }: Problem,
): DayPlan {
  const at = new Map(placed.map((each) => [each.task, each]))
  /** Of a hole that stands open from a day on. */
  function nightsOf(task: Task, from: number, closes: string): DayPlan['covers'] {
    const closed = at.get(closes)
    const days = (closed ? dayOf(closed.start) : question.hours.length) - from
    return Array.from({ length: Math.max(0, days) }, (_, i) => ({ post: task.posts[0] ?? task.id, day: from + i }))
  }
  const covers = [...tasks.values()].flatMap((task) => {
    const dug = at.get(task.id)
    if (task.isOpen) return nightsOf(task, 0, task.id)
    return dug && task.opens !== undefined ? nightsOf(task, dayOf(dug.end - 1), task.opens) : []
  })
  return {
    placed: [...placed].sort((a, b) => a.start - b.start || a.end - b.end || a.task.localeCompare(b.task)),
    visits: visitsOf(
      placed.map(({ start, end }) => ({ from: start, to: end })),
      question,
      calendar,
    ),
    covers,
    left,
  }
}

/** More than any rank is below 0. */
const DUE_FIRST = 1e7

interface Laid {
  placed: Placed[]
  left: DayPlan['left']
  /** Begun later, everything may find its place. */
  delay?: { task: string; until: DayMinute }
}

function layAll(problem: Problem, manner: Manner, notBefore: ReadonlyMap<string, DayMinute>): Laid {
  const { question, inOrder } = problem
  const board = new Board(problem, manner)
  const pins = new Map(question.pins.map(({ task, start }) => [task, start]))
  // What a pinned task waits for comes first, by when it has to be done.
  const rankOf = ({ id }: Task) =>
    problem.dueBy.has(id) ? problem.dueBy.get(id)! - DUE_FIRST : (manner.rank.get(id) ?? 0)
  // What somebody has set lies where it was set, whatever it breaks.
  for (const task of inOrder) if (pins.has(task.id)) board.putPinned(task, pins.get(task.id)!)

  let waiting = inOrder.filter(({ id }) => !pins.has(id)).sort((a, b) => rankOf(a) - rankOf(b))
  // What wants a tool that others keep is not asked again before one of them gives it back.
  const held = new Set<Task>()
  while (waiting.length > 0) {
    const next = waiting.find((task) => !held.has(task) && board.isReady(task))
    if (!next) break
    const found = board.place(next, notBefore.get(next.id) ?? 0)
    if (typeof found === 'object') return { placed: board.all(), left: [], delay: found }
    if (found === 'held') held.add(next)
    else {
      waiting = waiting.filter((task) => task !== next)
      if (board.givesBack(next)) held.clear()
    }
  }
  return { placed: board.all(), left: waiting.map(({ id }) => ({ task: id, why: board.why(id) })) }
}
