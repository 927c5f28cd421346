import { SKILLS } from '../document/vocabulary'
import { compareGoals, type DayGoal } from './goal'
import type { DayQuestion, Tool } from './question'
import { planDays, type SearchEffort } from './search'

/** One thing more, and what the days come to with it. */
export interface Saving {
  more: 'hand' | 'hour' | Tool
  goal: DayGoal
}

const HOUR = 60
const TRIED: readonly Tool[] = ['props', 'level', 'mixer', 'breaker', 'auger']

/**
 * What one more hand, an hour a day, or one more of each tool would save: each planned anew, not guessed.
 *
 * @param tell called with the share that is done
 * @returns those that make the plan better, the best first
 */
export function savings(
  question: DayQuestion,
  now: DayGoal,
  effort: SearchEffort,
  tell: (share: number) => void = () => undefined,
): Saving[] {
  const wanted = [...ways(question)]
  const found = wanted.map(([more, changed], i): Saving => {
    tell(i / wanted.length)
    return { more, goal: planDays(changed, effort).goal }
  })
  tell(1)
  return found.filter(({ goal }) => isWorth(goal, now)).sort((a, b) => compareGoals(a.goal, b.goal))
}

/** Idle minutes alone are worth nobody's hire. */
const isWorth = (goal: DayGoal, now: DayGoal): boolean => compareGoals({ ...goal, idle: 0 }, { ...now, idle: 0 }) < 0

function* ways(question: DayQuestion): Generator<[Saving['more'], DayQuestion]> {
  const { crew, hours, tools, tasks } = question
  if (crew.length < 4) yield ['hand', { ...question, crew: [...crew, { id: '+', name: '+', skills: SKILLS }] }]
  yield [
    'hour',
    {
      ...question,
      hours: hours.map((spans) =>
        spans.map((span, i) => (i === spans.length - 1 ? { ...span, to: span.to + HOUR } : span)),
      ),
    },
  ]
  for (const tool of TRIED) {
    const isUsed = tasks.some((task) => (task.tools[tool] ?? 0) > 0 || task.holds?.tool === tool)
    if (isUsed) yield [tool, { ...question, tools: { ...tools, [tool]: (tools[tool] ?? 0) + 1 } }]
  }
}
