import type { DayPlan, DayQuestion, Placed, Task } from './question'

/*
 * Accepts or refuses any plan. It shares nothing with what makes plans but the words of the question: it adds up
 * concrete minute by minute and looks at every minute of every person and tool.
 */

export interface Breach {
  /** Of a kind, for whoever marks it. */
  rule:
    | 'missing'
    | 'unknown'
    | 'twice'
    | 'length'
    | 'hours'
    | 'overtime'
    | 'hands'
    | 'skills'
    | 'person'
    | 'tools'
    | 'hire'
    | 'held'
    | 'early'
    | 'late'
    | 'concrete'
    | 'window'
    | 'weather'
    | 'loose'
    | 'open'
    | 'visits'
  task?: string
  says: string
}

const OVERTIME = 120
const DAY = 1_440
const GAS = 8.314
const AT_20 = 293.15

/** Speed of hardening against 20 °C, from its own formula. */
function speed(celsius: number): number {
  if (celsius <= 0) return 0
  const energy = celsius >= 20 ? 33_500 : 33_500 + 1_470 * (20 - celsius)
  return Math.exp((energy / GAS) * (1 / AT_20 - 1 / (celsius + 273.15)))
}

/** Of the ground at an hour: the mean of the 24 that end with it; past the forecast that of its last day. */
function groundAt(question: DayQuestion): (hour: number) => number {
  const air = [...question.before, ...question.weather.map(({ temperature }) => temperature)]
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const known = question.weather.map((_hour, i) => {
    const at = question.before.length + i
    return mean(air.slice(Math.max(0, at - 23), at + 1))
  })
  const held = mean(known.slice(-24))
  return (hour) => known[hour] ?? held
}

/**
 * Everything that a plan breaks; nothing of a good one.
 *
 * @example breaches(question, plan) // [{ rule: 'tools', task: 'B/B7:pour', says: 'two mixers at 10:20, and one is there' }]
 */
export function breaches(question: DayQuestion, plan: DayPlan): Breach[] {
  const tasks = new Map(question.tasks.map((task) => [task.id, task]))
  const found: Breach[] = []
  const say = (rule: Breach['rule'], says: string, task?: string) =>
    found.push(task ? { rule, says, task } : { rule, says })

  const at = new Map<string, Placed>()
  for (const placed of plan.placed) {
    if (!tasks.has(placed.task)) say('unknown', `${placed.task} is no task of these days`)
    else if (at.has(placed.task)) say('twice', `${placed.task} lies there twice`, placed.task)
    else at.set(placed.task, placed)
  }
  const left = new Set(plan.left.map(({ task }) => task))
  for (const { id } of question.tasks) if (!at.has(id) && !left.has(id)) say('missing', `${id} lies nowhere`, id)

  const ground = groundAt(question)
  const speeds = new Map<number, number>()
  const speedAt = (hour: number): number => {
    const known = speeds.get(hour)
    if (known !== undefined) return known
    const fresh = speed(ground(hour))
    speeds.set(hour, fresh)
    return fresh
  }
  /** The first whole minute by which so much has hardened since. */
  const hardBy = (start: number, wanted: number): number => {
    let done = 0
    for (let minute = start; minute < start + 90 * DAY; minute++) {
      if (done >= wanted - 1e-7) return minute
      done += speedAt(Math.floor(minute / 60))
    }
    return Infinity
  }

  for (const [id, placed] of at) checkOne(tasks.get(id)!, placed)
  for (const task of question.tasks) if (task.isOpen) checkOpen(task, 1, at.get(task.id))
  checkPeople()
  checkTools()
  checkVisits()
  return found

  function checkOne(task: Task, { start, end, by }: Placed): void {
    const { id } = task
    const length = task.pour
      ? Math.max(task.minutes, task.pour.placing, hardBy(start, task.pour.works) - start)
      : task.minutes
    if (end - start !== length) say('length', `${id} takes ${length} min, not ${end - start}`, id)
    if (new Set(by).size !== task.hands || by.length !== task.hands) say('hands', `${id} wants ${task.hands}`, id)
    for (const name of by) {
      const person = question.crew.find((each) => each.id === name)
      if (!person) say('person', `${name} is not of the crew`, id)
      else if (!task.skills.every((skill) => person.skills.includes(skill)))
        say('skills', `${name} is not put to ${task.skills.join(', ')}`, id)
    }
    if (Math.floor(start / DAY) !== Math.floor((end - 1) / DAY)) say('hours', `${id} goes through the night`, id)
    if (task.window && (start < task.window.from || start > task.window.to))
      say('window', `${id} lies outside of its time`, id)
    for (const after of task.after) {
      const before = at.get(after.task)
      if (!before) {
        say('early', `${id} comes without ${after.task}`, id)
        continue
      }
      if (start < before.end + after.least) say('early', `${id} comes too soon behind ${after.task}`, id)
      if (after.most !== undefined && start > before.end + after.most)
        say('late', `${id} comes too late behind ${after.task}`, id)
      if (after.milestone) {
        const wanted = tasks.get(after.task)?.pour?.milestones[after.milestone]
        if (wanted === undefined || start < hardBy(before.start, wanted))
          say('concrete', `${id}: the concrete of ${after.task} is too green`, id)
      }
    }
    if (task.pour) checkPour(task, start)
    if (task.loosens !== undefined) checkLoose(task, start)
    if (task.opens !== undefined) checkOpen(task, end, at.get(task.opens))
  }

  function checkPour({ id, pour }: Task, start: number): void {
    const hour = question.weather[Math.floor(start / 60)]
    if (!hour) return
    if (hour.rain > 2) say('weather', `${id} starts in the rain`, id)
    if (hour.temperature > 30 && !question.shaded) say('weather', `${id} starts in the heat`, id)
    if (question.covered) return
    const wanted = pour!.milestones.frostSafe ?? pour!.milestones.props
    const until = wanted === undefined ? Infinity : hardBy(start, wanted)
    for (let h = Math.floor(start / 60); h < question.weather.length && h * 60 < until; h++)
      if (question.weather[h]!.temperature < 0)
        return void say('weather', `${id} freezes before it is strong enough`, id)
  }

  /** From the cut to what makes it fast again. */
  function checkLoose({ id, loosens }: Task, start: number): void {
    const fast = at.get(loosens!)
    const until = fast ? fast.end : question.hours.length * DAY
    for (let minute = start; minute < until; minute += 60 - (minute % 60))
      if ((question.weather[Math.floor(minute / 60)]?.gust ?? 0) > 12)
        return void say('loose', `${id} leaves it loose in the wind`, id)
  }

  function checkOpen({ id, posts }: Task, end: number, closed: Placed | undefined): void {
    const last = closed ? Math.floor(closed.start / DAY) : question.hours.length
    for (let day = Math.floor((end - 1) / DAY); day < last; day++)
      if (!plan.covers.some((cover) => cover.day === day && cover.post === (posts[0] ?? id)))
        say('open', `${id}: the hole stands open for the night`, id)
  }

  /** Of a pour all hands while it is placed, then the first alone. */
  function busyTo(task: Task, { start, end }: Placed, index: number): number {
    return task.pour && index > 0 ? Math.min(end, start + task.pour.placing) : end
  }
  function checkPeople(): void {
    for (const { id: name } of question.crew) {
      const busy = new Set<number>()
      for (const [id, placed] of at) {
        const index = placed.by.indexOf(name)
        if (index < 0) continue
        for (let minute = placed.start; minute < busyTo(tasks.get(id)!, placed, index); minute++) {
          if (busy.has(minute)) {
            say('person', `${name} is at two things at once`, id)
            break
          }
          busy.add(minute)
        }
      }
    }
  }

  function checkTools(): void {
    const names = new Set(
      question.tasks.flatMap(({ tools, holds, givesBack }) => [
        ...Object.keys(tools),
        ...(holds ? [holds.tool] : []),
        ...(givesBack ? [givesBack] : []),
      ]),
    )
    for (const tool of names as Set<keyof DayQuestion['tools']>) {
      const steps: { at: number; by: number; task: string }[] = question.tasks
        .filter(({ givesBack }) => givesBack === tool)
        .flatMap(({ id }) => [
          { at: 0, by: 1, task: id },
          { at: at.get(id)?.end ?? Infinity, by: -1, task: id },
        ])
      for (const [id, placed] of at) {
        const task = tasks.get(id)!
        const count = task.tools[tool] ?? 0
        if (count > 0) {
          const until =
            task.pour && tool !== 'level' ? Math.min(placed.end, placed.start + task.pour.placing) : placed.end
          steps.push({ at: placed.start, by: count, task: id }, { at: until, by: -count, task: id })
          const hires = question.hires[tool]
          if (hires && !hires.some(({ from, to }) => from <= placed.start && until <= to))
            say('hire', `${id}: the ${tool} is not here then`, id)
        }
        if (task.holds?.tool === tool) {
          const off = at.get(task.holds.until)
          if (off && off.end < placed.start) say('held', `${id} gives back what it has not taken`, id)
          steps.push({ at: placed.start, by: 1, task: id }, { at: off?.end ?? Infinity, by: -1, task: id })
        }
      }
      // What is given back at a minute can be taken at it.
      steps.sort((a, b) => a.at - b.at || a.by - b.by)
      let out = 0
      for (const step of steps) {
        out += step.by
        if (step.by > 0 && out > (question.tools[tool] ?? 0))
          say('tools', `more of ${tool} at once than there are`, step.task)
      }
    }
  }

  function checkVisits(): void {
    const days = [...new Set([...at.values()].map(({ start }) => Math.floor(start / DAY)))].sort((a, b) => a - b)
    if (days.join() !== plan.visits.map(({ day }) => day).join())
      return void say('visits', 'the visits are not those of its days')
    for (const visit of plan.visits) {
      const ofDay = [...at.values()].filter(({ start }) => Math.floor(start / DAY) === visit.day)
      const from = Math.min(...ofDay.map(({ start }) => start)) - question.setUp
      const to = Math.max(...ofDay.map(({ end }) => end)) + question.cleanUp
      if (from !== visit.from || to !== visit.to)
        say('visits', `the visit of day ${visit.day + 1} leaves out set-up or clean-up`)
      const spans = question.hours[visit.day] ?? []
      const isWork = (minute: number) => spans.some((span) => span.from <= minute && minute < span.to)
      const opens = spans[0]?.from ?? Infinity
      const closes = spans.at(-1)?.to ?? 0
      // Before the hours and behind them all of it counts, in a break what is done.
      const isBusy = (minute: number) =>
        minute < opens ||
        minute >= closes ||
        minute < from + question.setUp ||
        minute >= to - question.cleanUp ||
        ofDay.some(({ start, end }) => start <= minute && minute < end)
      let outside = 0
      for (let minute = from - question.travel; minute < to + question.travel; minute++)
        if (!isWork(minute) && isBusy(minute)) outside++
      if (outside > OVERTIME) say('overtime', `${outside} min outside of the hours on day ${visit.day + 1}`)
      if (outside !== visit.overtime)
        say('visits', `${visit.overtime} min of overtime are said on day ${visit.day + 1}, and it is ${outside}`)
      if (spans.length === 0) say('hours', `nobody works on day ${visit.day + 1}`)
    }
  }
}
