<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { compareWays, criteria } from '~~/core/choose/compare'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import CompareWeights from './CompareWeights.vue'
import HangsOn from './HangsOn.vue'
import TradeOff from './TradeOff.vue'
import { compareRows } from './compareWords'

/** Two or three ways beside each other, who is beaten by whom, and what the choice hangs on. */
const view = useJobView()
const preferences = usePreferencesStore()
const MOST = 3

const compared = computed(() =>
  compareWays(
    view.postPlan.value!.methods,
    { target: view.target.value, tables: view.tables.value },
    preferences.weights,
  ),
)
/** As the plan has them: first the one that it proposes. */
const open = computed(() =>
  view.postPlan.value!.methods.flatMap(({ method }) => compared.value.filter(({ way }) => way.method === method)),
)
const picked = ref<string[]>([])
watch(
  () => view.post.value?.id,
  () => (picked.value = open.value.slice(0, MOST).map(({ way }) => way.method)),
  { immediate: true },
)
const side = computed(() => open.value.filter(({ way }) => picked.value.includes(way.method)))
/** The one that was picked first makes room. */
function pick(method: string): void {
  picked.value = picked.value.includes(method)
    ? picked.value.filter((each) => each !== method)
    : [...picked.value, method].slice(-MOST)
}
const rows = computed(() =>
  compareRows.map((row) => {
    const at = criteria.findIndex(({ key }) => key === row.by)
    const figures = side.value.map((each) => each.figures[at] ?? 0)
    const best = criteria[at]?.better === 'more' ? Math.max(...figures) : Math.min(...figures)
    const words = side.value.map(({ way }) => row.words(way, preferences.measures, view.tables.value))
    // What reads alike is alike: nobody builds to the decimals behind it.
    const isApart = at >= 0 && new Set(words).size > 1
    const bestWords = words[figures.indexOf(best)]
    return {
      ...row,
      cells: side.value.map(({ way }, i) => ({
        method: way.method,
        words: words[i]!,
        isBest: isApart && words[i] === bestWords,
      })),
    }
  }),
)
</script>

<template>
  <div>
    <p v-if="open.length < 2">
      {{ open.length === 1 ? `Only ${open[0]!.way.name.toLowerCase()} is open here.` : 'No repair is open here.' }}
    </p>
    <template v-else>
      <p>Two or three beside each other: tap to put one in or take it out.</p>
      <div class="row" role="group" aria-label="Repairs beside each other">
        <v-btn
          v-for="{ way } in open"
          :key="way.method"
          :variant="picked.includes(way.method) ? 'flat' : 'outlined'"
          :color="picked.includes(way.method) ? 'primary' : undefined"
          :aria-pressed="picked.includes(way.method)"
          @click="pick(way.method)"
          >{{ way.name }}</v-btn
        >
      </div>
      <v-table v-if="side.length" class="side panel-section">
        <thead>
          <tr>
            <td></td>
            <th v-for="{ way } in side" :key="way.method" scope="col">{{ way.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in rows" :key="each.key">
            <th scope="row">{{ each.name }}</th>
            <td v-for="cell in each.cells" :key="cell.method" :class="{ best: cell.isBest }">{{ cell.words }}</td>
          </tr>
        </tbody>
      </v-table>
      <p class="soft">Underlined: best of these.</p>
      <TradeOff :compared="open" :target="view.target.value" />
      <FoldOut class="panel-section" title="What counts for you"><CompareWeights :compared="compared" /></FoldOut>
      <FoldOut class="panel-section" title="What the choice hangs on"><HangsOn /></FoldOut>
    </template>
  </div>
</template>

<style scoped>
.row {
  flex-wrap: wrap;
}
.row .v-btn {
  text-transform: none;
}
.side {
  background: none;
}
.side :deep(th),
.side :deep(td) {
  padding: 6px 8px !important;
  vertical-align: top;
  height: auto !important;
}
.side thead th {
  font-weight: 600;
}
.best {
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 4px;
}
</style>
