import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { ResolvedJob } from '~~/core/resolve/resolve'
import { holeBench } from '~~/core/hole/bench'
import type { Tables } from '~~/core/tables/tables'
import { groundMemory, type GroundMemory } from '~~/core/repair/context'

/** Holes come on the inch in one system: nothing worked out for one holds for the other. */
const memoryFor = (_tables: Tables): GroundMemory => groundMemory()

/** The hole of the method in hand, to be tried in other sizes: as it is pulled, and as it is kept. */
export function useHoleBench() {
  const session = useJobSession()
  const view = useJobView()
  const method = computed(() => view.methodInHand.value?.method)
  // One for each system of units: what the ground holds is worked out once for all sizes that are tried.
  const memory = computed(() => memoryFor(view.tables.value))
  const of = (job: typeof session.job, resolved?: ResolvedJob) => {
    const id = view.postId.value
    return job && id && method.value
      ? holeBench(job, view.tables.value, id, method.value, { resolved, memory: memory.value })
      : undefined
  }
  const pulled = computed(() => of(view.job.value, view.resolved.value))
  /** What is only looked up is not worked out anew at every step of a pull. */
  const kept = computed(() => of(session.job))
  return { pulled, kept, method }
}
