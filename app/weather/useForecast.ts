import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { promiseTimeout, useEventListener, useIntervalFn, useLocalStorage } from '@vueuse/core'
import { api } from '~/sync/api'
import { timeNow } from '~/sync/clock'
import { storage } from '~/sync/device'
import { plain, type KeptForecast } from '~/sync/storage'
import { HOUR_MS, type Forecast } from '~~/core/weather/forecast'
import type { Mood } from '~~/core/weather/simulated'

/** Two days back, for the ground's mean and for what is wet already; a week ahead. */
const BACK = 48
const HOURS = BACK + 7 * 24
/** Asked for again so often, and sooner after it was not to be had, ms. */
const AGAIN = 15 * 60_000
const SOON = 60_000
/** Longer than this nobody is kept for the newest, ms. */
const A_MOMENT = 4_000

/** The weather that is tried out with the demo, on this device. */
export const mood = useLocalStorage<Mood | ''>('vindex-weather-mood', '')

/** The last good one of a station, wherever it is shown. */
const known = shallowRef<ReadonlyMap<string, KeptForecast>>(new Map())
const put = (kept: KeptForecast) => (known.value = new Map(known.value).set(kept.place, kept))

/** Several that show one station at once ask for it once. */
const underWay = new Map<string, Promise<Forecast>>()
function read(station: string): Promise<Forecast> {
  const key = `${station} ${mood.value}`
  const asked = underWay.get(key)
  if (asked) return asked
  const from = new Date(timeNow() - BACK * HOUR_MS).toISOString()
  const fresh = api.readForecast(station, from, HOURS, mood.value || undefined).finally(() => underWay.delete(key))
  underWay.set(key, fresh)
  return fresh
}

/**
 * The forecast of a station, as last heard: nothing waits for it, and nothing is lost where it does not come.
 *
 * @param place nothing where nobody has said which station
 */
export function useForecast(place: () => string | undefined) {
  const failure = ref('')
  let asked = 0
  let lastAsked: Promise<void> = Promise.resolve()
  let again: ReturnType<typeof setTimeout> | undefined

  const kept = computed(() => known.value.get(place() ?? ''))
  const forecast = computed<Forecast | undefined>(() => kept.value?.forecast)

  const refresh = () => (lastAsked = ask())
  async function ask(): Promise<void> {
    const station = place()
    if (station === undefined) return
    const mine = ++asked
    clearTimeout(again)
    if (!known.value.has(station)) {
      const before = await storage.keep(() => storage.forecasts.get(station))
      if (before && !known.value.has(station)) put(before)
    }
    try {
      const said = await read(station)
      put({ place: station, heardAt: timeNow(), forecast: said })
      await storage.keep(() => storage.forecasts.put(plain(known.value.get(station)!)))
      if (mine === asked) failure.value = ''
    } catch (error) {
      if (mine !== asked) return
      failure.value = (error as Error).message
      again = setTimeout(() => void refresh(), SOON)
    }
  }
  watch([place, mood], () => void refresh(), { immediate: true })
  useEventListener('online', refresh)
  useIntervalFn(() => void refresh(), AGAIN)
  onScopeDispose(() => clearTimeout(again))

  /** For what is worth a moment more with the newest: the answer that is on its way, but never longer than that. */
  const newest = (): Promise<void> => Promise.race([lastAsked, promiseTimeout(A_MOMENT)])
  return { forecast, heardAt: computed(() => kept.value?.heardAt), failure, refresh, newest }
}
