import { problemOf, readyAfter, type Problem } from './problem'
import { dayOf, type DayPlan, type DayQuestion, type Placed, type Tool } from './question'

/** Why a task begins no sooner than it does. */
export interface Binding {
  task: string
  because: 'concrete' | 'work' | 'hands' | 'tool' | 'weather' | 'night' | 'break' | 'start' | 'poured' | 'set-by-hand'
  /** What it waits for. */
  of?: string
  tool?: Tool
}

/**
 * The chain that decides when the last visit ends, from its last task back to the first: what would have to be sooner
 * for all of it to be sooner.
 *
 * @returns from the first to the last; empty of a plan without tasks
 */
export function bindings(question: DayQuestion, plan: DayPlan): Binding[] {
  const problem = problemOf(question)
  const at = new Map(plan.placed.map((each) => [each.task, each]))
  const chain: Binding[] = []
  const seen = new Set<string>()
  let here = plan.placed.reduce<Placed | undefined>(
    (last, each) => (last && last.end >= each.end ? last : each),
    undefined,
  )
  while (here && !seen.has(here.task)) {
    seen.add(here.task)
    const found = bindingOf(here, at, problem)
    chain.unshift(found)
    here = found.of === undefined ? undefined : at.get(found.of)
  }
  return chain
}

function bindingOf(placed: Placed, at: ReadonlyMap<string, Placed>, problem: Problem): Binding {
  const { tasks, question, calendar, time } = problem
  const { task: id, start } = placed
  const task = tasks.get(id)!
  if (question.pins.some((pin) => pin.task === id)) return { task: id, because: 'set-by-hand' }
  const waits = task.after
    .flatMap((after) => {
      const before = at.get(after.task)
      if (!before) return []
      const ready = readyAfter(after, tasks.get(after.task)!, before, problem)
      const isConcrete = after.milestone !== undefined && ready > before.end + after.least
      return [{ of: after.task, ready, because: isConcrete ? ('concrete' as const) : ('work' as const) }]
    })
    .sort((a, b) => b.ready - a.ready)
  const [latest] = waits
  // Somebody or something was given free at this very minute.
  const ended = [...at.values()].filter((other) => other.task !== id && freedAt(other, problem).has(start))
  // What is kept for days says more than the work before it, which is done in time for it.
  const back = task.holds && ended.find(({ task: other }) => givenBack(other, problem).includes(task.holds!.tool))
  if (back) return { task: id, because: 'tool', of: back.task, tool: task.holds!.tool }
  if (latest && latest.ready === start) return { task: id, because: latest.because, of: latest.of }

  const shared = ended.find(({ task: other }) =>
    tools(other, problem).some((tool) => tools(id, problem).includes(tool)),
  )
  const byHands = ended.find(({ by }) => by.some((person) => placed.by.includes(person)))
  const tool = shared && tools(shared.task, problem).find((each) => tools(id, problem).includes(each))
  if (shared && tool && tool !== 'level') return { task: id, because: 'tool', of: shared.task, tool }
  if (byHands) return { task: id, because: 'hands', of: byHands.task }
  if (shared && tool) return { task: id, because: 'tool', of: shared.task, tool }
  const isKeptByWeather = start > 0 && (task.pour !== undefined || task.loosens !== undefined) && start % 60 === 0
  if (isKeptByWeather && (!time.mayStart(task, start - 1) || time.calmFrom(start - 1, start) === start))
    return { task: id, because: 'weather', ...(latest ? { of: latest.of } : {}) }
  const opens = calendar.startsOf(dayOf(start)).includes(start)
  if (latest && opens && dayOf(latest.ready) <= dayOf(start)) {
    // Over the night, or a break, it was ready already.
    return {
      task: id,
      because: dayOf(latest.ready) === dayOf(start) && isBehindBreak(start, problem) ? 'break' : 'night',
      of: latest.of,
    }
  }
  if (latest) return { task: id, because: latest.because, of: latest.of }
  return { task: id, because: task.ripens ? 'poured' : 'start' }
}

/** Whether a minute opens a later span of its day. */
const isBehindBreak = (start: number, { calendar }: Problem): boolean =>
  calendar.startsOf(dayOf(start)).indexOf(start) > 0

/** When it lets go of people and tools: of a pour twice. */
function freedAt({ task: id, start, end }: Placed, { tasks }: Problem): Set<number> {
  const { pour } = tasks.get(id)!
  return new Set(pour ? [Math.min(end, start + pour.placing), end] : [end])
}

function tools(id: string, problem: Problem): Tool[] {
  const task = problem.tasks.get(id)!
  return [...(Object.keys(task.tools) as Tool[]), ...(task.holds ? [task.holds.tool] : []), ...givenBack(id, problem)]
}

function givenBack(id: string, { tasks, question }: Problem): Tool[] {
  const freed = question.tasks.filter(({ holds }) => holds?.until === id).map(({ holds }) => holds!.tool)
  const { givesBack } = tasks.get(id)!
  return givesBack ? [...freed, givesBack] : freed
}
