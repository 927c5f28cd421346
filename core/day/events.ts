import { MINUTE_MS, type Moment } from '../weather/forecast'
import { problemOf } from './problem'
import type { DayMinute, DayPlan, DayQuestion, Milestones, Task } from './question'
import { readPostKey } from '../document/postKey'

/** One entry of a calendar. */
export interface CalendarEvent {
  /** Stays the same: a second export brings the first up to date. */
  uid: string
  from: Moment
  to: Moment
  says: string
  details?: string
}

/** What the calendar names of it. */
export interface EventsOf {
  /** Identity of the job, for names that stay. */
  job: string
  name: string
  midnight: Moment
  /** Visits that were made before these days. */
  visited?: number
}

const WAITS = { props: 'props may come off', boards: 'panels may go back', gate: 'the gate may be hung' } as const

/**
 * What of a plan goes into a calendar: its visits, deliveries, what concrete carries when, and the last visit as the
 * return.
 */
export function dayEvents(
  question: DayQuestion,
  plan: DayPlan,
  { job, name, midnight, visited = 0 }: EventsOf,
): CalendarEvent[] {
  const { tasks, time } = problemOf({ ...question, pins: [] })
  const moment = (minute: number) => midnight + minute * MINUTE_MS
  const at = new Map(plan.placed.map((each) => [each.task, each]))
  const visits = plan.visits.map((visit, i): CalendarEvent => {
    const of = plan.placed.filter(({ start }) => start >= visit.from && start < visit.to)
    const posts = [...new Set(of.flatMap(({ task }) => tasks.get(task)!.posts.map(short)))]
    const number = visited + i + 1
    const isReturn = number > 1 && i === plan.visits.length - 1
    return {
      uid: `${job}-visit-${number}@vindex`,
      from: moment(visit.from),
      to: moment(visit.to),
      says: `${name}: ${isReturn ? 'return visit' : `visit ${number}`}`,
      details: `${posts.join(', ')}\n${of.map(({ task, by }) => `${short(tasks.get(task)!.posts[0] ?? '')} ${tasks.get(task)!.says}: ${by.join(', ')}`).join('\n')}`,
    }
  })
  const deliveries = question.tasks
    .filter(({ step }) => step === 'delivery')
    .flatMap(({ id, says }): CalendarEvent[] => {
      const placed = at.get(id)
      return placed
        ? [{ uid: `${job}-${id}@vindex`, from: moment(placed.start), to: moment(placed.end), says: `${name}: ${says}` }]
        : []
    })
  function carries(task: Task, milestone: keyof Milestones | undefined, ready: DayMinute): CalendarEvent[] {
    const [post] = task.posts
    if (post === undefined || !milestone || !(milestone in WAITS) || !Number.isFinite(ready)) return []
    return [
      {
        // The same whether it is planned still or poured already.
        uid: `${job}-${post}-${milestone}@vindex`.replaceAll(/[^\w@~.-]/g, '-'),
        from: moment(ready),
        to: moment(ready),
        says: `${short(post)}: ${WAITS[milestone as keyof typeof WAITS]}`,
      },
    ]
  }
  const carried = question.tasks.flatMap((task) => [
    ...carries(task, task.ripens, task.window?.from ?? 0),
    ...task.after.flatMap(({ task: id, milestone }) => {
      const pour = at.get(id)
      return pour ? carries(task, milestone, milestone ? time.carries(tasks.get(id)!, milestone, pour.start) : 0) : []
    }),
  ])
  return [...visits, ...deliveries, ...carried]
}

const short = (address: string): string => readPostKey(address).post
