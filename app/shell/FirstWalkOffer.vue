<script setup lang="ts">
import { computed } from 'vue'
import { navigateTo } from '#imports'
import type { ListedJob } from '~~/shared/contract'
import { useFirstWalk, WALK_STEPS, WALKED_JOB, WALKED_POST } from './firstWalk'

/** Offered to whoever is here for the first time, where the demo job is; taken, or not, and gone. */
const { jobs } = defineProps<{ jobs: readonly ListedJob[] }>()
const walk = useFirstWalk()
const job = computed(() => jobs.find(({ name }) => name === WALKED_JOB)?.id)
async function start(): Promise<void> {
  if (!job.value) return
  walk.start(job.value)
  await navigateTo(`/jobs/${job.value}/${WALK_STEPS[0]!.place}?post=${WALKED_POST}`)
}
</script>

<template>
  <section v-if="job && walk.isOffered.value" class="offer" aria-label="First walk">
    <p>Here for the first time? One broken post, from the look to the sign-off: seven places, a sentence each.</p>
    <div class="ways">
      <v-btn @click="start">Walk through one post</v-btn>
      <v-btn variant="text" @click="walk.leave">Not now</v-btn>
    </div>
  </section>
</template>

<style scoped>
.offer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.ways {
  display: flex;
  flex-wrap: wrap;
}
</style>
