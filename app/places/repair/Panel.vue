<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import PartTabs from '~/controls/PartTabs.vue'
import { useJobView } from '~/job/openJob'
import RedFlags from '~/job/RedFlags.vue'
import RepairPost from './RepairPost.vue'

/** Which repair: of one post, side by side, and of the whole line at once. */
const view = useJobView()
const PARTS = [
  { value: 'post', words: 'This post', panel: RepairPost },
  { value: 'compare', words: 'Side by side', panel: defineAsyncComponent(() => import('./RepairCompare.vue')) },
  { value: 'years', words: 'How long', panel: defineAsyncComponent(() => import('~/survive/HowLong.vue')) },
  { value: 'line', words: 'Whole line', panel: defineAsyncComponent(() => import('./RepairLine.vue')) },
] as const
const part = ref<(typeof PARTS)[number]['value']>('post')
</script>

<template>
  <section aria-labelledby="repair-title">
    <h2 id="repair-title">{{ view.post.value?.id }}: which repair?</h2>
    <RedFlags />
    <PartTabs v-model="part" label="Parts of the choice" :tabs="PARTS" />
  </section>
</template>
