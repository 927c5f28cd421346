import { watchDebounced } from '@vueuse/core'
import { proxy, wrap } from 'comlink'
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { sharedByJob } from '~/job/sharedByJob'
import type { JobView } from '~/job/jobView'
import type { useJobSession } from '~/job/openJob'
import type { StandingYears } from '~~/core/survive/years'
import type { SurvivalWork } from './survivalWorker'

/** Of edits that follow one another only the last is reckoned. */
const PAUSE_MS = 250

function createSurvival(session: ReturnType<typeof useJobSession>, view: JobView) {
  const latest = shallowRef<StandingYears>()
  /** Share that is done; absent while nothing is at work. */
  const done = ref<number>()
  const failure = ref('')
  /** Somebody called it off; anything else goes on by itself. */
  const isStopped = ref(false)
  let worker: Worker | undefined

  function stop(): void {
    isStopped.value = true
    cancel()
  }
  function cancel(): void {
    worker?.terminate()
    worker = undefined
    done.value = undefined
  }
  async function reckon(): Promise<void> {
    cancel()
    failure.value = ''
    isStopped.value = false
    const [job, line, post] = [session.job, view.line.value?.id, view.postId.value]
    if (!job || line === undefined || !post) return
    done.value = 0
    const mine = new Worker(new URL('./survivalWorker.ts', import.meta.url), { type: 'module' })
    worker = mine
    const isMine = () => worker === mine
    mine.onerror = () => {
      failure.value = 'It could not be worked out on this device.'
      cancel()
    }
    const say = proxy((share: number) => {
      if (isMine()) done.value = share
    })
    // Of a long record and of other lines nothing is asked.
    const { entries: _entries, visits: _visits, ...rest } = toRaw(job)
    const only = { ...rest, lines: rest.lines.filter(({ id }) => id === line) }
    try {
      const found = await wrap<SurvivalWork>(mine).years(only, toRaw(view.tables.value), post, say)
      if (isMine()) latest.value = found
    } catch {
      if (isMine()) failure.value = 'It could not be worked out on this device.'
    }
    if (isMine()) cancel()
  }
  watchDebounced(
    () => [session.job?.lines, session.job?.site, view.line.value?.id, view.postId.value, view.tables.value],
    // What was called off stays so until somebody asks for it, or for another post.
    () => (isStopped.value ? undefined : reckon()),
    { debounce: PAUSE_MS, immediate: true },
  )
  watch(view.postId, () => (isStopped.value = false), { flush: 'sync' })
  onScopeDispose(cancel)
  return {
    /** Of the post in hand; what was found of another one is none of its. */
    years: computed(() => {
      const found = latest.value
      return found?.line === view.line.value?.id && found?.post === view.postId.value ? found : undefined
    }),
    done,
    failure,
    isStopped,
    stop,
    again: reckon,
  }
}

/** How long each way to mend the post in hand stands: reckoned once for all that show it, and again after an edit. */
export const useSurvival = sharedByJob(createSurvival)
