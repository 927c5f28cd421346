import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { holeBench } from '~~/core/hole/bench'

/** The hole of the method in hand, to be tried in other sizes: as it is pulled, and as it is kept. */
export function useHoleBench() {
  const session = useJobSession()
  const view = useJobView()
  const method = computed(() => view.methodInHand.value?.method)
  const of = (job: typeof session.job) => {
    const post = view.post.value
    return job && post && method.value ? holeBench(job, view.tables.value, post.id, method.value) : undefined
  }
  const pulled = computed(() => of(view.job.value))
  const kept = computed(() => of(session.job))
  return { pulled, kept, method }
}
