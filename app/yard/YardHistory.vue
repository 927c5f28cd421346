<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { api, type Refusal } from '~/sync/api'
import { YARD_TABLES } from '~~/data/yard'
import type { YardChange } from '~~/core/yard/change'
import type { YardHistoryEntry } from '~~/shared/contract'
import { changeWords } from './model/cells'
import { useCellTerms } from './useCellTerms'
import { useYard } from './useYard'

/** What was changed, by whom and when, the last first. */
const clock = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const terms = useCellTerms()
const { rows } = useYard()
const entries = shallowRef<YardHistoryEntry[]>([])
const next = ref<number>()
const failure = ref('')
async function more(): Promise<void> {
  try {
    const page = await api.yardHistory(next.value)
    entries.value = [...entries.value, ...page.entries]
    next.value = page.next
    failure.value = ''
  } catch (error) {
    failure.value = (error as Refusal).message
  }
}
onMounted(more)
/** Of a whole list that was brought the first ones are told. */
const TOLD = 6
const tableOf = ({ table }: YardChange) => YARD_TABLES.find(({ key }) => key === table)
const nameOf = ({ table, key }: YardChange) => String(rows.value[table]?.find((row) => row.key === key)?.name ?? key)
const says = (change: YardChange) =>
  `${tableOf(change)?.name ?? change.table}, ${nameOf(change)}: ${changeWords(change, tableOf(change), terms.value)}`
</script>

<template>
  <section aria-labelledby="history-title">
    <h2 id="history-title">What was changed</h2>
    <p v-if="failure" class="caution" role="alert">{{ failure }}</p>
    <p v-else-if="entries.length === 0" class="soft">Nothing yet: everything is as it came.</p>
    <ol>
      <li v-for="each in entries" :key="each.version">
        <p class="measure when">
          {{ clock.format(new Date(each.madeAt)) }}<template v-if="each.madeBy"> · {{ each.madeBy }}</template>
        </p>
        <ul>
          <li v-for="(change, i) in each.changes.slice(0, TOLD)" :key="i">{{ says(change) }}</li>
          <li v-if="each.changes.length > TOLD">and {{ each.changes.length - TOLD }} more</li>
          <li v-if="each.changes.length === 0">somebody else was faster: nothing of it was taken</li>
        </ul>
      </li>
    </ol>
    <v-btn v-if="next !== undefined" @click="more">Earlier</v-btn>
  </section>
</template>

<style scoped>
ol,
ul {
  list-style: none;
  padding: 0;
}
ol > li {
  padding: 8px 0;
  border-bottom: 1.5px solid var(--rule);
}
.when {
  color: var(--soft-ink);
}
</style>
