import { createSharedComposable, useLocalStorage } from '@vueuse/core'
import { wrap } from 'comlink'
import { computed, ref, shallowRef, toRaw } from 'vue'
import { timeNow } from '~/sync/clock'
import { useTables } from '~/yard/useYard'
import { drawCase, type Level } from '~~/core/practice/case'
import type { Seen } from '~~/core/practice/model'
import { missed, type Commitment, type PlayRecord, type Review } from '~~/core/practice/review'
import type { Minutes } from '~~/core/units/types'
import type { DrawnBy, PracticeWork } from './practiceWorker'

/** Minutes that may be spent on looking. A working value. */
export const PURSE: Minutes = 45
/** Plays that are kept on this device. */
const KEPT = 500

interface CaseInHand extends DrawnBy {
  seen: Seen
}

const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1

/** The case in hand, what was looked at, and how often it was right: kept on this device, wherever the screen goes. */
export const usePractice = createSharedComposable(() => {
  const tables = useTables()
  const history = useLocalStorage<PlayRecord[]>('vindex-practice', [])
  const inHand = useLocalStorage<CaseInHand>('vindex-practice-case', {
    seed: newSeed(),
    level: 'easy',
    leaning: [],
    seen: [],
  })
  const drawn = computed(() => drawCase(inHand.value.seed, inHand.value.level, tables.value, inHand.value.leaning))
  const spent = computed(() =>
    inHand.value.seen.reduce((sum, [check]) => sum + drawn.value.position.model.checks[check]!.minutes, 0),
  )

  const reviewed = shallowRef<Review>()
  const isReckoning = ref(false)
  const failure = ref('')

  function look(check: number): void {
    if (inHand.value.seen.some(([each]) => each === check)) return
    inHand.value = { ...inHand.value, seen: [...inHand.value.seen, [check, drawn.value.shows[check]!]] }
  }
  async function commit(commitment: Commitment): Promise<void> {
    isReckoning.value = true
    failure.value = ''
    const { seed, level, leaning, seen } = toRaw(inHand.value)
    const worker = new Worker(new URL('./practiceWorker.ts', import.meta.url), { type: 'module' })
    try {
      const asked = JSON.parse(JSON.stringify([{ seed, level, leaning }, seen, commitment])) as [
        DrawnBy,
        Seen,
        Commitment,
      ]
      const found = await wrap<PracticeWork>(worker).review(asked[0], toRaw(tables.value), asked[1], asked[2])
      reviewed.value = found
      const right = found.wasted === 0 && commitment.cause === found.truth
      history.value = [
        ...history.value.slice(1 - KEPT),
        {
          at: new Date(timeNow()).toISOString(),
          seed,
          level,
          truth: found.truth,
          said: commitment.cause,
          right,
          score: found.reckoning.score,
          mistakes: found.mistakes,
        },
      ]
    } catch {
      failure.value = 'It could not be worked out on this device.'
    }
    worker.terminate()
    isReckoning.value = false
  }
  function next(level: Level = inHand.value.level): void {
    reviewed.value = undefined
    inHand.value = { seed: newSeed(), level, leaning: missed(history.value), seen: [] }
  }
  return { tables, history, inHand, drawn, spent, reviewed, isReckoning, failure, look, commit, next }
})
