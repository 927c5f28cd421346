import type { Workspace } from '../workspace/workspace'
import { afterStorm, type FeltGust } from '../../core/record/visits'
import type { Lesson } from '../../core/record/lessons'
import { gustOfReturnPeriod } from '../../core/wind/returnPeriod'
import { HOUR_MS } from '../../core/weather/forecast'
import { tables } from '../../data/tables'
import type { LessonsAnswer, VisitWatch, WatchedVisit } from '../../shared/contract'
import { readForecast } from '../forecast/service'
import { bringUp, readStoredJob } from '../jobs/service'
import { inPool } from '../worker/pool'
import { tablesHere } from '../yard/service'
import * as record from './repository'

/** Visits are told so long before, and so many jobs are looked through. */
const TOLD_AHEAD = 14 * 24 * HOUR_MS
const WATCHED = 300
/** A storm is one that comes about once in so many years. */
const STORM_YEARS = 2
/** So far back gusts are asked for: whoever was not there for a year has to go anyway. */
const LOOKED_BACK = 365 * 24
/** Jobs whose lessons are drawn in one answer; those that are left come with the next. */
const DRAWN = 40
const LESSONS = 5_000

/** Jobs that somebody should go back to, the first due first. */
export async function readVisitWatch(workspace: Workspace, now: Date): Promise<VisitWatch> {
  await bringUp(workspace)
  const jobs = await record.dueJobs(workspace, new Date(now.getTime() + TOLD_AHEAD), WATCHED)
  const gusts = await gustsOf(jobs, now)
  const visits = jobs.flatMap(({ id, name, place, summary }): WatchedVisit[] => {
    const due = (summary.visits ?? []).filter((visit) => visit.due < now.getTime() + TOLD_AHEAD)
    const storm = gustOfReturnPeriod(STORM_YEARS, summary.gust50 ?? tables.defaults.gust50)
    const blown = place === undefined ? undefined : afterStorm(summary.watched ?? [], gusts.get(place) ?? [], storm)
    return [...due, ...(blown ? [blown] : [])].map(({ posts, due: at, why, open }) => ({
      jobId: id,
      job: name,
      posts: [...posts],
      due: new Date(at).toISOString(),
      why,
      ...(open && open.length > 0 ? { open: [...open] } : {}),
    }))
  })
  return { visits: visits.sort((a, b) => Date.parse(a.due) - Date.parse(b.due)) }
}

/** What was felt at each station since the first of its watched posts was looked at. */
async function gustsOf(jobs: readonly record.DueJob[], now: Date): Promise<Map<string, FeltGust[]>> {
  const since = new Map<string, number>()
  for (const { place, summary } of jobs)
    for (const watched of place === undefined ? [] : (summary.watched ?? []))
      since.set(place!, Math.min(since.get(place!) ?? Infinity, watched.since))
  const found = [...since].map(async ([place, from]): Promise<[string, FeltGust[]]> => {
    const back = Math.min(LOOKED_BACK, Math.ceil((now.getTime() - from) / HOUR_MS))
    if (back < 1) return [place, []]
    const start = new Date(now.getTime() - back * HOUR_MS).toISOString()
    const { hours } = await readForecast({ place, from: start, hours: String(back) }, now, false)
    return [place, hours.map(({ at, gust }) => ({ at: Date.parse(at), gust }))]
  })
  return new Map(await Promise.all(found))
}

/**
 * What jobs have taught, the newest first.
 *
 * @param person whose own pace is told by name; of others there is no name
 */
export async function readLessons(workspace: Workspace, person?: string): Promise<LessonsAnswer> {
  await bringUp(workspace)
  const { own } = await tablesHere(workspace)
  // What was learnt before would unlearn itself: drawn with what is shipped of these two.
  const { learnt: _figures, counted: _causes, ...without } = own
  for (const { id } of await record.untaughtJobs(workspace, DRAWN)) {
    const { document, version } = await readStoredJob(workspace, id)
    await record.writeLessons(
      workspace,
      id,
      version,
      await inPool(workspace.person?.id ?? workspace.id, 'lessonsOf', document, without),
    )
  }
  const lessons = await record.newestLessons(workspace, LESSONS)
  return { lessons: lessons.map((lesson) => nameless(lesson, person)) }
}

function nameless(lesson: Lesson, person: string | undefined): Lesson {
  if (lesson.kind === 'cause' || lesson.person === undefined || lesson.person === person) return lesson
  const { person: _name, ...rest } = lesson
  return rest
}
