import { describe, expect, it } from 'vitest'
import { exactGoal } from '../../tests/support/exactDay'
import { integerSolver } from '../../shared/solver'
import { breaches } from './check'
import { SKILLS } from '../document/vocabulary'
import { DAY_MINUTES, type DayQuestion, type Task } from './question'
import { planDays } from './search'

const plain: Task = { id: '', posts: [], step: '', says: '', minutes: 30, hands: 1, skills: [], tools: {}, after: [] }
const task = (id: string, minutes: number, after: string[] = [], more: Partial<Task> = {}): Task => ({
  ...plain,
  id,
  posts: [id[0]!],
  minutes,
  after: after.map((each) => ({ task: each, least: 0 })),
  ...more,
})
/** Short days, 20 °C throughout, and who can do everything. */
const question = (
  tasks: Task[],
  people: number,
  days: number,
  tools: DayQuestion['tools'] = {},
  minutes = 180,
): DayQuestion => ({
  tasks,
  crew: Array.from({ length: people }, (_, i) => ({ id: `${i}`, name: `${i}`, skills: SKILLS })),
  tools,
  hours: Array.from({ length: days }, (_, day) => [
    { from: day * DAY_MINUTES + 480, to: day * DAY_MINUTES + 480 + minutes },
  ]),
  hires: {},
  weather: Array.from({ length: 24 * days }, () => ({ temperature: 20, gust: 0, rain: 0 })),
  before: new Array<number>(24).fill(20),
  setUp: 10,
  cleanUp: 10,
  travel: 0,
  shaded: false,
  covered: false,
  pins: [],
})
const poured = (id: string, dig: number): Task[] => [
  task(`${id}dig`, dig),
  task(`${id}set`, 10, [`${id}dig`], { holds: { tool: 'props', until: `${id}off` } }),
  task(`${id}pour`, 10, [`${id}set`], {
    hands: 2,
    pour: { placing: 10, works: 20, milestones: { props: 60, boards: 900 } },
  }),
  task(`${id}off`, 5, [], { after: [{ task: `${id}pour`, least: 0, milestone: 'props' }] }),
]

const SMALL: [string, DayQuestion][] = [
  [
    'five that wait for each other, one person',
    question([task('a', 30), task('b', 20, ['a']), task('c', 40), task('d', 10, ['b', 'c']), task('e', 25)], 1, 1),
  ],
  [
    'seven for two people, some of them for both',
    question(
      [
        task('a', 30, [], { hands: 2 }),
        task('b', 45),
        task('c', 20, ['a']),
        task('d', 35),
        task('e', 15, ['b'], { hands: 2 }),
        task('f', 10),
        task('g', 25, ['c']),
      ],
      2,
      1,
    ),
  ],
  [
    'one tool for four',
    question(
      [
        task('a', 25, [], { tools: { breaker: 1 } }),
        task('b', 35, [], { tools: { breaker: 1 } }),
        task('c', 20, ['a'], { tools: { breaker: 1 } }),
        task('d', 30),
        task('e', 15, ['d'], { tools: { breaker: 1 } }),
      ],
      2,
      1,
      { breaker: 1 },
    ),
  ],
  [
    'more than one day holds',
    question([task('a', 80), task('b', 70, ['a']), task('c', 60), task('d', 50, ['c'])], 1, 2),
  ],
  ['two posts and one set of props', question([...poured('p', 15), ...poured('q', 10)], 2, 1, { props: 1 }, 180)],
  [
    'a post whose panels wait for the morning',
    question(
      [
        ...poured('p', 30),
        task('pboards', 20, [], { hands: 2, after: [{ task: 'ppour', least: 0, milestone: 'boards' }] }),
      ],
      2,
      2,
      { props: 1 },
      80,
    ),
  ],
]

describe('small days, proven', () => {
  it.each(SMALL)('%s', async (_name, asked) => {
    const solve = await integerSolver()
    const { plan, goal } = planDays(asked, { seed: 1, rounds: 160 })
    expect(breaches(asked, plan)).toEqual([])
    expect(goal).toEqual(exactGoal(asked, solve))
  })
})
