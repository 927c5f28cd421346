<script setup lang="ts">
import { computed, ref } from 'vue'
import { saveFile } from '~/exchange/files'
import { timeWords } from '~/pours/pourWords'
import { usePreferencesStore } from '~/session/preferences'
import type { StormJob } from '~~/shared/contract'
import { stormRows, type StormRow } from './stormRows'

/** What the wind of the next four days may bring down, where and when, and what to do about it. */
const { jobs, now } = defineProps<{ jobs: readonly StormJob[]; now: number }>()
const preferences = usePreferencesStore()
/** So many jobs are named before somebody asks for more. */
const NAMED = 3
const isOpen = ref(false)
const shown = computed(() => (isOpen.value ? jobs : jobs.slice(0, NAMED)))

const rowsOf = ({ posts }: Pick<StormJob, 'posts'>) =>
  stormRows(posts, { gust: preferences.measures.gust, time: (at) => timeWords(at, now) })
const words = (row: StormRow) => `${row.posts.join(', ')}: ${row.chance}, ${row.says}. ${row.todo}`
const text = computed(() =>
  jobs
    .map(
      ({ name, posts }) =>
        `${name}\n${rowsOf({ posts })
          .map((row) => `  ${words(row)}`)
          .join('\n')}`,
    )
    .join('\n\n'),
)
const save = () =>
  saveFile(
    'vindex-storm.txt',
    `Storm watch, ${new Date(now).toISOString().slice(0, 16)} UTC\n\n${text.value}\n`,
    'text/plain',
  )
const print = () => window.print()
</script>

<template>
  <section v-if="jobs.length" class="storm" aria-labelledby="storm-title">
    <h2 id="storm-title">Wind on its way: what may go over within four days</h2>
    <div v-for="job in shown" :key="job.id" class="job">
      <NuxtLink :to="`/jobs/${job.id}/look?post=${job.posts[0]!.post}`" class="name">{{ job.name }}</NuxtLink>
      <ul>
        <li v-for="row in rowsOf(job)" :key="row.key">
          <strong class="measure">{{ row.posts.join(', ') }}</strong>
          <span class="measure chance">{{ row.chance }}</span>
          <span>{{ row.says }}</span>
          <span class="todo">{{ row.todo }}</span>
        </li>
      </ul>
    </div>
    <v-btn v-if="jobs.length > shown.length" variant="text" @click="isOpen = true"
      >and {{ jobs.length - shown.length }} {{ jobs.length - shown.length === 1 ? 'job' : 'jobs' }} more</v-btn
    >
    <div class="row no-print">
      <v-btn @click="print">Print it</v-btn>
      <v-btn @click="save">Save it as a file</v-btn>
    </div>
  </section>
</template>

<style scoped>
.storm {
  margin: 18px 0 22px;
  border-left: 6px solid var(--error);
  padding-left: 14px;
}
.name {
  color: var(--ink);
  font-weight: 600;
  font-size: 18px;
  display: inline-flex;
  align-items: center;
  min-height: 48px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) 144px minmax(0, 3fr) minmax(0, 3fr);
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  align-items: baseline;
}
li .measure {
  font-size: 20px;
}
.todo {
  font-weight: 600;
}
.row {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr auto;
  }
  li span:nth-child(n + 3) {
    grid-column: 1 / -1;
  }
}
</style>
