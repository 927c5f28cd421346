<script setup lang="ts">
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { waitingOf } from '~/jobs/useJobList'
import { session } from '~/session/account'
import OverviewStrip from '~/picture/OverviewStrip.vue'
import type { ListedJob } from '~~/shared/contract'

/** A job in the list: its names, what it counts, and a sketch of its lines. */
const { job, away } = defineProps<{ job: ListedJob; away: boolean }>()
const emit = defineEmits<{ put: [isAway: boolean] }>()
const waiting = computed(() => waitingOf(job.id))
</script>

<template>
  <div class="entry legible">
    <component :is="away ? 'div' : NuxtLink" :to="away ? undefined : `/jobs/${job.id}/look`" class="job">
      <span class="names"
        ><strong>{{ job.name }}</strong
        ><span class="soft">{{ job.siteName }}</span></span
      >
      <span class="soft count"
        >{{ job.summary.posts }} {{ job.summary.posts === 1 ? 'post' : 'posts' }},
        {{ job.summary.failed }} failed<template v-if="waiting">; {{ waiting }} waiting to send</template></span
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
    </component>
    <v-btn
      v-if="session.may('remove')"
      variant="text"
      class="put"
      :aria-label="away ? `Bring ${job.name} back` : `Put ${job.name} away`"
      @click="emit('put', !away)"
      >{{ away ? 'Bring it back' : 'Put away' }}</v-btn
    >
  </div>
</template>

<style scoped>
.job {
  display: block;
  color: var(--ink);
  text-decoration: none;
  flex: 1;
  min-width: 0;
  padding: 14px 0 8px;
}
.entry {
  display: flex;
  align-items: start;
  gap: 12px;
  border-bottom: 1.5px solid var(--rule);
}
.put {
  margin-top: 4px;
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
