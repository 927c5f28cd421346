<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from '#imports'
import PartTabs from '~/controls/PartTabs.vue'
import { useJobView } from '~/job/openJob'
import RecordBuilt from './RecordBuilt.vue'
import RecordCustomer from './RecordCustomer.vue'
import RecordEntries from './RecordEntries.vue'
import RecordFollow from './RecordFollow.vue'
import RecordNext from './RecordNext.vue'
import RecordSignOff from './RecordSignOff.vue'
import LineSheet from './LineSheet.vue'
import SheetPage from './SheetPage.vue'

/** What was done and what it proved, and what goes on paper. */
const PARTS = [
  { value: 'customer', words: 'Customer’s page' },
  { value: 'built', words: 'As built' },
  { value: 'sign-off', words: 'Sign off' },
  { value: 'entries', words: 'Entries' },
  { value: 'follow', words: 'Come back' },
  { value: 'next', words: 'Next to go' },
  { value: 'work', words: 'Work sheet' },
  { value: 'line', words: 'The whole line' },
] as const
type Part = (typeof PARTS)[number]['value']
const parts: Record<Part, unknown> = {
  customer: RecordCustomer,
  built: RecordBuilt,
  'sign-off': RecordSignOff,
  entries: RecordEntries,
  follow: RecordFollow,
  next: RecordNext,
  work: SheetPage,
  line: LineSheet,
}

const router = useRouter()
const view = useJobView()
/** It stands in the address: a link leads to the part that it speaks of. */
const part = computed<Part>({
  get() {
    const asked = router.currentRoute.value.query.part
    return PARTS.find(({ value }) => value === asked)?.value ?? 'customer'
  },
  set: (value) => view.goTo('record', value),
})
</script>

<template>
  <main class="record legible">
    <PartTabs v-model="part" label="Parts of the record" :tabs="PARTS">
      <component :is="parts[part]" />
    </PartTabs>
  </main>
</template>

<style scoped>
.record {
  flex: 1;
  min-height: 0;
  position: relative;
  overflow-y: auto;
}
@media print {
  .record {
    overflow: visible;
  }
}
</style>
