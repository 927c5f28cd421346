<script setup lang="ts">
import { computed } from 'vue'
import { historyOf, MISTAKES } from '~~/core/practice/review'
import { MISTAKE_NAMES, truthName } from './practiceWords'
import { usePractice } from './usePractice'

/** How often right: by what was true, and by the kind of mistake. */
const { history, tables } = usePractice()
const rows = computed(() => historyOf(history.value))
const mistakes = computed(() =>
  MISTAKES.map((each) => ({
    name: MISTAKE_NAMES[each],
    count: history.value.filter((play) => play.mistakes.includes(each)).length,
  })),
)
</script>

<template>
  <section aria-labelledby="history-title">
    <h2 id="history-title">How often right</h2>
    <p v-if="history.length === 0" class="soft">Nothing was played on this device yet: take a case.</p>
    <template v-else>
      <v-table>
        <thead>
          <tr>
            <th scope="col">It was</th>
            <th scope="col">Played</th>
            <th scope="col">Right</th>
            <th scope="col">Of the best</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in rows" :key="each.truth">
            <td>{{ truthName(each.truth, tables) }}</td>
            <td>{{ each.played }}</td>
            <td>{{ each.right }}</td>
            <td>{{ Math.round(100 * each.score) }} of 100</td>
          </tr>
        </tbody>
      </v-table>
      <h3>What went wrong</h3>
      <v-table>
        <tbody>
          <tr v-for="each in mistakes" :key="each.name">
            <th scope="row">{{ each.name }}</th>
            <td>{{ each.count }} of {{ history.length }}</td>
          </tr>
        </tbody>
      </v-table>
    </template>
  </section>
</template>

<style scoped>
h3 {
  margin: 14px 0 4px;
}
section {
  max-width: 760px;
}
</style>
