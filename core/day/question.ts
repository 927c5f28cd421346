import type { SKILLS, TOOLS } from '../document/vocabulary'
import type { MetresPerSecond } from '../units/types'

/*
 * What a day plan is asked. Times are whole minutes from the midnight before the first day, in the zone of the site;
 * nights count, so that 1 500 is one in the night between the first and the second.
 */
export type DayMinute = number
export const DAY_MINUTES = 1_440
export const dayOf = (minute: DayMinute): number => Math.floor(minute / DAY_MINUTES)

export type Skill = (typeof SKILLS)[number]
export type Tool = (typeof TOOLS)[number]

export interface Person {
  id: string
  name: string
  skills: readonly Skill[]
}

/** From, up to but not with, to. */
export interface Stretch {
  from: DayMinute
  to: DayMinute
}

/** What the concrete of a pour has to carry, in minutes at 20 °C until it surely does. */
export type Milestones = Partial<Record<'props' | 'boards' | 'gate' | 'frostSafe' | 'form', number>>

export interface PourWork {
  /** With all of its hands; then one stays. */
  placing: number
  /** Minutes at 20 °C until it can no longer be moved. */
  works: number
  milestones: Milestones
}

export interface After {
  task: string
  /** From the end of that one to the start of this one, by the clock. */
  least: number
  most?: number
  /** And until what was poured there carries this. */
  milestone?: keyof Milestones
}

/** One piece of work, never broken off, with the same hands throughout. */
export interface Task {
  id: string
  /** Line and post, as `B/B4`; none of what is done once for all. */
  posts: readonly string[]
  step: string
  says: string
  /** Of a pour: what it takes at least. */
  minutes: number
  hands: number
  /** Everybody at it has all of these. */
  skills: readonly Skill[]
  tools: Partial<Record<Tool, number>>
  /** Kept from its start to the end of another task, nights included. */
  holds?: { tool: Tool; until: string }
  after: readonly After[]
  pour?: PourWork
  /** Leaves something loose until the end of another task. */
  loosens?: string
  /** Opens a hole that another task closes. */
  opens?: string
  /** May only begin within this. */
  window?: Stretch
  /** Opens its window: what was poured before the days carries this then. */
  ripens?: keyof Milestones
  /** Kept since before the first minute, to its end. */
  givesBack?: Tool
  /** Its hole stands open since before the first minute. */
  isOpen?: true
}

/** Of one hour. */
export interface DayWeather {
  temperature: number
  gust: MetresPerSecond
  rain: number
}

/** A task that somebody has set by hand. */
export interface Pin {
  task: string
  start: DayMinute
}

export interface DayQuestion {
  tasks: readonly Task[]
  crew: readonly Person[]
  tools: Partial<Record<Tool, number>>
  /** Working hours of each day, in order; a break is a gap between two. The plan has no more days than are given. */
  hours: readonly (readonly Stretch[])[]
  /** When a tool is there; always where none is given. */
  hires: Partial<Record<Tool, readonly Stretch[]>>
  /** Hour by hour from minute 0, and the air of the day before it, °C. */
  weather: readonly DayWeather[]
  before: readonly number[]
  setUp: number
  cleanUp: number
  /** Each way: paid, but no part of a visit. */
  travel: number
  /** Fresh concrete is shaded from the sun; covered against frost. */
  shaded: boolean
  covered: boolean
  pins: readonly Pin[]
}

export interface Placed {
  task: string
  start: DayMinute
  end: DayMinute
  /** Who does it; of a pour the first one stays until it can no longer be moved. */
  by: readonly string[]
}

export interface Visit extends Stretch {
  day: number
  overtime: number
}

export interface DayPlan {
  placed: Placed[]
  visits: Visit[]
  /** Holes that are covered for the night, by post and day. */
  covers: { post: string; day: number }[]
  /** What found no place, with the reason. */
  left: { task: string; why: string }[]
}

/** Outside of the working hours, a day. */
export const MOST_OVERTIME = 120
/** Over this nothing is cut loose; no pour starts in more rain, mm in an hour, or heat, °C. Working values. */
export const LOOSE_GUST: MetresPerSecond = 12
export const HARD_RAIN = 2
export const HOT = 30
