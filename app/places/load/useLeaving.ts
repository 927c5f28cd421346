import { computed, onMounted, shallowRef } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { storage } from '~/sync/device'
import { usePreferencesStore } from '~/session/preferences'
import { useYard } from '~/yard/useYard'
import { buyingNotes } from '~~/core/cost/buying'
import { misfits } from '~~/core/cost/fits'
import { toolNotes } from '~~/core/cost/tools'
import { dayPosts } from '~~/core/day/posts'
import { meansOf } from '~~/core/day/setup'
import { tasksOf } from '~~/core/day/tasks'
import { useCost } from './useCost'

/** What is better known before anybody drives off. */
export function useLeaving() {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()
  const cost = useCost()
  const { catalogue, tools } = useYard()

  const wrong = computed(() => {
    const { resolved } = cost.planned.value ?? {}
    return resolved ? misfits(cost.bills.value, resolved, catalogue.value, view.tables.value, preferences.measures) : []
  })
  const notes = computed(() => {
    const { planned } = cost
    if (!planned.value) return []
    const tables = view.tables.value
    const tasks = dayPosts({ prefix: '', ...planned.value }, tables).flatMap((post) =>
      tasksOf(post, meansOf(planned.value!.job.day ?? {}), tables),
    )
    const given = { job: planned.value.job, owned: tools.value, says: preferences.measures }
    return toolNotes(cost.bills.value, tasks, given)
  })

  const buying = computed(() => (cost.planned.value ? buyingNotes(cost.bills.value, cost.planned.value.job) : []))

  /** How often a thing was missing out there, over the jobs that this device knows. */
  const missed = shallowRef<ReadonlyMap<string, number>>(new Map())
  onMounted(async () => {
    const counts = new Map<string, number>()
    for (const { id, job } of await storage.keep(() => storage.jobs.toArray()))
      if (id !== session.id)
        for (const each of job.load?.used ?? []) if (each.missed) counts.set(each.key, (counts.get(each.key) ?? 0) + 1)
    missed.value = counts
  })
  const forgotten = computed(() =>
    cost.loading.value.lines
      .filter(({ key }) => missed.value.has(key))
      .sort((a, b) => missed.value.get(b.key)! - missed.value.get(a.key)!),
  )
  return { wrong, notes, buying, forgotten }
}
