import { proxy, wrap, type Remote } from 'comlink'
import { onScopeDispose, ref, shallowRef } from 'vue'
import type { DayGoal } from '~~/core/day/goal'
import type { DayQuestion } from '~~/core/day/question'
import type { Saving } from '~~/core/day/saves'
import { USUAL_EFFORT } from '~~/core/day/search'
import type { BoundPlan, DayWork } from './dayWorker'

/** What one thing more would save is asked so often; less is done for each. */
const QUICK = { ...USUAL_EFFORT, rounds: 40 }

/** The planner at work beside the screen: how far it is, calling it off, and what it found. */
export function useDayWork() {
  /** Share that is done; absent while nothing is at work. */
  const done = ref<number>()
  const doing = ref<'plan' | 'saves'>('plan')
  const failure = ref('')
  const saves = shallowRef<Saving[]>()
  let worker: Worker | undefined

  function cancel(): void {
    worker?.terminate()
    worker = undefined
    done.value = undefined
  }

  async function run<T>(what: typeof doing.value, task: (work: Remote<DayWork>) => Promise<T>): Promise<T | undefined> {
    cancel()
    failure.value = ''
    doing.value = what
    done.value = 0
    const mine = new Worker(new URL('./dayWorker.ts', import.meta.url), { type: 'module' })
    worker = mine
    try {
      const found = await new Promise<T>((resolve, reject) => {
        mine.onerror = () => reject(new Error('It could not be worked out on this device.'))
        task(wrap<DayWork>(mine)).then(resolve, reject)
      })
      return worker === mine ? found : undefined
    } catch (error) {
      if (worker === mine) failure.value = (error as Error).message
      return undefined
    } finally {
      if (worker === mine) cancel()
    }
  }
  /**
   * Waits for what the work needs, shown as the beginning of it.
   *
   * @returns whether it is still wanted
   */
  async function waitFor(need: Promise<unknown>): Promise<boolean> {
    cancel()
    doing.value = 'plan'
    done.value = 0
    await need
    const isWanted = done.value !== undefined
    done.value = undefined
    return isWanted
  }
  const tell = (share: number) => {
    if (worker) done.value = share
  }

  const plan = (question: DayQuestion): Promise<BoundPlan | undefined> =>
    run('plan', (work) =>
      work.plan(
        question,
        USUAL_EFFORT,
        proxy((_best, share: number) => tell(share)),
      ),
    )
  async function askSaves(question: DayQuestion, now: DayGoal): Promise<void> {
    saves.value = undefined
    saves.value = await run('saves', (work) => work.saves(question, now, QUICK, proxy(tell)))
  }

  onScopeDispose(cancel)
  return { done, doing, failure, saves, waitFor, plan, askSaves, cancel }
}
