<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { COLUMNS, HEADING_UNITS, type Heading } from '~~/core/exchange/columns'
import { guessBareUnit, guessHeadings, readPosts } from '~~/core/exchange/posts'
import type { Post } from '~~/core/document/job'
import type { TableFile } from './files'
import { usePreferencesStore } from '~/session/preferences'

/** A table of posts that somebody brought: what each column is taken for, to be corrected before it is taken over. */
const props = defineProps<{ table: TableFile; line: string; busy?: boolean }>()
const emit = defineEmits<{ take: [lines: { id: string; posts: Post[] }[]]; leave: [] }>()
const preferences = usePreferencesStore()

const headings = ref<Heading[]>([])
const unit = ref('m')
watch(
  () => props.table,
  ({ headings: words, rows }) => {
    headings.value = guessHeadings(words)
    unit.value = guessBareUnit(rows, headings.value, preferences.units === 'metric' ? 'm' : 'ft')
  },
  { immediate: true },
)

const read = computed(() => readPosts(props.table.rows, headings.value, HEADING_UNITS[unit.value]!, props.line))
const posts = computed(() => read.value.lines.flatMap((line) => line.posts))
const SHOWN = 6
const SAMPLES = 3

const LEFT_OUT = 'leave it out'
const columnItems = [LEFT_OUT, ...COLUMNS.map(({ path }) => path)].map((value) => ({
  value,
  title: value
    .replace('observations.', '')
    .replaceAll('.', ', ')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase(),
}))
const unitItems = Object.keys(HEADING_UNITS)
const samplesOf = (column: number) =>
  props.table.rows
    .slice(0, SAMPLES)
    .map((row) => row[column])
    .filter(Boolean)
    .join(' · ')
function choose(i: number, path: string): void {
  const column = COLUMNS.find((each) => each.path === path)
  const kept = headings.value[i]!.unit
  headings.value = headings.value.with(i, { ...(column ? { column } : {}), ...(kept ? { unit: kept } : {}) })
}
</script>

<template>
  <section class="panel-section" aria-labelledby="table-title">
    <h3 id="table-title">{{ table.name }}: what is in which column?</h3>
    <ul class="columns">
      <li v-for="(heading, i) in table.headings" :key="i">
        <span class="heading"
          ><strong>{{ heading || `column ${i + 1}` }}</strong
          ><span class="soft">{{ samplesOf(i) }}</span></span
        >
        <v-select
          :label="`${heading || `column ${i + 1}`} is`"
          :items="columnItems"
          :model-value="headings[i]?.column?.path ?? LEFT_OUT"
          density="compact"
          @update:model-value="choose(i, $event)"
        />
      </li>
    </ul>
    <v-select v-model="unit" class="unit" label="Bare lengths are in" :items="unitItems" />
    <div v-if="read.problems.length" class="problems" role="alert">
      <p v-for="problem in read.problems.slice(0, SHOWN)" :key="problem.message" class="error-text">
        {{ problem.message }}
      </p>
      <p v-if="read.problems.length > SHOWN" class="error-text">and {{ read.problems.length - SHOWN }} more.</p>
    </div>
    <p v-else role="status">
      {{ posts.length }} posts<template v-for="each in read.lines" :key="each.id">
        · line {{ each.id }}: {{ each.posts.length }}, to {{ preferences.show(each.posts.at(-1)!.station) }}</template
      >
    </p>
    <div class="row">
      <v-btn
        variant="flat"
        color="primary"
        :loading="busy"
        :disabled="read.problems.length > 0"
        @click="emit('take', read.lines)"
        >Take them over</v-btn
      >
      <v-btn @click="emit('leave')">Leave it</v-btn>
    </div>
  </section>
</template>

<style scoped>
.columns {
  list-style: none;
  padding: 0;
}
.columns li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  padding: 5px 0;
}
.heading {
  display: flex;
  flex-direction: column;
  overflow-wrap: anywhere;
}
.heading .soft {
  font-size: 14px;
}
.unit {
  max-width: 220px;
  margin: 8px 0;
}
.problems {
  margin: 8px 0;
}
.row {
  margin-top: 10px;
}
</style>
