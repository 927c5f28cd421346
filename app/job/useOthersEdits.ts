import { useDocumentVisibility, useEventSource, useIntervalFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import type { JobSession } from './session'

/** Between tries to take a stream up again, and between looks while there is none, ms. */
const RECONNECT = 3_000
const WITHOUT_STREAM = 10_000

/**
 * Takes what others do to the job that is open, within a second or two: the server streams the job's versions, and a
 * newer one than ours is read. Only for a page that is seen: a browser holds few streams, and a page that comes back
 * asks by itself.
 */
export function useOthersEdits({ id, version, waiting, refresh }: JobSession): void {
  const visibility = useDocumentVisibility()
  const isSeen = computed(() => visibility.value === 'visible')
  /** A job that was made here is not on the server yet. */
  const address = computed(() =>
    isSeen.value && version.value > 0 ? `/api/jobs/${encodeURIComponent(id)}/events` : undefined,
  )
  const { data, status } = useEventSource(address, [], { autoReconnect: { retries: -1, delay: RECONNECT } })
  const heard = computed(() => (data.value ? (JSON.parse(data.value) as { version: number }).version : 0))
  // What waits here goes out first: its answer says what others did meanwhile.
  const isBehind = computed(() => heard.value > version.value && waiting.value.length === 0)
  watch([isBehind, heard], () => isBehind.value && void refresh())
  useIntervalFn(() => isSeen.value && status.value !== 'OPEN' && void refresh(), WITHOUT_STREAM)
}
