<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import PartTabs from '~/controls/PartTabs.vue'
import SetOutString from './SetOutString.vue'

/** What a tape, a level and a saw are held to: strings and readings, levels, cuts, the gate, and what stands round a post. */
const view = useJobView()
const PARTS = [
  { value: 'string', words: 'String' },
  { value: 'levels', words: 'Levels' },
  { value: 'cut', words: 'Cut' },
  { value: 'gate', words: 'Gate' },
  { value: 'beside', words: 'Beside' },
  { value: 'hand', words: 'Hand' },
] as const
const part = ref<(typeof PARTS)[number]['value']>('string')
const panels = {
  string: SetOutString,
  levels: defineAsyncComponent(() => import('./SetOutLevels.vue')),
  cut: defineAsyncComponent(() => import('./SetOutCut.vue')),
  gate: defineAsyncComponent(() => import('./gate/SetOutGate.vue')),
  beside: defineAsyncComponent(() => import('./beside/SetOutBeside.vue')),
  hand: defineAsyncComponent(() => import('./SetOutHand.vue')),
}
const id = computed(() => view.post.value?.id)
</script>

<template>
  <section aria-labelledby="set-out-title">
    <h2 id="set-out-title" class="visually-hidden">{{ id }}: set out</h2>
    <PartTabs v-model="part" label="Parts of setting out" :tabs="PARTS">
      <div class="part"><component :is="panels[part]" :key="part" /></div>
    </PartTabs>
  </section>
</template>

<style scoped>
.part {
  padding: 10px 0 24px;
}
</style>
