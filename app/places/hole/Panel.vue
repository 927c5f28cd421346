<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { provideCalmView, useJobView } from '~/job/openJob'
import PartTabs from '~/controls/PartTabs.vue'
import { stateSentence } from '~/job/stateWords'
import HoleSize from './HoleSize.vue'

/** The hole of the repair in hand: its size, its ground, what was met in it, how it is filled, and with which bags. */
const view = useJobView()
provideCalmView()
const method = view.methodInHand
const isDug = computed(() => method.value?.hole && (method.value.concrete ?? method.value.packed))

const PARTS = [
  { value: 'size', words: 'Hole' },
  { value: 'ground', words: 'Ground' },
  { value: 'stopped', words: 'Stopped' },
  { value: 'filling', words: 'Filling' },
  { value: 'bags', words: 'Bags' },
] as const
const part = ref<(typeof PARTS)[number]['value']>('size')
const panels = {
  size: HoleSize,
  ground: defineAsyncComponent(() => import('./HoleGround.vue')),
  stopped: defineAsyncComponent(() => import('./HoleStopped.vue')),
  filling: defineAsyncComponent(() => import('./HoleFilling.vue')),
  bags: defineAsyncComponent(() => import('./HoleBags.vue')),
}
</script>

<template>
  <section aria-labelledby="hole-title">
    <h2 id="hole-title" class="visually-hidden">{{ view.post.value?.id }}: the hole</h2>
    <div v-if="!isDug" class="panel-section">
      <p>
        {{ method ? `${method.name} needs no hole.` : stateSentence(view.postPlan.value!) || 'No repair is chosen.' }}
      </p>
      <v-btn variant="flat" color="primary" @click="view.goTo('repair')">Choose the repair</v-btn>
    </div>
    <PartTabs v-else v-model="part" label="Parts of the hole" :tabs="PARTS">
      <div class="part"><component :is="panels[part]" :key="part" /></div>
    </PartTabs>
  </section>
</template>

<style scoped>
.part {
  padding-top: 10px;
}
.part :deep(.figures) {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;
  padding-bottom: 8px;
}
@media (max-width: 760px) {
  .part :deep(.figures) {
    gap: 8px 20px;
  }
  .part :deep(.figures .figure) {
    font-size: 36px;
  }
  .part :deep(.figures .figure small) {
    font-size: 15px;
    margin-left: 4px;
  }
}
</style>
