<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import PartTabs from '~/controls/PartTabs.vue'
import SetOutString from './SetOutString.vue'

/** What a tape, a level and a saw are held to: strings and readings, levels, cuts, the gate, and what stands round a post. */
const view = useJobView()
const PARTS = [
  { value: 'string', words: 'String', panel: SetOutString },
  { value: 'levels', words: 'Levels', panel: defineAsyncComponent(() => import('./SetOutLevels.vue')) },
  { value: 'cut', words: 'Cut', panel: defineAsyncComponent(() => import('./SetOutCut.vue')) },
  { value: 'gate', words: 'Gate', panel: defineAsyncComponent(() => import('./gate/SetOutGate.vue')) },
  { value: 'beside', words: 'Beside', panel: defineAsyncComponent(() => import('./beside/SetOutBeside.vue')) },
  { value: 'hand', words: 'Hand', panel: defineAsyncComponent(() => import('./SetOutHand.vue')) },
] as const
const part = ref<(typeof PARTS)[number]['value']>('string')
const id = computed(() => view.post.value?.id)
</script>

<template>
  <section aria-labelledby="set-out-title">
    <h2 id="set-out-title" class="visually-hidden">{{ id }}: set out</h2>
    <PartTabs v-model="part" label="Parts of setting out" :tabs="PARTS" />
  </section>
</template>
