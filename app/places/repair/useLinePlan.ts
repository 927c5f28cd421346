import { proxy, wrap } from 'comlink'
import { onScopeDispose, ref, shallowRef } from 'vue'
import type { LineChoice } from '~~/core/choose/waysOpen'
import type { LineGoal, LineLimits, LineOutcome } from '~~/core/choose/wholeLine'
import type { Minutes } from '~~/core/units/types'
import type { ChoiceWork } from './choiceWorker'

/** The plan of a whole line, made beside the screen: what is known so far, how far it is, and calling it off. */
export function useLinePlan() {
  const outcome = shallowRef<LineOutcome>()
  /** Share that is done; absent while nothing is at work. */
  const done = ref<number>()
  const failure = ref('')
  let worker: Worker | undefined

  function cancel(): void {
    worker?.terminate()
    worker = undefined
    done.value = undefined
  }
  /** What was found so far goes with the question that it answered. */
  function forget(): void {
    cancel()
    outcome.value = undefined
    failure.value = ''
  }

  async function start(choice: LineChoice, goal: LineGoal, limits: LineLimits, changeover: Minutes): Promise<void> {
    forget()
    done.value = 0
    const mine = new Worker(new URL('./choiceWorker.ts', import.meta.url), { type: 'module' })
    worker = mine
    const isMine = () => worker === mine
    mine.onerror = () => {
      failure.value = 'It could not be worked out on this device.'
      cancel()
    }
    const say = proxy((soFar: LineOutcome, share: number) => {
      if (!isMine()) return
      outcome.value = soFar
      done.value = share
    })
    try {
      const found = await wrap<ChoiceWork>(mine).plan([choice, goal, limits, changeover], say)
      if (isMine()) outcome.value = found
    } catch {
      if (isMine()) failure.value = 'It could not be worked out on this device.'
    }
    if (isMine()) cancel()
  }

  onScopeDispose(cancel)
  return { outcome, done, failure, start, cancel, forget }
}
