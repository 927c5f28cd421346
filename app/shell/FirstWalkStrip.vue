<script setup lang="ts">
import { computed } from 'vue'
import { useJobInHand } from '~/job/openJob'
import { useFirstWalk, WALK_STEPS } from './firstWalk'

/** One sentence for the place in hand, on to the next, or out of it. */
const open = useJobInHand()
const walk = useFirstWalk()
const isHere = computed(() => walk.isOn.value && walk.job.value === open.value?.session.id)
const step = computed(() => WALK_STEPS[walk.step.value]!)
const isLast = computed(() => walk.step.value === WALK_STEPS.length - 1)
function go(to: number): void {
  walk.go(to)
  open.value?.view.goTo(WALK_STEPS[to]!.place)
}
</script>

<template>
  <section v-if="isHere" class="first-walk no-print" aria-label="First walk through one post">
    <p>
      <span class="measure">{{ walk.step.value + 1 }} of {{ WALK_STEPS.length }}</span> {{ step.says }}
    </p>
    <div class="ways">
      <v-btn v-if="walk.step.value > 0" variant="text" @click="go(walk.step.value - 1)">Back</v-btn>
      <v-btn v-if="!isLast" variant="flat" color="primary" @click="go(walk.step.value + 1)">Go on</v-btn>
      <v-btn variant="text" @click="walk.leave">{{ isLast ? 'Done' : 'Leave the walk' }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.first-walk {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 6px 20px;
  border-bottom: 3px solid var(--string);
}
p {
  flex: 1;
}
.measure {
  font-weight: 600;
}
.ways {
  display: flex;
  flex: none;
}
@media (max-width: 760px) {
  .first-walk {
    flex-direction: column;
    align-items: stretch;
    gap: 4px;
    padding: 6px 12px;
  }
}
</style>
