import { dayBound } from '../day/bound'
import { DAY_MINUTES, type DayQuestion, type Task } from '../day/question'
import { planDays } from '../day/search'
import { LIMITS, LONGEST } from '../limits'
import * as fields from '../schema/fields'
import { calculation } from './calculation'
import { group, listOf, optional, quantity, said } from './inputs'

/* Days of work: what no plan can be better than. */

const name = () => fields.name(LONGEST.taskOfDay).required('a name')
const MOST_TASKS = 60
const MOST_PEOPLE = 4

const taskOf = () =>
  group({
    id: name(),
    minutes: quantity(1, DAY_MINUTES, 'min'),
    hands: optional(quantity(1, MOST_PEOPLE)),
    after: optional(listOf(group({ task: name(), least: optional(quantity(0, 60 * DAY_MINUTES, 'min')) }), 10)),
  })

export const dayBoundCalculation = calculation({
  name: 'day-bound',
  says: 'when work is done at the soonest whoever plans it, and when a plan that was found is done',
  source: 'longest chain, work over hands and hours of day: the largest of what each asks',
  inputs: {
    tasks: said('[{id, minutes, hands (1), after [{task, least (min, by the clock)}]}]', listOf(taskOf(), MOST_TASKS)),
    people: quantity(1, MOST_PEOPLE),
    from: optional(quantity(0, DAY_MINUTES, 'min of the day'), 480),
    to: optional(quantity(0, DAY_MINUTES, 'min of the day'), 1_020),
    days: optional(quantity(1, LIMITS.daysPlanned), 30),
    setUp: optional(quantity(0, 240, 'min'), 20),
    cleanUp: optional(quantity(0, 240, 'min'), 20),
  },
  outputs: {
    end: 'min from the first midnight, null where something finds no place',
    bound: 'min, as end',
    gap: 'share of the working time',
    visits: '',
    overtime: 'min',
  },
  // One after the other from 8:20, and a night's wait between: the second day's first minute, and its clean-up.
  example: [
    {
      tasks: [
        { id: 'pour', minutes: 40 },
        { id: 'boards', minutes: 30, after: [{ task: 'pour', least: 900 }] },
      ],
      people: 1,
    },
    { end: 1_440 + 550, bound: 1_440 + 550, gap: 0, visits: 2, overtime: 0 },
  ],
  run({ tasks, people, from, to, days, setUp, cleanUp }) {
    const question = questionOf(tasks as readonly Given[], { people, from, to, days, setUp, cleanUp } as Means)
    const found = planDays(question)
    const bound = dayBound(question, found)
    const { end, visits, overtime, left } = found.goal
    return { end: left > 0 ? null : end, bound: bound?.end ?? null, gap: bound?.gap ?? null, visits, overtime }
  },
})

interface Given {
  id: string
  minutes: number
  hands?: number
  after?: readonly { task: string; least?: number }[]
}
type Means = Record<'people' | 'from' | 'to' | 'days' | 'setUp' | 'cleanUp', number>

function questionOf(given: readonly Given[], { people, from, to, days, setUp, cleanUp }: Means): DayQuestion {
  const tasks = given.map(
    ({ id, minutes, hands = 1, after = [] }): Task => ({
      id,
      posts: [id],
      step: id,
      says: id,
      minutes,
      hands,
      skills: [],
      tools: {},
      after: after.map(({ task, least = 0 }) => ({ task, least })),
    }),
  )
  return {
    tasks,
    crew: Array.from({ length: people }, (_, i) => ({ id: `${i + 1}`, name: `${i + 1}`, skills: [] })),
    tools: {},
    hours: Array.from({ length: days }, (_, day) => [{ from: from + day * DAY_MINUTES, to: to + day * DAY_MINUTES }]),
    hires: {},
    weather: [{ temperature: 10, gust: 0, rain: 0 }],
    before: [],
    setUp,
    cleanUp,
    travel: 0,
    shaded: false,
    covered: false,
    pins: [],
  }
}
