import { midnightIn } from '../../core/day/midnight'
import { dayPosts } from '../../core/day/posts'
import { dayQuestion } from '../../core/day/setup'
import type { DayQuestion } from '../../core/day/question'
import { plan } from '../../core/plan/plan'
import { resolveJob } from '../../core/resolve/resolve'
import { row } from '../../core/tables/tables'
import { HOUR_MS } from '../../core/weather/forecast'
import { simulatedHours } from '../../core/weather/simulated'
import type { DemoDay } from '../../data/demo/days'
import { tables } from '../../data/tables'

/** The day before, for the ground, and a week of forecast. */
const HOURS = 24 * 8

/** The question of a day that ships. */
export function questionOf({ job, setup, station, mood }: DemoDay): DayQuestion {
  const posts = dayPosts({ prefix: '', job, resolved: resolveJob(job, tables), plan: plan(job, tables) }, tables)
  const midnight = midnightIn(setup.first!)
  const hours = simulatedHours(row(tables.stations, station), midnight - 24 * HOUR_MS, HOURS, mood)
  return dayQuestion(posts, setup, { midnight, hours }, tables)
}
