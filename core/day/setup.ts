import type { DaySetup } from '../document/job'
import { SKILLS } from '../document/vocabulary'
import type { Tables } from '../tables/tables'
import { HOUR_MS, MINUTE_MS, type ForecastHour, type Moment } from '../weather/forecast'
import { pouredTask, withoutDone, type DoneTask } from './done'
import {
  DAY_MINUTES,
  dayOf,
  type DayMinute,
  type DayQuestion,
  type DayWeather,
  type Person,
  type Stretch,
  type Task,
} from './question'
import { tasksOf, wetTaskOf, type DayPost } from './tasks'

/** What a day is planned with where nobody said: one person who can do all of it, and what lies on most vans. */
export const USUAL_SETUP = {
  days: 30,
  rest: [0, 6] as readonly number[],
  crew: [{ id: 'A', name: 'A', skills: SKILLS }] as readonly Person[],
  hours: [
    { from: 8 * 60, to: 12 * 60 },
    { from: 12 * 60 + 30, to: 17 * 60 },
  ] as readonly Stretch[],
  tools: { props: 4, level: 1 },
  setUp: 20,
  cleanUp: 20,
  travel: 20,
} as const

/**
 * The tasks of the posts that are worked on, and which of them are done: ticked off, or poured.
 *
 * @param midnight of the first day where the site is
 */
export function dayTasks(
  posts: readonly DayPost[],
  setup: DaySetup,
  midnight: Moment,
  tables: Tables,
): { tasks: Task[]; done: Map<string, DoneTask> } {
  const means = meansOf(setup)
  const wanted = setup.posts ? posts.filter(({ address }) => setup.posts!.includes(address)) : posts
  const arriving = (setup.deliveries ?? []).map(deliveryTask)
  const tasks = wanted
    .flatMap((post) => tasksOf(post, means, tables))
    .map((task) =>
      task.pour ? { ...task, after: [...task.after, ...arriving.map(({ id }) => ({ task: id, least: 0 }))] } : task,
    )
  const ticked = (setup.done ?? []).map(({ task, at }): [string, DoneTask] => [
    task,
    { at: Math.floor((Date.parse(at) - midnight) / MINUTE_MS) },
  ])
  const poured = wanted.flatMap((post): [string, DoneTask][] => {
    const id = post.poured && wetTaskOf(post, tables)
    return id ? [[id, pouredTask(post.poured!, midnight)]] : []
  })
  return { tasks: [...arriving, ...tasks], done: new Map([...ticked, ...poured]) }
}

/** Whether a day is one of the week on which nobody works; none is known where no first day is said. */
function restDays({ first, rest: asked }: DaySetup): (day: number) => boolean {
  const rest: readonly number[] = asked ?? USUAL_SETUP.rest
  if (first === undefined) return () => false
  const weekday = new Date(`${first}T00:00:00Z`).getUTCDay()
  return (day) => rest.includes((weekday + day) % 7)
}

/** Who comes with what. */
export const meansOf = ({ crew, tools }: DaySetup) => ({
  crew: (crew ?? USUAL_SETUP.crew) as readonly Person[],
  tools: { ...USUAL_SETUP.tools, ...tools },
})

/**
 * The question that a set-up asks of the days.
 *
 * @param midnight of its first day where the site is
 * @param hours    of a forecast; those before midnight count for the ground
 * @param from     nothing is begun before it; the whole of the days where it is missing
 */
export function dayQuestion(
  posts: readonly DayPost[],
  setup: DaySetup,
  { midnight, hours, from }: { midnight: Moment; hours: readonly ForecastHour[]; from?: Moment },
  tables: Tables,
): DayQuestion {
  const { days = USUAL_SETUP.days, hires = [], pins = [] } = setup
  const { crew, tools } = meansOf(setup)
  const spans = (setup.hours ?? USUAL_SETUP.hours) as readonly Stretch[]
  const free = new Set(setup.free ?? [])
  const rest = restDays(setup)
  const dayHours = Array.from({ length: days }, (_, day) =>
    free.has(day) || rest(day)
      ? []
      : spans.map(({ from, to }) => ({ from: from + day * DAY_MINUTES, to: to + day * DAY_MINUTES })),
  )
  const all = dayTasks(posts, setup, midnight, tables)
  const tasks = withoutDone(all.tasks, all.done)
  const outside = tasks.filter(({ givesBack }) => givesBack === 'props').length
  const way = {
    setUp: setup.setUp ?? USUAL_SETUP.setUp,
    cleanUp: setup.cleanUp ?? USUAL_SETUP.cleanUp,
    travel: setup.travel ?? USUAL_SETUP.travel,
  }
  const { weather, before } = weatherFrom(hours, midnight, days)
  return {
    tasks,
    crew,
    // Whatever was said, those that stand outside are there.
    tools: { ...tools, props: Math.max(tools.props, outside) },
    hours: from === undefined ? dayHours : hoursFrom(dayHours, minuteFrom(from, midnight), all.done, way),
    hires: hiresByTool(hires, days),
    weather,
    before,
    ...way,
    shaded: setup.shaded ?? false,
    covered: setup.covered ?? false,
    pins: pins.filter(({ task }) => tasks.some(({ id }) => id === task)),
  }
}

/** Nobody begins on the minute. */
const ROUND = 5
const minuteFrom = (from: Moment, midnight: Moment) => Math.ceil((from - midnight) / MINUTE_MS / ROUND) * ROUND
/** Whoever has done something on this day is there, and has set up. */
function hoursFrom(
  hours: readonly (readonly Stretch[])[],
  from: DayMinute,
  done: ReadonlyMap<string, DoneTask>,
  { setUp, travel }: Pick<DayQuestion, 'setUp' | 'travel'>,
): Stretch[][] {
  const isThere = [...done.values()].some(({ at }) => dayOf(at) === dayOf(from) && at <= from)
  const begins = isThere ? from - setUp - travel : from
  return hours.map((spans) =>
    spans.filter(({ to }) => to > from).map((span) => ({ from: Math.max(span.from, begins), to: span.to })),
  )
}

/** Somebody takes it in; what is mixed of it waits for it. */
const TAKING_IN = 10
function deliveryTask({ day, from, to, says }: NonNullable<DaySetup['deliveries']>[number], i: number): Task {
  return {
    id: `delivery-${i + 1}`,
    posts: [],
    step: 'delivery',
    says: says ?? 'take the delivery in',
    minutes: TAKING_IN,
    hands: 1,
    skills: [],
    tools: {},
    after: [],
    window: { from: from + day * DAY_MINUTES, to: to + day * DAY_MINUTES },
  }
}

/** Of one day, or of every one. */
function hiresByTool(hires: NonNullable<DaySetup['hires']>, days: number): DayQuestion['hires'] {
  const byTool: Partial<Record<string, Stretch[]>> = {}
  for (const { tool, day, from, to } of hires) {
    const on = day === undefined ? Array.from({ length: days }, (_, i) => i) : [day]
    const stretches = on.map((each) => ({ from: from + each * DAY_MINUTES, to: to + each * DAY_MINUTES }))
    byTool[tool] = [...(byTool[tool] ?? []), ...stretches]
  }
  return byTool as DayQuestion['hires']
}

const DAY_HOURS = 24
/** Calm and mild, where nothing is forecast: what the plan says of the weather then is nothing. */
const UNKNOWN: DayWeather = { temperature: 10, gust: 0, rain: 0 }

function weatherFrom(hours: readonly ForecastHour[], midnight: Moment, days: number) {
  const first = hours[0] ? Date.parse(hours[0].at) : midnight
  const shift = Math.round((midnight - first) / HOUR_MS)
  const weather: DayWeather[] = []
  for (let hour = 0; hour < days * DAY_HOURS; hour++) {
    const found = hours[shift + hour]
    if (!found) break
    weather.push({ temperature: found.temperature, gust: found.gust, rain: found.rain })
  }
  const before = hours.slice(Math.max(0, shift - DAY_HOURS), Math.max(0, shift)).map(({ temperature }) => temperature)
  return { weather: weather.length > 0 ? weather : [UNKNOWN], before: before.length > 0 ? before : [] }
}

/**
 * The same set-up with its days counted from a later one: what lay before it is over.
 *
 * @param days how much later, whole
 * @example startingLater({ free: [1, 4] }, 2) // { free: [2] }
 */
export function startingLater(setup: DaySetup, days: number): DaySetup {
  const { free, hires, deliveries, pins } = setup
  const later = (day: number) => day - days
  const within = <T extends { day: number }>(all: readonly T[] | undefined) =>
    all?.map((each) => ({ ...each, day: later(each.day) })).filter(({ day }) => day >= 0)
  return {
    ...setup,
    ...(free ? { free: free.map(later).filter((day) => day >= 0) } : {}),
    ...(hires
      ? {
          hires: hires
            .map((hire) => (hire.day === undefined ? hire : { ...hire, day: later(hire.day) }))
            .filter(({ day }) => day === undefined || day >= 0),
        }
      : {}),
    ...(deliveries ? { deliveries: within(deliveries) } : {}),
    ...(pins
      ? {
          pins: pins
            .map((pin) => ({ ...pin, start: pin.start - days * DAY_MINUTES }))
            .filter(({ start }) => start >= 0),
        }
      : {}),
  }
}
