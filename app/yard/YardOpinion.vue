<script setup lang="ts">
import { computed } from 'vue'
import { tables } from '~~/data/tables'
import { countsOf, shippedShares, updatedShares, type CountedRow } from '~~/core/cause/counted'
import type { YardRow } from '~~/core/yard/column'
import type { YardChange } from '~~/core/yard/change'
import ReliabilityBars from './ReliabilityBars.vue'
import { useLessons } from './useLessons'
import type { useChanging } from './useChanging'

/** What was said first against what digging found, and what that would change. */
const { rows, change } = defineProps<{ rows: readonly YardRow[]; change: ReturnType<typeof useChanging>['change'] }>()
const { failure, lessons, opinion } = useLessons()

const name = (cause: string) => tables.causes.causes.find(({ key }) => key === cause)?.name ?? cause
const share = (of: number) => `${Math.round(of * 100)} %`
/** What the shipped shares become, for the values that change most. */
const changes = computed(() =>
  opinion.value.counted
    .flatMap((row) => {
      const evidence = tables.causes.evidence.find(({ observation }) => observation === row.observation)
      if (!evidence) return []
      const shipped = shippedShares(evidence, row.cause)
      const counts = countsOf(
        opinion.value.counted.filter(({ observation }) => observation === row.observation),
        row.cause,
      )
      const before = shipped[row.value] ?? 0
      const after = updatedShares(shipped, counts)[row.value] ?? 0
      return [{ row, before, after }]
    })
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before))
    .slice(0, 12),
)
const isInUse = computed(() => rows.length > 0)
const use = () =>
  change([
    ...gone(opinion.value.counted),
    ...opinion.value.counted.map((row) => ({
      table: 'counted',
      key: row.key,
      was: known.value.get(row.key) ?? null,
      value: row as unknown as YardRow,
    })),
  ])
const known = computed(() => new Map(rows.map((row) => [row.key, row])))
const gone = (fresh: readonly CountedRow[]): YardChange[] => {
  const keys = new Set(fresh.map(({ key }) => key))
  return rows
    .filter(({ key }) => !keys.has(key))
    .map((row) => ({ table: 'counted', key: row.key, was: row, value: null }))
}
const drop = () => change(rows.map((row) => ({ table: 'counted', key: row.key, was: row, value: null })))
</script>

<template>
  <section class="opinion" aria-labelledby="opinion-title">
    <h3 id="opinion-title">Was the first opinion right?</h3>
    <p v-if="failure" class="soft" role="status">{{ failure }}</p>
    <p v-else-if="!lessons" role="status">Reading the records …</p>
    <p v-else-if="opinion.cases.length === 0" class="soft">
      No post was opened yet of which something had been read before. Say in Cause what digging found.
    </p>
    <template v-else>
      <p class="soft">
        {{ opinion.cases.length }} {{ opinion.cases.length === 1 ? 'post that was' : 'posts that were' }} dug; those
        that stand unopened are not counted. Mean score {{ opinion.brier.toFixed(2) }}: 0 is always right, 2 surely
        wrong.
      </p>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">cause</th>
            <th scope="col">said</th>
            <th scope="col">and found</th>
            <th scope="col">found in all</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in opinion.rows" :key="row.cause" :class="{ missed: row.said > row.right }">
            <th scope="row">{{ name(row.cause) }}</th>
            <td>{{ row.said }}</td>
            <td>{{ row.right }}{{ row.said > row.right ? ` (${row.said - row.right} missed)` : '' }}</td>
            <td>{{ Math.round(row.found * 10) / 10 }}</td>
          </tr>
        </tbody>
      </v-table>
      <ReliabilityBars v-if="opinion.cases.length >= 10" :bins="opinion.bins" />
      <p v-if="!opinion.isEnough" class="soft">From 30 posts on this may change how causes are weighed here.</p>
      <template v-else>
        <h4>What your posts would change</h4>
        <ul>
          <li v-for="each in changes" :key="each.row.key">
            {{ each.row.name }}: {{ share(each.before) }} becomes {{ share(each.after) }} ({{
              Math.round(each.row.count * 10) / 10
            }}
            of {{ Math.round(each.row.posts * 10) / 10 }})
          </li>
        </ul>
        <div class="row">
          <v-btn variant="flat" color="primary" @click="use">{{
            isInUse ? 'Use the newer counts' : 'Use these counts'
          }}</v-btn>
          <v-btn v-if="isInUse" @click="drop">Back to the shipped figures</v-btn>
        </div>
      </template>
    </template>
  </section>
</template>

<style scoped>
.opinion {
  margin-bottom: 16px;
}
.table {
  background: none;
  max-width: 640px;
}
.missed th {
  font-weight: 700;
}
</style>
