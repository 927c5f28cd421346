<script setup lang="ts">
import { ref } from 'vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
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
    <ChoiceBar v-model="sheet" class="which no-print" label="What goes on the page" :choices="SHEETS" />
    <component :is="sheets[sheet]" />
  </main>
</template>

<style scoped>
.sheets {
  flex: 1;
  min-height: 0;
  position: relative;
  overflow-y: auto;
}
.which {
  max-width: 420px;
  margin: 6px 20px 0;
}
@media print {
  .sheets {
    overflow: visible;
  }
}
</style>
