import { string } from 'yup'
import { LIMITS, LONGEST } from '../limits'
import {
  flag,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededTime,
  part,
  quantity,
  record,
  text,
  time,
} from '../schema/fields'
import { SKILLS, TOOLS } from './vocabulary'

/* The days that a job is worked on: who comes, with what, and what was planned. Minutes of a day are counted from its midnight. */

const minuteOfDay = () => needed(0, 1_440, 'min')
const span = () => record({ from: minuteOfDay(), to: minuteOfDay() })
const planMinute = () => needed(0, 60 * 1_440, 'min')
const address = () => name(LONGEST.taskOfDay)

export const personSchema = record({
  id: name(4),
  name: text(LONGEST.person),
  skills: listOfAtMost(SKILLS.length, 'skills', neededChoice(SKILLS)).required('a list of skills'),
})

const count = () => quantity(0, 20)
export const daySchema = part({
  /** The day that minutes are counted from. */
  first: string()
    .strict()
    .typeError('a day as 2026-11-27')
    .matches(/^\d{4}-\d\d-\d\d$/, { message: 'a day as 2026-11-27', excludeEmptyString: true }),
  days: quantity(1, LIMITS.daysPlanned),
  /** Days on which nobody comes, counted from the first, which is 0. */
  free: listOfAtMost(LIMITS.daysPlanned, 'days', needed(0, LIMITS.daysPlanned)),
  /** Days of the week on which nobody works, Sunday 0; Saturday and Sunday where it is missing. */
  rest: listOfAtMost(7, 'days of the week', needed(0, 6)),
  crew: listOfAtMost(4, 'people', personSchema),
  hours: listOfAtMost(4, 'spans', span()),
  tools: part(Object.fromEntries(TOOLS.map((tool) => [tool, count()]))),
  hires: listOfAtMost(
    LIMITS.hires,
    'hires',
    record({ tool: neededChoice(TOOLS), day: quantity(0, LIMITS.daysPlanned), from: minuteOfDay(), to: minuteOfDay() }),
  ),
  deliveries: listOfAtMost(
    LIMITS.hires,
    'deliveries',
    record({ day: needed(0, LIMITS.daysPlanned), from: minuteOfDay(), to: minuteOfDay(), says: text(LONGEST.name) }),
  ),
  setUp: quantity(0, 240, 'min'),
  cleanUp: quantity(0, 240, 'min'),
  travel: quantity(0, 240, 'min'),
  shaded: flag(),
  covered: flag(),
  /** Other jobs of the same site that are worked on in the same days, by their identity. */
  beside: listOfAtMost(LIMITS.jobsOfDay, 'jobs', name(LONGEST.identity)),
  /** Line and post, as `B/B4`; all whose repair was chosen where it is missing. */
  posts: listOfAtMost(LIMITS.postsOfJob, 'posts', address()),
  pins: listOfAtMost(LIMITS.tasksOfDay, 'tasks', record({ task: address(), start: planMinute() })),
  /** What somebody has ticked off; a pour tells of itself. */
  done: listOfAtMost(LIMITS.tasksOfDay, 'tasks', record({ task: address(), at: neededTime() })),
  /** As it was planned last. */
  planned: part({
    at: time(),
    /** Visits that were made before the first day: the next one is counted from there. */
    visited: quantity(0, LIMITS.daysPlanned),
    tasks: listOfAtMost(
      LIMITS.tasksOfDay,
      'tasks',
      record({
        task: address(),
        start: planMinute(),
        end: planMinute(),
        by: listOfAtMost(4, 'people', name(4)).required('a list of people'),
      }),
    ).required('a list of tasks'),
  }),
})
