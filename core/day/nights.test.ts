import { describe, expect, it } from 'vitest'
import { demoDays } from '../../data/demo/days'
import { dayQuestion, dayTask } from '../../tests/support/dayQuestion'
import { questionOf } from '../../tests/support/demoDay'
import { breaches } from './check'
import { withFewerNights } from './nights'
import { problemOf } from './problem'
import { DAY_MINUTES, type Task } from './question'
import { planDays } from './search'

const task = (id: string, more: Partial<Task>) => dayTask(id, { posts: ['P'], step: id, says: id, ...more })
/** The mixer comes on the second day: dug on the first, the hole stands open for a night for nothing. */
const question = dayQuestion(
  [
    task('cut', { loosens: 'pour' }),
    task('dig', { opens: 'pour', after: [{ task: 'cut', least: 0 }] }),
    task('pour', {
      tools: { mixer: 1 },
      after: [{ task: 'dig', least: 0 }],
      pour: { placing: 30, works: 30, milestones: { frostSafe: 100 } },
    }),
    task('other', { posts: ['Q'], window: { from: 0, to: 700 } }),
  ],
  {
    crew: [{ id: 'A', name: 'A', skills: [] }],
    tools: { mixer: 1 },
    hours: [0, 1, 2].map((day) => [{ from: day * DAY_MINUTES + 480, to: day * DAY_MINUTES + 1_020 }]),
    hires: { mixer: [{ from: DAY_MINUTES + 600, to: DAY_MINUTES + 1_020 }] },
    weather: new Array(72).fill({ temperature: 20, gust: 2, rain: 0 }),
  },
)

describe('nights that a hole stands open', () => {
  it('are saved where digging on the day of the pour costs nothing', () => {
    const { plan, goal } = planDays(question, { seed: 1, rounds: 8 })
    const at = new Map(plan.placed.map((each) => [each.task, each.start]))
    expect(plan.covers).toEqual([])
    expect(at.get('pour')).toBe(DAY_MINUTES + 600)
    // Just in time for the mixer: nobody waits for it.
    expect(at.get('cut')).toBe(DAY_MINUTES + 540)
    expect(at.get('dig')).toBe(DAY_MINUTES + 570)
    expect(goal).toMatchObject({ lastDay: 1, visits: 2, end: DAY_MINUTES + 650, idle: 0 })
    expect(breaches(question, plan)).toEqual([])
  })
  it('stay where the plan would be worse', () => {
    // The mixer goes at eleven: what is dug on that morning is too late for it.
    const hires = { mixer: [{ from: DAY_MINUTES + 500, to: DAY_MINUTES + 540 }] }
    const { plan, goal } = planDays({ ...question, hires }, { seed: 1, rounds: 8 })
    expect(plan.left).toEqual([])
    expect(goal.lastDay).toBe(1)
    expect(plan.covers).toEqual([{ post: 'P', day: 0 }])
  })
  it('are not looked for where there are none', () => {
    const problem = problemOf(question)
    const best = planDays(question, { seed: 1, rounds: 2 })
    const manner = { rank: new Map<string, number>(), overtime: 0, closed: new Set<number>() }
    const never = () => {
      throw new Error('nothing to be tried')
    }
    expect(withFewerNights({ problem, manner, best }, never)).toBe(best)
  })
  it('are fewer in the days before the front than by the search alone', () => {
    const day = questionOf(demoDays.find(({ name }) => name.includes('before the front'))!)
    const { plan } = planDays(day, { seed: 1, rounds: 24 })
    const atNight = plan.covers.filter(({ day: of }) => plan.visits.some((visit) => visit.day > of))
    expect(atNight.length).toBe(plan.covers.length)
    expect(breaches(day, plan)).toEqual([])
  })
})
