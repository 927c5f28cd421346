import { wrap } from 'comlink'
import { onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { NextPost } from '~~/core/record/nextToGo'
import type { GoWork } from './goWorker'

/** The posts of the line in the order in which they go, reckoned beside the screen and again after each edit. */
export function useNextToGo() {
  const session = useJobSession()
  const view = useJobView()
  const posts = shallowRef<NextPost[]>()
  const failure = ref('')
  let worker: Worker | undefined
  function stop(): void {
    worker?.terminate()
    worker = undefined
  }
  async function find(): Promise<void> {
    stop()
    failure.value = ''
    const [job, line] = [session.job, view.line.value?.id]
    if (!job || line === undefined) return
    const mine = new Worker(new URL('./goWorker.ts', import.meta.url), { type: 'module' })
    worker = mine
    mine.onerror = () => {
      failure.value = 'It could not be worked out on this device.'
      stop()
    }
    // Of a long record and of other lines nothing is asked.
    const { entries: _entries, visits: _visits, ...rest } = toRaw(job)
    try {
      const only = { ...rest, lines: rest.lines.filter(({ id }) => id === line) }
      const found = await wrap<GoWork>(mine).nextToGo(only, toRaw(view.tables.value), line)
      if (worker === mine) posts.value = found
    } catch {
      if (worker === mine) failure.value = 'It could not be worked out on this device.'
    }
    if (worker === mine) stop()
  }
  watch(() => [session.job?.lines, view.line.value?.id, view.tables.value], find, { immediate: true })
  onScopeDispose(stop)
  return { posts, failure }
}
