import { createSharedComposable, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** A step of the first walk: the place, and what to see and do there. */
export interface WalkStep {
  place: string
  says: string
}

/** The demo job that the walk goes through, and the post in it. */
export const WALKED_JOB = 'Bank side after the March storm'
export const WALKED_POST = 'B7'

export const WALK_STEPS: readonly WalkStep[] = [
  {
    place: 'walk',
    says: 'The line, every post as it was measured. B7 is in the middle: ‹ and › or the strip above go on to the next.',
  },
  {
    place: 'look',
    says: 'What was seen at B7, in drawings to tap: it turns at the ground line. What nobody looked at is left out.',
  },
  {
    place: 'cause',
    says: 'What failed, with what speaks for it and against it, and the next look that would tell most.',
  },
  {
    place: 'repair',
    says: 'Every way to mend it on one scale: the gust from which it leans and goes over. Tap one, then take it.',
  },
  {
    place: 'hole',
    says: 'How deep, how wide, how many bags. Pull at the grips in the drawing and watch what it holds.',
  },
  {
    place: 'pour',
    says: 'On the day the clock starts when the water goes on: how long the post can still be moved, when props come off.',
  },
  {
    place: 'record',
    says: 'The page for the customer, and what is still missing before it is signed off. That was all: make a job of your own.',
  },
]

interface Walked {
  /** Of the job that is walked through. */
  job?: string
  step: number
  /** Taken to its end, or left: it is not offered again. */
  done: boolean
}

/** The first walk through one post: offered once, left at any time, kept on this device. */
export const useFirstWalk = createSharedComposable(() => {
  const walked = useLocalStorage<Walked>('vindex-first-walk', { step: 0, done: false })
  const isOn = computed(() => walked.value.job !== undefined && !walked.value.done)
  return {
    isOn,
    isOffered: computed(() => walked.value.job === undefined && !walked.value.done),
    job: computed(() => walked.value.job),
    step: computed(() => Math.min(walked.value.step, WALK_STEPS.length - 1)),
    start: (job: string) => (walked.value = { job, step: 0, done: false }),
    go: (step: number) => (walked.value = { ...walked.value, step }),
    leave: () => (walked.value = { step: 0, done: true }),
  }
})
