<script setup lang="ts">
import { computed } from 'vue'
import { yard } from '~/sync/device'
import { isCell } from '~~/core/yard/change'
import { valueAt } from '~~/core/yard/column'
import { YARD_TABLES } from '~~/data/yard'
import { changeWords } from './model/cells'
import { useCellTerms } from './useCellTerms'

/** Somebody else was faster with a cell: theirs stands, and mine waits here until it is decided. */
const terms = useCellTerms()
const waiting = computed(() =>
  yard.conflicts.value.map((conflict) => {
    const { mine, theirs } = conflict
    const table = YARD_TABLES.find(({ key }) => key === mine.table)
    const there = isCell(mine) && theirs ? (valueAt(theirs, mine.path) ?? null) : null
    return {
      conflict,
      what: `${table?.name ?? mine.table}, ${String(theirs?.name ?? mine.key)}`,
      says: changeWords(isCell(mine) ? { ...mine, was: there } : mine, table, terms.value),
    }
  }),
)
</script>

<template>
  <section v-if="waiting.length" class="conflicts" aria-labelledby="yard-conflicts">
    <h2 id="yard-conflicts">Somebody else was faster</h2>
    <ul>
      <li v-for="(each, i) in waiting" :key="i">
        <p>
          <strong>{{ each.what }}</strong
          >: theirs stands. Yours: {{ each.says }}
        </p>
        <v-btn @click="yard.decide(each.conflict, true)">Mine after all</v-btn>
        <v-btn variant="text" @click="yard.decide(each.conflict, false)">Leave theirs</v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.conflicts {
  border: 2.4px solid var(--error);
  padding: 12px;
  margin: 8px 0;
}
ul {
  list-style: none;
  padding: 0;
}
</style>
