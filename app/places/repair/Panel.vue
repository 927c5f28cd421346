<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import PartTabs from '~/controls/PartTabs.vue'
import { useJobView } from '~/job/openJob'
import RedFlags from '~/job/RedFlags.vue'
import RepairPost from './RepairPost.vue'

/** Which repair: of one post, side by side, and of the whole line at once. */
const view = useJobView()
const PARTS = [
  { value: 'post', words: 'This post' },
  { value: 'compare', words: 'Side by side' },
  { value: 'years', words: 'How long' },
  { value: 'line', words: 'Whole line' },
] as const
const part = ref<(typeof PARTS)[number]['value']>('post')
const panels = {
  post: RepairPost,
  compare: defineAsyncComponent(() => import('./RepairCompare.vue')),
  years: defineAsyncComponent(() => import('~/survive/HowLong.vue')),
  line: defineAsyncComponent(() => import('./RepairLine.vue')),
}
</script>

<template>
  <section aria-labelledby="repair-title">
    <h2 id="repair-title">{{ view.post.value?.id }}: which repair?</h2>
    <RedFlags />
    <PartTabs v-model="part" label="Parts of the choice" :tabs="PARTS">
      <div class="part"><component :is="panels[part]" :key="part" /></div>
    </PartTabs>
  </section>
</template>

<style scoped>
.part {
  padding-top: 10px;
}
</style>
