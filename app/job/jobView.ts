import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { useRouter } from '#imports'
import type { Job } from '~~/core/document/job'
import { applyCommands } from '~~/core/edit/apply'
import type { Command } from '~~/core/edit/commands'
import { methodDetail } from '~~/core/plan/detail'
import { planner } from '~~/core/plan/plan'
import type { MethodPlan, PostPlan } from '~~/core/plan/types'
import { whereWorkStands } from '~~/core/record/whereWorkStands'
import { jobResolver, type ResolvedLine, type ResolvedPost } from '~~/core/resolve/resolve'
import type { Tables } from '~~/core/tables/tables'
import type { JobSession } from './session'

/** What a post is, is asked in Walk. */
const FACTS = ['material', 'duty', 'ageYears']

/**
 * The chosen post of an open job with its line and figures, for every place of the work. The choice stands in the
 * address, so that it survives a reload and can be handed on.
 */
export function createJobView(
  session: Pick<JobSession, 'id' | 'job' | 'renamed'>,
  tables: Ref<Tables>,
  showsRepair: () => boolean,
) {
  const router = useRouter()
  const route = router.currentRoute
  /** What is planned in feet and inches has holes on the inch: each has a planner of its own. */
  const planJob = computed(() => planner(tables.value))

  /** Edits that are only tried, while something is pulled: planned and drawn, kept when it is let go. */
  const tried = shallowRef<readonly Command[]>([])
  function tryOut(commands: readonly Command[]): void {
    if (commands.length > 0 || tried.value.length > 0) tried.value = commands
  }
  const isTrying = computed(() => tried.value.length > 0)
  const job = computed(() => session.job.value && withTried(session.job.value, tried.value))

  const resolve = computed(() => jobResolver(tables.value))
  const resolved = computed(() => job.value && resolve.value(job.value))
  const plan = computed(() => job.value && planJob.value(job.value, resolved.value))

  /** As it is kept: what a pull does not change is not drawn anew. */
  const kept = computed(() => session.job.value && resolve.value(session.job.value))
  const lineId = computed(() => line.value?.id)
  const keptLine = computed(() => kept.value?.lines.find(({ id }) => id === lineId.value))
  const site = computed(() => resolved.value?.site)
  const posts = computed(
    () => resolved.value?.lines.flatMap((line) => line.posts.map((post) => ({ line, post }))) ?? [],
  )
  /** Set at once: two quick steps must not both start from the address, which follows later. */
  const chosenId = ref<unknown>()
  let underWay = 0
  watch(
    () => [route.value.params.id, route.value.query.post] as const,
    // The address of another job does not speak of a post of this one; one that is on its way is behind the choice.
    ([id, wanted]) => {
      if (id === session.id && underWay === 0) chosenId.value = wanted
    },
    { immediate: true, flush: 'sync' },
  )
  /** A job opens where work stands; once it is open, nothing but a choice goes to another post. */
  const opensAt = ref(0)
  watch(
    plan,
    (now, before) => {
      if (now && !before) opensAt.value = whereWorkStands(job.value!, now)
    },
    { immediate: true, flush: 'sync' },
  )
  const index = computed(() => {
    const found = posts.value.findIndex(({ post }) => post.id === chosenId.value)
    return found >= 0 ? found : Math.min(opensAt.value, Math.max(0, posts.value.length - 1))
  })
  // The post that is looked at is the same one under its new name.
  watch(session.renamed, (names) => {
    const name = names.get(String(chosenId.value))
    if (name !== undefined) choose(name)
  })
  const line = computed<ResolvedLine | undefined>(() => posts.value[index.value]?.line)
  const post = computed<ResolvedPost | undefined>(() => posts.value[index.value]?.post)
  /** Stays the same while only its facts change. */
  const postId = computed(() => post.value?.id)
  const postPlan = computed<PostPlan | undefined>(() => plan.value?.posts[index.value])
  /** What is asked of its repairs. */
  const target = computed(() => postPlan.value?.target ?? plan.value!.target)
  const assumed = computed(
    () => plan.value?.assumed.filter((each) => each.post === null || each.post === postId.value) ?? [],
  )

  /** A method looked at but not yet taken. */
  const previewed = ref<string>()
  const taken = computed(() => post.value?.repair?.method)
  const methodInHand = computed<MethodPlan | undefined>(() => {
    const wanted = previewed.value ?? taken.value ?? postPlan.value?.recommended?.method
    return postPlan.value?.methods.find((method) => method.method === wanted)
  })
  /** Nothing is proposed here, and nobody chose a repair: what there is may be looked at all the same. */
  const isAskedForRepair = computed(() => methodInHand.value !== undefined)
  /** What only one screen wants of it: steps, parts and what stands where. */
  const detail = computed(() => {
    const method = methodInHand.value
    return job.value && post.value && method
      ? methodDetail(job.value, tables.value, post.value.id, method.method, undefined, resolved.value)
      : undefined
  })
  /** What the drawing shows of it: before the choice of a repair the post is drawn as it stands. */
  const drawnRepair = computed(() => {
    const method = methodInHand.value
    if (!method || !detail.value || !showsRepair()) return undefined
    return { method, stands: detail.value.stands, weakest: method.links.find(({ link }) => link === method.weakest) }
  })
  watch(
    () => post.value?.id,
    () => (previewed.value = undefined),
  )

  /** One after the other: a post chosen while another place is on its way there must not call that off. */
  let going: Promise<unknown> = Promise.resolve()
  function go(step: () => Promise<unknown>): void {
    underWay++
    going = going.then(step, step).finally(() => underWay--)
  }
  function choose(id: string): void {
    chosenId.value = id
    go(() => router.replace({ query: { ...route.value.query, post: id } }))
  }
  function walk(by: number): void {
    const next = posts.value[Math.min(posts.value.length - 1, Math.max(0, index.value + by))]
    if (next) choose(next.post.id)
  }
  /** @param part of the place, where it has several */
  function goTo(place: string, part?: string): void {
    const query = { ...route.value.query, post: post.value?.id, ...(part === undefined ? {} : { part }) }
    go(() => router.push({ path: `/jobs/${session.id}/${place}`, query }))
  }

  /** A reading or a fact that somebody wants to see or give; its place brings it into sight. */
  const asked = ref<string>()
  function ask(observation: string): void {
    if (FACTS.includes(observation)) return askFact(observation)
    asked.value = observation
    goTo('look')
  }
  function askFact(key: string): void {
    asked.value = key
    goTo('walk')
  }

  /** Where commands on the chosen post go. */
  const address = computed(() => ({ line: line.value?.id ?? '', post: post.value?.id ?? '' }))

  return {
    tables,
    plan,
    posts,
    index,
    line,
    keptLine,
    post,
    postId,
    postPlan,
    assumed,
    previewed,
    taken,
    methodInHand,
    isAskedForRepair,
    detail,
    drawnRepair,
    site,
    job,
    resolved,
    tryOut,
    isTrying,
    target,
    asked,
    ask,
    askFact,
    address,
    choose,
    walk,
    goTo,
  }
}
function withTried(job: Job, commands: readonly Command[]): Job {
  return commands.length > 0 ? applyCommands(job, commands) : job
}

export type JobView = ReturnType<typeof createJobView>
