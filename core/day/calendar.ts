import { DAY_MINUTES, dayOf, type DayMinute, type DayQuestion, type Stretch, type Visit } from './question'

/** The working days: where a task may lie, and what lies outside of the hours. */
export interface Calendar {
  days: number
  /** Between which minutes the tasks of a day lie, with so much overtime at its end and its beginning. */
  windowOf: (day: number, overtime: number) => Stretch | undefined
  /** Starts of spans, for work that begins with the hours. */
  startsOf: (day: number) => readonly DayMinute[]
  /** Minutes of a stretch that lie outside of the working hours of its day. */
  outside: (stretch: Stretch) => number
}

export function calendarOf({ hours, setUp, cleanUp, travel }: DayQuestion): Calendar {
  const before = travel + setUp
  const behind = cleanUp + travel
  const outside = ({ from, to }: Stretch) =>
    (hours[dayOf(from)] ?? []).reduce(
      (left, span) => left - Math.max(0, Math.min(to, span.to) - Math.max(from, span.from)),
      to - from,
    )
  return {
    days: hours.length,
    windowOf(day, overtime) {
      const spans = hours[day]
      if (!spans || spans.length === 0) return undefined
      const from = spans[0]!.from + before
      // Where the hours begin late, overtime may lie before them as well.
      const to = Math.min((day + 1) * DAY_MINUTES, spans.at(-1)!.to - behind + overtime)
      return from < to ? { from, to } : undefined
    },
    startsOf: (day) => (hours[day] ?? []).map(({ from }, i) => (i === 0 ? from + before : from)),
    outside,
  }
}

/**
 * Visits from what is done on each day: set-up before the first task, clean-up behind the last. Overtime is what of them
 * and of the way there and back lies before or behind the hours, waiting too, and what is done in a break.
 */
export function visitsOf(
  tasks: readonly Stretch[],
  { setUp, cleanUp, travel, hours }: Pick<DayQuestion, 'setUp' | 'cleanUp' | 'travel' | 'hours'>,
  { outside }: Pick<Calendar, 'outside'>,
): Visit[] {
  const byDay = new Map<number, Stretch[]>()
  for (const task of tasks) {
    const day = dayOf(task.from)
    const known = byDay.get(day)
    if (known) known.push(task)
    else byDay.set(day, [task])
  }
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([day, all]) => {
      const first = Math.min(...all.map(({ from }) => from))
      const last = Math.max(...all.map(({ to }) => to))
      const spans = hours[day] ?? []
      const [leaves, comesBack] = [first - setUp - travel, last + cleanUp + travel]
      const busy: Stretch[] = [{ from: leaves, to: first }, { from: last, to: comesBack }, ...all]
      // Who is there before the hours or behind them waits there too, if nothing is done.
      const opens = spans[0]?.from ?? comesBack
      const closes = spans.at(-1)?.to ?? comesBack
      if (leaves < opens) busy.push({ from: leaves, to: Math.min(opens, comesBack) })
      if (comesBack > closes) busy.push({ from: Math.max(closes, leaves), to: comesBack })
      const overtime = unionOf(busy).reduce((sum, each) => sum + outside(each), 0)
      return { day, from: first - setUp, to: last + cleanUp, overtime }
    })
}

/** Stretches joined where they touch. */
export function unionOf(stretches: readonly Stretch[]): Stretch[] {
  const joined: Stretch[] = []
  for (const { from, to } of [...stretches].sort((a, b) => a.from - b.from)) {
    const last = joined.at(-1)
    if (last && from <= last.to) last.to = Math.max(last.to, to)
    else joined.push({ from, to })
  }
  return joined
}
