<script setup lang="ts">
import { ref } from 'vue'
import PartTabs from '~/controls/PartTabs.vue'
import LineSheet from './LineSheet.vue'
import SheetPage from './SheetPage.vue'

/** What goes on paper: one post, or the whole line. */
const SHEETS = [
  { value: 'post', words: 'This post' },
  { value: 'line', words: 'The whole line' },
] as const
const sheet = ref<(typeof SHEETS)[number]['value']>('post')
const sheets = { post: SheetPage, line: LineSheet }
</script>

<template>
  <main class="sheets">
    <PartTabs v-model="sheet" label="What goes on the page" :tabs="SHEETS">
      <component :is="sheets[sheet]" />
    </PartTabs>
  </main>
</template>

<style scoped>
.sheets {
  flex: 1;
  min-height: 0;
  position: relative;
  overflow-y: auto;
}
@media print {
  .sheets {
    overflow: visible;
  }
}
</style>
