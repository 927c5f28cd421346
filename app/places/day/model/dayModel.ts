import { clockWords } from '~/controls/timesOfDay'
import type { Breach } from '~~/core/day/check'
import type { Binding } from '~~/core/day/binds'
import type { DayMinute, DayPlan, DayQuestion } from '~~/core/day/question'
import type { ConcreteTime } from '~~/core/day/concreteTime'
import { readPostKey } from '~~/core/document/postKey'

/** A task as a block under its post. */
export interface DayBlock {
  task: string
  says: string
  column: number
  x: number
  y: number
  width: number
  height: number
  by: readonly string[]
  start: DayMinute
  end: DayMinute
  isPinned: boolean
  breaks: string[]
}

export interface DayBand {
  day: number
  top: number
  bottom: number
  visit: { from: DayMinute; to: DayMinute }
  hours: { y: number; says: string }[]
  weather: { y: number; height: number; temperature: number; gust: number; rain: number }[]
  /** Coldest and windiest of the hours between this visit and the next, or of the night behind the last. */
  night?: { y: number; temperature: number; gust: number }
}

export interface DayModel {
  height: number
  width: number
  columns: { key: string; name: string; x: number }[]
  bands: DayBand[]
  blocks: DayBlock[]
  /** Concrete hardening, from the end of a pour to what it is waited for with. */
  tails: { x: number; from: number; to: number }[]
  /** What decides the end, as one line. */
  chain: { x: number; y: number }[]
  /** Minutes from a height, within the band that it lies in. */
  minuteAt: (y: number) => DayMinute | undefined
  yOf: (minute: DayMinute) => number
}

/** px: of the scale and the weather on the left, of the ground line above, of a night between two visits. */
const LEFT = 92
const TOP = 72
const NIGHT = 46
const BEFORE = 10
/** A minute is at least so tall, px, and a block so wide at most. */
const LEAST_SCALE = 0.62
const WIDEST = 120
/** What is done once for all stands in a column of its own. */
const SITE = 'site'

/**
 * Posts across, time downwards: nights are cut short, days are in one scale.
 *
 * @param size of the frame, px; the drawing may be taller
 */
export function dayModel(
  question: DayQuestion,
  plan: DayPlan,
  { breaks, binds, time }: { breaks: readonly Breach[]; binds: readonly Binding[]; time: ConcreteTime },
  size: { width: number; height: number },
): DayModel {
  const tasks = new Map(question.tasks.map((task) => [task.id, task]))
  const keys = [...new Set(question.tasks.map(({ posts }) => posts[0] ?? SITE))]
  const room = Math.max(28, Math.min(WIDEST, (size.width - LEFT - 8) / Math.max(1, keys.length)))
  const columns = keys.map((key, i) => ({ key, name: nameOf(key), x: LEFT + (i + 0.5) * room }))
  const columnOf = new Map(keys.map((key, i) => [key, i]))

  const spans = plan.visits.map(({ day, from, to }) => ({
    day,
    from: Math.min(from, hourBefore(from)),
    to: hourBehind(to),
  }))
  const minutes = spans.reduce((sum, { from, to }) => sum + to - from, 0)
  const free = size.height - TOP - BEFORE - spans.length * NIGHT
  const scale = Math.max(LEAST_SCALE, free / Math.max(1, minutes))
  let y = TOP + BEFORE
  /** Of hours that nobody works in. */
  function nightOf(from: number, to: number, at: number): DayBand['night'] {
    const hours = question.weather.slice(Math.floor(from / 60), Math.ceil(to / 60))
    if (hours.length === 0) return undefined
    return {
      y: at,
      temperature: Math.min(...hours.map(({ temperature }) => temperature)),
      gust: Math.max(...hours.map(({ gust }) => gust)),
    }
  }
  const bands = spans.map(({ day, from, to }, i): DayBand & { from: number; to: number } => {
    const top = y
    y += (to - from) * scale + NIGHT
    const at = (minute: number) => top + (minute - from) * scale
    const whole = Array.from({ length: Math.ceil((to - from) / 60) }, (_, i) => from + i * 60)
    return {
      day,
      from,
      to,
      top,
      bottom: y - NIGHT,
      visit: plan.visits.find((each) => each.day === day)!,
      ...nightIn(nightOf(to, spans[i + 1]?.from ?? to + 15 * 60, y - NIGHT + 16)),
      hours: [...whole, to].map((minute) => ({ y: at(minute), says: clockWords(minute) })),
      weather: whole.flatMap((minute) => {
        const hour = question.weather[Math.floor(minute / 60)]
        return hour ? [{ y: at(minute), height: 60 * scale, ...hour }] : []
      }),
    }
  })
  function yOf(minute: DayMinute): number {
    const band = bands.find((each) => minute <= each.to)
    if (!band) return bands.length > 0 ? bands.at(-1)!.bottom + NIGHT / 2 : TOP
    // In the night before it.
    return minute < band.from ? band.top - NIGHT / 2 : band.top + (minute - band.from) * scale
  }
  const pinned = new Set(question.pins.map(({ task }) => task))
  const blocks = plan.placed.map((each): DayBlock => {
    const task = tasks.get(each.task)!
    const column = columnOf.get(task.posts[0] ?? SITE)!
    const top = yOf(each.start)
    return {
      task: each.task,
      says: task.says,
      column,
      x: columns[column]!.x - room * 0.42,
      y: top,
      width: room * 0.84,
      height: Math.max(3, yOf(each.end) - top),
      by: each.by,
      start: each.start,
      end: each.end,
      isPinned: pinned.has(each.task),
      breaks: breaks.filter(({ task: of }) => of === each.task).map(({ says }) => says),
    }
  })
  const byTask = new Map(blocks.map((block) => [block.task, block]))
  const tails = question.tasks.flatMap((task) => {
    const behind = byTask.get(task.id)
    // Poured before these days: it comes in from above.
    if (task.ripens && behind)
      return [{ x: columns[behind.column]!.x, from: TOP, to: Math.min(behind.y, yOf(task.window!.from)) }]
    return task.after.flatMap(({ task: id, milestone }) => {
      const pour = byTask.get(id)
      if (!behind || !pour || !milestone) return []
      const ready = time.carries(tasks.get(id)!, milestone, pour.start)
      return [{ x: columns[pour.column]!.x, from: pour.y + pour.height, to: Math.min(behind.y, yOf(ready)) }]
    })
  })
  return {
    height: Math.max(size.height, y),
    width: Math.max(size.width, LEFT + keys.length * room + 8),
    columns,
    bands,
    blocks,
    tails,
    chain: binds.flatMap(({ task }) => {
      const block = byTask.get(task)
      return block ? [{ x: block.x + block.width / 2, y: block.y + block.height / 2 }] : []
    }),
    minuteAt(at) {
      const band = bands.find(({ top, bottom }) => at >= top - NIGHT / 2 && at <= bottom + NIGHT / 2)
      return band && Math.round((band.from + (at - band.top) / scale) / 5) * 5
    },
    yOf,
  }
}

const nightIn = (night: DayBand['night']) => (night ? { night } : {})
const hourBefore = (minute: number) => Math.floor(minute / 60) * 60
const hourBehind = (minute: number) => Math.ceil(minute / 60) * 60

/** @example nameOf('B/B4') // 'B4'; nameOf('x~B/B4') // 'B4' */
export const nameOf = (address: string): string => readPostKey(address).post
