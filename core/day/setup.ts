import type { DaySetup, Job } from '../document/job'
import type { MethodDetail } from '../plan/detail'
import { methodDetail } from '../plan/detail'
import type { Plan } from '../plan/types'
import type { ResolvedJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import { HOUR_MS, MINUTE_MS, type ForecastHour, type Moment } from '../weather/forecast'
import { SKILLS } from '../document/vocabulary'
import { DAY_MINUTES, type DayQuestion, type DayWeather, type Person, type Stretch, type Task } from './question'
import { tasksOf, type DayPost } from './tasks'

/** What a day is planned with where nobody said: one person who can do all of it, and what lies on most vans. */
export const USUAL_SETUP = {
  days: 30,
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

/** Posts of a job whose repair was chosen, with what is done there. */
export interface DayJob {
  /** Stands before its posts' names; empty for the job in hand. */
  prefix: string
  job: Job
  resolved: ResolvedJob
  plan: Plan
}

/** @returns in walking order; nothing of those that need no repair, or none was chosen for */
export function dayPosts({ prefix, job, resolved, plan }: DayJob, tables: Tables): DayPost[] {
  return resolved.lines.flatMap((line) =>
    line.posts.flatMap((post): DayPost[] => {
      const method = post.repair?.method
      const found = plan.posts
        .find((each) => each.line === line.id && each.post === post.id)
        ?.methods.find((each) => each.method === method && each.allowed)
      const detail: MethodDetail | undefined =
        found && methodDetail(job, tables, post.id, found.method, undefined, resolved)
      if (!found || !detail) return []
      const { concrete } = found
      return [
        {
          address: `${prefix}${line.id}/${post.id}`,
          method: found.method,
          steps: detail.steps,
          ...(concrete ? { concrete } : {}),
        },
      ]
    }),
  )
}

/**
 * The question that a set-up asks of the days.
 *
 * @param midnight of its first day where the site is
 * @param hours    of a forecast; those before midnight count for the ground
 */
export function dayQuestion(
  posts: readonly DayPost[],
  setup: DaySetup,
  { midnight, hours }: { midnight: Moment; hours: readonly ForecastHour[] },
  tables: Tables,
): DayQuestion {
  const { days = USUAL_SETUP.days, hires = [], deliveries = [], pins = [] } = setup
  const crew = (setup.crew ?? USUAL_SETUP.crew) as readonly Person[]
  const tools = { ...USUAL_SETUP.tools, ...setup.tools }
  const spans = (setup.hours ?? USUAL_SETUP.hours) as readonly Stretch[]
  const free = new Set(setup.free ?? [])
  const dayHours = Array.from({ length: days }, (_, day) =>
    free.has(day) ? [] : spans.map(({ from, to }) => ({ from: from + day * DAY_MINUTES, to: to + day * DAY_MINUTES })),
  )
  const wanted = setup.posts ? posts.filter(({ address }) => setup.posts!.includes(address)) : posts
  const arriving = deliveries.map(deliveryTask)
  const tasks = wanted
    .flatMap((post) => tasksOf(post, { crew, tools }, tables))
    .map((task) =>
      task.pour ? { ...task, after: [...task.after, ...arriving.map(({ id }) => ({ task: id, least: 0 }))] } : task,
    )
  const { weather, before } = weatherFrom(hours, midnight, days)
  return {
    tasks: [...arriving, ...tasks],
    crew,
    tools,
    hours: dayHours,
    hires: hiresByTool(hires, days),
    weather,
    before,
    setUp: setup.setUp ?? USUAL_SETUP.setUp,
    cleanUp: setup.cleanUp ?? USUAL_SETUP.cleanUp,
    travel: setup.travel ?? USUAL_SETUP.travel,
    shaded: setup.shaded ?? false,
    covered: setup.covered ?? false,
    pins: pins.filter(({ task }) => tasks.some(({ id }) => id === task)),
  }
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
 * Midnight of a day where the clocks go by a zone.
 *
 * @param date  as `2026-11-27`
 * @param timeZone by its name; UTC where none is given
 * @example midnightIn('2026-07-01', 'Europe/Lisbon') // 2026-06-30T23:00Z
 */
export function midnightIn(date: string, timeZone = 'UTC'): Moment {
  const utc = Date.parse(`${date}T00:00:00Z`)
  // Once more from there: the clocks may have been changed that night.
  const near = utc - zoneShift(utc, timeZone)
  return utc - zoneShift(near, timeZone)
}

/** What a zone's clocks are ahead of UTC, ms. */
function zoneShift(at: Moment, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
  }).formatToParts(at)
  const of = (type: string) => Number(parts.find((part) => part.type === type)!.value)
  const shown = Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'))
  return shown - Math.floor(at / MINUTE_MS) * MINUTE_MS
}
