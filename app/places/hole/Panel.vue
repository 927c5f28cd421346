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
  { value: 'size', words: 'Hole', panel: HoleSize },
  { value: 'ground', words: 'Ground', panel: defineAsyncComponent(() => import('./HoleGround.vue')) },
  { value: 'stopped', words: 'Stopped', panel: defineAsyncComponent(() => import('./HoleStopped.vue')) },
  { value: 'filling', words: 'Filling', panel: defineAsyncComponent(() => import('./HoleFilling.vue')) },
  { value: 'bags', words: 'Bags', panel: defineAsyncComponent(() => import('./HoleBags.vue')) },
] as const
/** A hole filled with stone takes no bags. */
const parts = computed(() => PARTS.filter(({ value }) => value !== 'bags' || method.value?.concrete))
const part = ref<(typeof PARTS)[number]['value']>('size')
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
    <PartTabs v-else v-model="part" label="Parts of the hole" :tabs="parts" />
  </section>
</template>

<style scoped>
section :deep(.figures) {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;
  padding-bottom: 8px;
}
@media (max-width: 760px) {
  section :deep(.figures) {
    gap: 8px 20px;
  }
  section :deep(.figures .figure) {
    font-size: 36px;
  }
  section :deep(.figures .figure small) {
    font-size: 15px;
    margin-left: 4px;
  }
}
</style>
