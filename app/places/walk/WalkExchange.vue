<script setup lang="ts">
import { ref, shallowRef, useTemplateRef } from 'vue'
import { useJobView } from '~/job/useJobView'
import PostsTable from '~/exchange/PostsTable.vue'
import { jobGeoJson } from '~~/core/exchange/geojson'
import { postsTable } from '~~/core/exchange/posts'
import type { Command } from '~~/core/edit/commands'
import { jobFileName } from '~~/core/document/fileName'
import { nextLineId } from '~~/core/document/grow'
import type { Line, Post } from '~~/core/document/job'
import { csvOf, readPostsFile, saveFile, type TableFile } from '~/exchange/files'
import { useJobStore } from '~/job/store'

/** Posts from a table or from a line on the earth, and the whole job out again. Works without a signal. */
const store = useJobStore()
const view = useJobView()
const input = useTemplateRef<HTMLInputElement>('input')
const table = shallowRef<TableFile>()
const failure = ref('')
const said = ref('')

async function pick(): Promise<void> {
  const [file] = input.value?.files ?? []
  if (!file) return
  input.value!.value = ''
  failure.value = said.value = ''
  try {
    const picked = await readPostsFile(file)
    if (picked.kind === 'table') table.value = picked.table
    else await addLines([picked.lineOf(nextLineId(store.job!))])
  } catch (error) {
    failure.value = (error as Error).message
  }
}

/** Lines and posts whose names are taken already get new ones. */
async function take(lines: { id: string; posts: Post[] }[]): Promise<void> {
  const taken = new Set(store.job!.lines.flatMap((line) => [line.id, ...line.posts.map(({ id }) => id)]))
  let job = store.job!
  const fresh = lines.map(({ id, posts }): Line => {
    const name = taken.has(id) ? nextLineId(job) : id
    const { kind, height, gap } = view.line.value!
    const renamed = posts.some((post) => taken.has(post.id)) || name !== id
    const line = {
      id: name,
      kind,
      height,
      gap,
      posts: renamed ? posts.map((post, i) => ({ ...post, id: `${name}${i + 1}` })) : posts,
    }
    job = { ...job, lines: [...job.lines, line] }
    return line
  })
  await addLines(fresh)
}
async function addLines(lines: Line[]): Promise<void> {
  const refused = await store.edit(lines.map((line): Command => ({ name: 'putLine', line: line.id, value: line })))
  failure.value = refused?.message ?? ''
  if (refused) return
  table.value = undefined
  said.value = lines.map(({ id, posts }) => `Line ${id} with ${posts.length} posts.`).join(' ')
  view.choose(lines[0]!.posts[0]!.id)
}

const nameOf = (extension: string) => jobFileName(store.job!.name).replace(/json$/, extension)
function save(kind: 'job' | 'csv' | 'geojson'): void {
  failure.value = ''
  const job = store.job!
  try {
    if (kind === 'job') saveFile(nameOf('json'), JSON.stringify(job, null, 2), 'application/json')
    if (kind === 'csv') saveFile(nameOf('csv'), csvOf(postsTable(job)), 'text/csv')
    if (kind === 'geojson') saveFile(nameOf('geojson'), JSON.stringify(jobGeoJson(job)), 'application/geo+json')
  } catch (error) {
    failure.value = (error as Error).message
  }
}
</script>

<template>
  <div>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <PostsTable v-if="table" :table="table" :line="nextLineId(store.job!)" @take="take" @leave="table = undefined" />
    <template v-else>
      <h3>Bring posts in</h3>
      <p class="soft">A table of posts (CSV), columns in any order, or a line on the earth (GeoJSON).</p>
      <v-btn class="space" @click="input?.click()">Open a table or a line</v-btn>
      <input
        ref="input"
        type="file"
        accept=".csv,.txt,.tsv,.json,.geojson,text/csv,application/geo+json"
        class="visually-hidden"
        aria-label="Table or line file"
        tabindex="-1"
        @change="pick"
      />
      <div class="panel-section">
        <h3>Take the job along</h3>
        <div class="row">
          <v-btn @click="save('job')">Job file</v-btn>
          <v-btn @click="save('csv')">Posts as CSV</v-btn>
          <v-btn @click="save('geojson')">Line as GeoJSON</v-btn>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.space {
  margin: 10px 0;
}
</style>
