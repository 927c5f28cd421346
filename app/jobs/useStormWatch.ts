import { onMounted, ref, shallowRef } from 'vue'
import { useIntervalFn } from '@vueuse/core'
import { api } from '~/sync/api'
import { timeNow } from '~/sync/clock'
import { storage } from '~/sync/device'
import { mood } from '~/weather/useForecast'
import { planner } from '~~/core/plan/plan'
import { resolveJob } from '~~/core/resolve/resolve'
import { exposedPosts, stormWatch } from '~~/core/storm/watch'
import { useTables } from '~/yard/useYard'
import type { Tables } from '~~/core/tables/tables'
import type { StormJob } from '~~/shared/contract'

/** Asked anew so often, ms. */
const AGAIN = 15 * 60_000

/** What the wind may bring down: as the server sees it; without a signal as this device does, from what it has. */
export function useStormWatch() {
  const tables = useTables()
  const jobs = shallowRef<StormJob[]>([])
  /** The age of the forecasts counts: the server was not reached. */
  const isOwn = ref(false)
  const isAnswered = ref(false)

  async function load(): Promise<void> {
    try {
      jobs.value = (await api.stormWatch(mood.value || undefined)).jobs
      isOwn.value = false
    } catch {
      jobs.value = await ownWatch(tables.value)
      isOwn.value = true
    }
    isAnswered.value = true
  }
  onMounted(load)
  useIntervalFn(() => void load(), AGAIN)
  return { jobs, isOwn, isAnswered, load }
}

async function ownWatch(tables: Tables): Promise<StormJob[]> {
  const [kept, forecasts] = await storage.keep(() => Promise.all([storage.jobs.toArray(), storage.forecasts.toArray()]))
  const byPlace = new Map(forecasts.map(({ place, forecast }) => [place, forecast]))
  const plan = planner(tables)
  return kept
    .flatMap(({ id, job }): StormJob[] => {
      const forecast = byPlace.get(job.site?.place ?? '')
      if (!forecast) return []
      const resolved = resolveJob(job, tables)
      const posts = stormWatch(exposedPosts(job, resolved, plan(job, resolved), tables), forecast, timeNow(), tables)
      return posts.length > 0 ? [{ id, name: job.name, posts }] : []
    })
    .sort((a, b) => b.posts[0]!.chance - a.posts[0]!.chance)
}
