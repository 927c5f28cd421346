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
  { value: 'customer', words: 'Customer’s page', panel: RecordCustomer },
  { value: 'built', words: 'As built', panel: RecordBuilt },
  { value: 'sign-off', words: 'Sign off', panel: RecordSignOff },
  { value: 'entries', words: 'Entries', panel: RecordEntries },
  { value: 'follow', words: 'Come back', panel: RecordFollow },
  { value: 'next', words: 'Next to go', panel: RecordNext },
  { value: 'work', words: 'Work sheet', panel: SheetPage },
  { value: 'line', words: 'The whole line', panel: LineSheet },
] as const
type Part = (typeof PARTS)[number]['value']

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
    <PartTabs v-slot="{ tab }" v-model="part" label="Parts of the record" :tabs="PARTS">
      <component :is="tab.panel" />
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
