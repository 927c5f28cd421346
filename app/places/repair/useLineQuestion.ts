import { computed, ref } from 'vue'
import { lineChoice } from '~~/core/choose/waysOpen'
import type { LineGoal, LineLimits } from '~~/core/choose/wholeLine'
import { useJobView } from '~/job/openJob'

/** What is asked of the whole line: its posts and ways, what shall be least, and what there is not more of. */
export function useLineQuestion() {
  const view = useJobView()
  const goal = ref<LineGoal>('work')
  const minutes = ref<number>()
  const carried = ref<number>()
  /** Ways of working at most; 0 for as many as it takes. */
  const ways = ref(0)
  const alike = ref<string[]>([])
  const withoutBreaker = ref(false)
  const keepsChosen = ref(true)

  const line = computed(() => view.line.value!)
  const chosen = computed(
    () => new Map(line.value.posts.flatMap(({ id, repair }) => (repair?.method ? [[id, repair.method] as const] : []))),
  )
  const choice = computed(() =>
    lineChoice(view.plan.value!, line.value.id, view.tables.value, keepsChosen.value ? chosen.value : undefined),
  )
  const posts = computed(() => choice.value.posts.map(({ post }) => post))
  const limits = computed<LineLimits>(() => ({
    ...(minutes.value === undefined ? {} : { minutes: minutes.value }),
    ...(carried.value === undefined ? {} : { carried: carried.value }),
    ...(ways.value > 0 ? { ways: ways.value } : {}),
    ...(alike.value.length > 1 ? { alike: [[...alike.value]] } : {}),
    ...(withoutBreaker.value ? { withoutBreaker: true } : {}),
  }))
  return { goal, minutes, carried, ways, alike, withoutBreaker, keepsChosen, line, chosen, choice, posts, limits }
}
