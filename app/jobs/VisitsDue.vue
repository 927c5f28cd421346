<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { api } from '~/sync/api'
import { timeNow } from '~/sync/clock'
import { storage } from '~/sync/device'
import { visitsDue, VISIT_WORDS, type VisitWhy } from '~~/core/record/visits'
import type { WatchedVisit } from '~~/shared/contract'

/** Jobs that somebody should go back to: as the server sees it, without a signal from what is on this device. */
const emit = defineEmits<{ answered: [] }>()
const visits = shallowRef<readonly WatchedVisit[]>([])
onMounted(async () => {
  try {
    visits.value = (await api.visitWatch()).visits
  } catch {
    visits.value = await ownVisits()
  }
  emit('answered')
})
const AHEAD = 14 * 24 * 3600e3
async function ownVisits(): Promise<WatchedVisit[]> {
  const kept = await storage.keep(() => storage.jobs.toArray())
  return kept
    .flatMap(({ id, job }) =>
      visitsDue(job)
        .filter(({ due }) => due < timeNow() + AHEAD)
        .map(({ posts, due, why }) => ({ jobId: id, job: job.name, posts, due: new Date(due).toISOString(), why })),
    )
    .sort((a, b) => a.due.localeCompare(b.due))
}
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const NAMED = 3
const rows = computed(() =>
  visits.value.map((each) => ({
    ...each,
    key: `${each.jobId}-${each.why}-${each.due}-${each.posts[0]}`,
    says: `${Date.parse(each.due) < timeNow() ? 'since' : 'on'} ${day.format(new Date(each.due))}, ${VISIT_WORDS[each.why as VisitWhy]}: ${named(each.posts)}${each.open ? `; ${each.open.join('; ')}` : ''}`,
  })),
)
const named = (posts: string[]) =>
  posts.length > NAMED ? `${posts.slice(0, NAMED).join(', ')} and ${posts.length - NAMED} more` : posts.join(', ')
</script>

<template>
  <section v-if="rows.length" class="needs" aria-labelledby="visits-title">
    <h2 id="visits-title">Come back</h2>
    <ul>
      <li v-for="each in rows" :key="each.key">
        <NuxtLink :to="{ path: `/jobs/${each.jobId}/record`, query: { post: each.posts[0], part: 'follow' } }"
          ><strong>{{ each.job }}</strong> <span class="measure">{{ each.says }}</span></NuxtLink
        >
      </li>
    </ul>
  </section>
</template>
