import type { DayQuestion, Task } from '../../core/day/question'

/** A step of half an hour that anybody can do alone, of a post of its own name. */
export const dayTask = (id: string, more: Partial<Task> = {}): Task => ({
  id,
  posts: [id],
  step: '',
  says: '',
  minutes: 30,
  hands: 1,
  skills: [],
  tools: {},
  after: [],
  ...more,
})

/** One person from eight to five on one day, with nothing in the way: twenty minutes to set up, and to clear away. */
export const dayQuestion = (tasks: Task[], more: Partial<DayQuestion> = {}): DayQuestion => ({
  tasks,
  crew: [{ id: 'A', name: 'A', skills: ['dig'] }],
  tools: { props: 1, level: 1 },
  hours: [[{ from: 480, to: 1_020 }]],
  hires: {},
  weather: [],
  before: [],
  setUp: 20,
  cleanUp: 20,
  travel: 0,
  shaded: false,
  covered: false,
  pins: [],
  ...more,
})
