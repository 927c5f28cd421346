<script setup lang="ts">
import { computed, ref } from 'vue'
import { saveFile } from '~/exchange/files'
import { timeWords } from '~/pours/pourWords'
import { usePreferencesStore } from '~/session/preferences'
import type { StormPost } from '~~/core/storm/watch'
import type { StormJob } from '~~/shared/contract'

/** What the wind of the next four days may bring down, where and when, and what to do about it. */
const { jobs, now } = defineProps<{ jobs: readonly StormJob[]; now: number }>()
const preferences = usePreferencesStore()
const NAMED = 4
const open = ref<ReadonlySet<string>>(new Set())
const shown = ({ id, posts }: StormJob) => (open.value.has(id) ? posts : posts.slice(0, NAMED))
const all = (id: string) => (open.value = new Set([...open.value, id]))

const percent = (chance: number) => (chance > 0.95 ? 'almost surely' : `${Math.round(chance * 100)} in 100`)
const when = (at: number) => timeWords(at, now)
const WHY: Record<StormPost['why'], string> = {
  green: 'its concrete is green',
  propped: 'green, on its props',
  gone: 'only its panels hold it',
  standing: 'as it stands',
}
function todo({ chance, why }: StormPost): string {
  if (why === 'green' || why === 'propped') return 'prop both faces, tie it back, panels off until it is hard'
  return chance > 0.5 ? 'take its panels out, tie them down, warn the owner' : 'prop it and tie it back'
}
const words = (post: StormPost) =>
  `${post.post}: ${percent(post.chance)} at ${when(post.at)}, ${preferences.measures.gust(post.gust)} against ${preferences.measures.gust(post.over)}, ${WHY[post.why]}. ${todo(post)}`
const text = computed(() =>
  jobs.map(({ name, posts }) => `${name}\n${posts.map((post) => `  ${words(post)}`).join('\n')}`).join('\n\n'),
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
    <div v-for="job in jobs" :key="job.id" class="job">
      <NuxtLink :to="`/jobs/${job.id}/look?post=${job.posts[0]!.post}`" class="name">{{ job.name }}</NuxtLink>
      <ul>
        <li v-for="post in shown(job)" :key="`${post.line} ${post.post}`">
          <strong class="measure">{{ post.post }}</strong>
          <span class="measure chance">{{ percent(post.chance) }}</span>
          <span
            >{{ when(post.at) }}: {{ preferences.measures.gust(post.gust) }} against
            {{ preferences.measures.gust(post.over) }}, {{ WHY[post.why] }}</span
          >
          <span class="todo">{{ todo(post) }}</span>
        </li>
      </ul>
      <v-btn v-if="job.posts.length > shown(job).length" variant="text" @click="all(job.id)"
        >and {{ job.posts.length - shown(job).length }} more</v-btn
      >
    </div>
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
  grid-template-columns: 56px 112px minmax(0, 1fr) minmax(0, 1fr);
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
    grid-template-columns: 56px 1fr;
  }
  li span:nth-child(n + 3) {
    grid-column: 1 / -1;
  }
}
</style>
