<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { useFileDialog } from '@vueuse/core'
import { useJobSession, useJobView } from '~/job/openJob'
import PostsTable from '~/exchange/PostsTable.vue'
import { jobGeoJson } from '~~/core/exchange/geojson'
import { tables } from '~~/data/tables'
import { postsTable } from '~~/core/exchange/posts'
import type { Command } from '~~/core/edit/commands'
import { jobFileName } from '~~/core/document/fileName'
import { nextLineId } from '~~/core/edit/grow'
import type { Job, Line, Post } from '~~/core/document/job'
import { linesDrawing } from '~~/core/report/lineDrawing'
import { csvOf, readPostsFile, saveFile, type TableFile } from '~/exchange/files'

/** Posts from a table or from a line on the earth, and the whole job out again. Works without a signal. */
const session = useJobSession()
const view = useJobView()
const dialog = useFileDialog({
  accept: '.csv,.txt,.tsv,.json,.geojson,text/csv,application/geo+json',
  multiple: false,
  reset: true,
})
const table = shallowRef<TableFile>()
const failure = ref('')
const said = ref('')

dialog.onChange(async (files) => {
  const [file] = files ?? []
  if (!file) return
  failure.value = said.value = ''
  try {
    const picked = await readPostsFile(file)
    if (picked.kind === 'table') table.value = picked.table
    else await take(picked.linesOf(nextLineId(session.job!)))
  } catch (error) {
    failure.value = (error as Error).message
  }
})

/** Lines and posts whose names are taken already get new ones. */
async function take(lines: ({ id: string; posts: Post[] } & Partial<Line>)[]): Promise<void> {
  const taken = new Set(session.job!.lines.flatMap((line) => [line.id, ...line.posts.map(({ id }) => id)]))
  let job = session.job!
  const fresh = lines.map(({ id, posts, ...facts }): Line => {
    const name = taken.has(id) ? nextLineId(job) : id
    const { kind, height, gap } = view.line.value!
    const renamed = posts.some((post) => taken.has(post.id)) || name !== id
    const line = {
      id: name,
      kind,
      height,
      gap,
      ...facts,
      posts: renamed ? posts.map((post, i) => ({ ...post, id: `${name}${i + 1}` })) : posts,
    }
    job = { ...job, lines: [...job.lines, line] }
    return line
  })
  await addLines(fresh)
}
async function addLines(lines: Line[]): Promise<void> {
  const refused = await session.edit(lines.map((line): Command => ({ name: 'putLine', line: line.id, value: line })))
  failure.value = refused?.message ?? ''
  if (refused) return
  table.value = undefined
  said.value = lines.map(({ id, posts }) => `Line ${id} with ${posts.length} posts.`).join(' ')
  view.choose(lines[0]!.posts[0]!.id)
}

/** Posts whose repair was chosen: they are marked in the drawing. */
const workedOn = (job: Job) =>
  new Set(job.lines.flatMap(({ posts }) => posts.filter(({ repair }) => repair?.method).map(({ id }) => id)))
const nameOf = (extension: string) => jobFileName(session.job!.name).replace(/json$/, extension)
function save(kind: 'job' | 'csv' | 'geojson' | 'plan' | 'svg'): void {
  failure.value = ''
  const job = session.job!
  try {
    if (kind === 'job') saveFile(nameOf('json'), JSON.stringify(job, null, 2), 'application/json')
    if (kind === 'plan') saveFile(nameOf('plan.json'), JSON.stringify(view.plan.value, null, 2), 'application/json')
    if (kind === 'svg')
      saveFile(nameOf('svg'), linesDrawing(view.resolved.value!.lines, workedOn(job)), 'image/svg+xml')
    if (kind === 'csv') saveFile(nameOf('csv'), csvOf(postsTable(job)), 'text/csv')
    if (kind === 'geojson')
      saveFile(nameOf('geojson'), JSON.stringify(jobGeoJson(job, tables.causes)), 'application/geo+json')
  } catch (error) {
    failure.value = (error as Error).message
  }
}
</script>

<template>
  <div>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <PostsTable v-if="table" :table="table" :line="nextLineId(session.job!)" @take="take" @leave="table = undefined" />
    <template v-else>
      <h3>Bring posts in</h3>
      <p class="soft">A table of posts (CSV), columns in any order, or a line on the earth (GeoJSON).</p>
      <v-btn class="space" @click="dialog.open()">Open a table or a line</v-btn>
      <div class="panel-section">
        <h3>Take the job along</h3>
        <div class="row">
          <v-btn @click="save('job')">Job file</v-btn>
          <v-btn @click="save('csv')">Posts as CSV</v-btn>
          <v-btn @click="save('geojson')">Line as GeoJSON</v-btn>
          <v-btn @click="save('svg')">Drawing as SVG</v-btn>
          <v-btn @click="save('plan')">All figures</v-btn>
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
