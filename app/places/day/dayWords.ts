import type { Binding } from '~~/core/day/binds'
import type { Breach } from '~~/core/day/check'
import type { Saving } from '~~/core/day/saves'
import type { DayGoal } from '~~/core/day/goal'
import { DAY_MINUTES, dayOf, type DayMinute, type DayQuestion, type Tool } from '~~/core/day/question'
import { MINUTE_MS, type Moment } from '~~/core/weather/forecast'
import { nameOf } from './model/dayModel'

/* What a plan of days says, in words. */

/** @example dayWords(midnight of a Friday, 1_500, 'UTC') // 'Sat 28 Nov' */
export function dayWords(midnight: Moment, minute: DayMinute, timeZone: string): string {
  // Noon: whatever the clocks were changed by that night, it is that day.
  const noon = midnight + (dayOf(minute) * DAY_MINUTES + DAY_MINUTES / 2) * MINUTE_MS
  return new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone })
    .format(noon)
    .replace(',', '')
}

/** @example minutesWords(95) // '1 h 35' */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** Post and work of a task. @example taskWords(question, 'B/B4:pour') // 'B4, pour' */
export function taskWords({ tasks }: Pick<DayQuestion, 'tasks'>, id: string): string {
  const task = tasks.find((each) => each.id === id)
  if (!task) return id
  const [post] = task.posts
  return post === undefined ? task.says : `${nameOf(post)}, ${task.says}`
}

const TOOL_WORDS: Record<Tool, string> = {
  props: 'a set of props',
  level: 'a level',
  mixer: 'a mixer',
  breaker: 'a breaker',
  auger: 'an auger',
}
export const TOOL_NAMES: Record<Tool, string> = {
  props: 'Sets of props',
  level: 'Levels',
  mixer: 'Mixers',
  breaker: 'Breakers',
  auger: 'Augers',
}

/** One link of the chain that decides the end. */
export function bindingWords(question: DayQuestion, { task, because, of, tool }: Binding): string {
  const what = taskWords(question, task)
  const before = of === undefined ? '' : taskWords(question, of)
  switch (because) {
    case 'concrete':
      return `${what}: the concrete of ${nameOf(of!.split(':')[0]!)} has to harden`
    case 'work':
      return `${what}: behind ${before}`
    case 'hands':
      return `${what}: everybody who can is at ${before} until then`
    case 'tool':
      return `${what}: ${TOOL_WORDS[tool!]} is taken until ${before} is done`
    case 'weather':
      return `${what}: the weather lets nobody begin sooner`
    case 'night':
      return `${what}: with the next day’s hours, behind ${before}`
    case 'break':
      return `${what}: after the break, behind ${before}`
    case 'start':
      return `${what}: at the start`
    case 'poured':
      return `${what}: what was poured there has to harden`
    case 'set-by-hand':
      return `${what}: set by hand`
  }
}

/** What one thing more saves. */
export function savingWords({ more, goal }: Saving, now: DayGoal): string {
  const what =
    more === 'hand' ? 'One more hand' : more === 'hour' ? 'An hour more a day' : `${upper(TOOL_WORDS[more])} more`
  const days = now.lastDay - goal.lastDay
  if (days > 0) return `${what}: done ${days} ${days === 1 ? 'day' : 'days'} sooner`
  const visits = now.visits - goal.visits
  if (visits > 0) return `${what}: ${visits} ${visits === 1 ? 'visit' : 'visits'} fewer`
  const overtime = now.overtime - goal.overtime
  if (overtime > 0) return `${what}: ${minutesWords(overtime)} of overtime less`
  return `${what}: home ${minutesWords(now.end - goal.end)} sooner on the last day`
}
const upper = (words: string) => words.replace(/^an? /, 'One ').replace(/^./, (letter) => letter.toUpperCase())

/** What a plan breaks, without the names that only the program knows. */
export const breachWords = (question: DayQuestion, { says }: Pick<Breach, 'says'>): string =>
  question.tasks.reduce((words, { id }) => words.replaceAll(id, taskWords(question, id)), says)
