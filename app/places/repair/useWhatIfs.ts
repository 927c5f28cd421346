import { wrap } from 'comlink'
import { onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import type { WhatIf } from '~~/core/choose/whatIf'
import { useJobSession, useJobView } from '~/job/openJob'
import type { ChoiceWork } from './choiceWorker'

/** What the choice hangs on, found beside the screen for the post that is looked at, and again after each edit. */
export function useWhatIfs() {
  const session = useJobSession()
  const view = useJobView()
  const found = shallowRef<readonly WhatIf[]>()
  const failure = ref('')
  let worker: Worker | undefined
  function stop(): void {
    worker?.terminate()
    worker = undefined
  }
  async function find(): Promise<void> {
    stop()
    found.value = undefined
    failure.value = ''
    const [job, post] = [session.job, view.post.value?.id]
    if (!job || post === undefined) return
    const mine = new Worker(new URL('./choiceWorker.ts', import.meta.url), { type: 'module' })
    worker = mine
    mine.onerror = () => {
      failure.value = 'It could not be worked out on this device.'
      stop()
    }
    try {
      const answer = await wrap<ChoiceWork>(mine).whatIfs(toRaw(job), post, toRaw(view.tables.value))
      if (worker === mine) found.value = answer ?? []
    } catch {
      if (worker === mine) failure.value = 'It could not be worked out on this device.'
    }
    if (worker === mine) stop()
  }
  watch(() => [session.job, view.post.value?.id, view.tables.value], find, { immediate: true })
  onScopeDispose(stop)
  return { found, failure }
}
