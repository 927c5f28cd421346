import type { Workspace } from '../workspace/workspace'
import { stormWatch, type ExposedPost } from '../../core/storm/watch'
import { HOUR_MS } from '../../core/weather/forecast'
import type { StormAnswer, StormJob } from '../../shared/contract'
import { readForecast } from '../forecast/service'
import { readStoredJob } from '../jobs/service'
import { inPool } from '../worker/pool'
import { tablesHere } from '../yard/service'
import { placedJobs } from './repository'

/** So many jobs are watched, those written last first; and so many are remembered as they were planned. */
const WATCHED = 300
const KEPT = 400
/** Two days back for the ground, four days ahead. */
const BACK = 48
const HOURS = BACK + 96

type Here = Awaited<ReturnType<typeof tablesHere>>

/** What a version of a job exposes, by a version of the yard, is always the same: a server keeps it, and works it out anew after a restart. */
const known = new Map<string, ExposedPost[]>()

/**
 * Every job with a station and its posts that may go over within four days, the likeliest first.
 *
 * @param mood for trying
 */
export async function readStormWatch(
  workspace: Workspace,
  now: Date,
  mood: string | undefined,
  isForTrying: boolean,
): Promise<StormAnswer> {
  const [jobs, here] = await Promise.all([placedJobs(workspace, WATCHED), tablesHere(workspace)])
  const from = new Date(now.getTime() - BACK * HOUR_MS).toISOString()
  const places = [...new Set(jobs.map(({ place }) => place))]
  const forecasts = new Map(
    await Promise.all(
      places.map(async (place) => {
        const query = { place, from, hours: String(HOURS), ...(mood === undefined ? {} : { mood }) }
        return [place, await readForecast(query, now, isForTrying)] as const
      }),
    ),
  )
  const found: StormJob[] = []
  for (const { id, name, version, place } of jobs) {
    const posts = stormWatch(
      await exposed(workspace, id, version, here),
      forecasts.get(place)!,
      now.getTime(),
      here.tables,
    )
    if (posts.length > 0) found.push({ id, name, posts })
  }
  return { jobs: found.sort((a, b) => b.posts[0]!.chance - a.posts[0]!.chance) }
}

async function exposed(workspace: Workspace, id: string, version: number, here: Here): Promise<ExposedPost[]> {
  const key = `${id} ${version} ${here.version}`
  const before = known.get(key)
  if (before) return before
  const { document } = await readStoredJob(workspace, id)
  const fresh = await inPool(workspace.person?.id ?? workspace.id, 'exposedPosts', document, here.own)
  known.set(key, fresh)
  if (known.size > KEPT) known.delete(known.keys().next().value!)
  return fresh
}
