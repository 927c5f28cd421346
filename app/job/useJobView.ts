import { computed, ref, watch } from 'vue'
import { useRouter } from '#imports'
import { createSharedComposable } from '@vueuse/core'
import { resolveJob, type ResolvedLine, type ResolvedPost } from '~~/core/resolve/resolve'
import { planner } from '~~/core/plan/plan'
import type { MethodPlan, PostPlan } from '~~/core/plan/types'
import { tables } from '~~/data/tables'
import { useJobStore } from './store'

const planJob = planner(tables)
/** What a post is, is asked in Walk. */
const FACTS = ['material', 'duty', 'ageYears']
const AS_IT_STANDS = ['walk', 'look', 'cause']

/**
 * The chosen post with its line and figures, for every place of the work. The choice stands in
 * the address, so that it survives a reload and can be handed on.
 */
export const useJobView = createSharedComposable(() => {
  const store = useJobStore()
  const router = useRouter()
  const route = router.currentRoute

  const resolved = computed(() => store.job && resolveJob(store.job, tables))
  const plan = computed(() => store.job && planJob(store.job))

  const posts = computed(
    () => resolved.value?.lines.flatMap((line) => line.posts.map((post) => ({ line, post }))) ?? [],
  )
  /** Set at once: two quick steps must not both start from the address, which follows later. */
  const chosenId = ref<unknown>()
  watch([() => route.value.params.id, () => route.value.query.post], () => (chosenId.value = route.value.query.post), {
    immediate: true,
  })
  const index = computed(() =>
    Math.max(
      0,
      posts.value.findIndex(({ post }) => post.id === chosenId.value),
    ),
  )
  const line = computed<ResolvedLine | undefined>(() => posts.value[index.value]?.line)
  const post = computed<ResolvedPost | undefined>(() => posts.value[index.value]?.post)
  const postPlan = computed<PostPlan | undefined>(() => plan.value?.posts[index.value])
  const assumed = computed(
    () => plan.value?.assumed.filter((each) => each.post === null || each.post === post.value?.id) ?? [],
  )

  /** A method looked at but not yet taken. */
  const previewed = ref<string>()
  /** Looked at, else taken, else the one that would be proposed. */
  const methodInHand = computed<MethodPlan | undefined>(() => {
    const wanted = previewed.value ?? postPlan.value?.recommended.method
    return postPlan.value?.methods.find((method) => method.method === wanted)
  })
  /** What the drawing shows of it: before the choice of a repair the post is drawn as it stands. */
  const drawnMethod = computed(() =>
    AS_IT_STANDS.includes(String(route.value.params.place)) ? undefined : methodInHand.value,
  )
  watch(
    () => post.value?.id,
    () => (previewed.value = undefined),
  )

  function choose(id: string): void {
    chosenId.value = id
    void router.replace({ query: { ...route.value.query, post: id } })
  }
  function walk(by: number): void {
    const next = posts.value[Math.min(posts.value.length - 1, Math.max(0, index.value + by))]
    if (next) choose(next.post.id)
  }
  function goTo(place: string): void {
    void router.push({ path: `/jobs/${store.id}/${place}`, query: { ...route.value.query, post: post.value?.id } })
  }

  /** A reading that somebody wants to see or make; Look brings it into sight. */
  const asked = ref<string>()
  function ask(observation: string): void {
    const fact = FACTS.includes(observation)
    asked.value = fact ? undefined : observation
    goTo(fact ? 'walk' : 'look')
  }

  /** Where commands on the chosen post go. */
  const address = computed(() => ({ line: line.value?.id ?? '', post: post.value?.id ?? '' }))

  return {
    plan,
    posts,
    index,
    line,
    post,
    postPlan,
    assumed,
    previewed,
    methodInHand,
    drawnMethod,
    asked,
    ask,
    address,
    choose,
    walk,
    goTo,
  }
})
