<script setup lang="ts">
import { computed } from 'vue'
import OverviewStrip from '~/picture/OverviewStrip.vue'
import { queue } from '~/sync/device'
import { EDITS } from '~/sync/edits'
import { PICTURE } from '~/sync/pictures'
import type { ListedJob } from '~~/shared/contract'

/** A job in the list: its names, what it counts, and a sketch of its lines. */
const { job } = defineProps<{ job: ListedJob }>()
const waiting = computed(() => queue.waiting(EDITS, job.id) + queue.waiting(PICTURE, job.id))
</script>

<template>
  <NuxtLink :to="`/jobs/${job.id}/look`" class="job">
    <span class="names"
      ><strong>{{ job.name }}</strong
      ><span class="soft">{{ job.siteName }}</span></span
    >
    <span class="soft count"
      >{{ job.summary.posts }} posts, {{ job.summary.failed }} failed<template v-if="waiting"
        >; {{ waiting }} waiting to send</template
      ></span
    >
    <OverviewStrip
      v-for="line in job.summary.lines"
      :key="line.id"
      class="sketch"
      :posts="line.posts"
      :length="line.length"
      :label="`${line.name}, ${line.posts.length} posts`"
      :height="64"
    />
  </NuxtLink>
</template>

<style scoped>
.job {
  display: block;
  color: var(--ink);
  text-decoration: none;
  padding: 14px 0 8px;
  border-bottom: 1.5px solid var(--rule);
}
.job:hover strong {
  text-decoration: underline;
}
.names {
  display: inline-flex;
  gap: 14px;
  flex-wrap: wrap;
  align-items: baseline;
}
.names strong {
  font-size: 18px;
}
.count {
  float: right;
}
.sketch {
  margin-top: 6px;
}
@media (max-width: 760px) {
  .count {
    float: none;
    display: block;
  }
}
</style>
