<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { useFileDialog } from '@vueuse/core'
import { readPostsFile, type TableFile } from '~/exchange/files'
import PostsTable from '~/exchange/PostsTable.vue'
import type { Job, Line } from '~~/core/document/job'
import { JOB_FORMAT, JOB_VERSION } from '~~/core/document/vocabulary'
import { InputError } from '~~/core/errors'
import { LARGEST } from '~~/core/limits'
import { entries } from '~/session/deviceWords'
import { queue, storage } from '~/sync/device'
import { sendUnsentFile, UNSENT_FORMAT } from '~/sync/unsentFile'
import NewJobForm from './NewJobForm.vue'
import { useMaking } from './useMaking'

/** Ways into a job: make one with a straight line, or open a job file, a table of posts or a line on the earth. */
const emit = defineEmits<{ made: [id: string] }>()
const { busy, failure, make } = useMaking((id) => emit('made', id))
/** In the document's own words where it is one that was opened. */
const opened = (name: string, text: string) => make(() => JSON.parse(text) as unknown, name)

const open = ref(false)
const table = shallowRef<TableFile>()
const dialog = useFileDialog({
  accept: '.json,.csv,.tsv,.txt,.geojson,application/json,text/csv',
  multiple: false,
  reset: true,
})
const GEOJSON = /"type"\s*:\s*"(FeatureCollection|Feature|LineString)"/

/** A job file is opened as it is; a table of posts or a line on the earth becomes a new job. */
dialog.onChange(async (files) => {
  const [picked] = files ?? []
  if (!picked) return
  failure.value = ''
  table.value = undefined
  queued.value = ''
  // With its pictures it is larger than any job.
  const isUnsent = (await picked.slice(0, 200).text()).includes(`"${UNSENT_FORMAT}"`)
  if (!isUnsent && picked.size > LARGEST.document) {
    failure.value = `${picked.name} has ${(picked.size / 1e6).toFixed(0)} MB; a job file has ${LARGEST.document / 1e6} MB at most.`
    return
  }
  const text = await picked.text()
  if (isUnsent) return sendUnsent(text, picked.name)
  if (/\.json$/i.test(picked.name) && !GEOJSON.test(text)) return opened(picked.name, text)
  try {
    const found = await readPostsFile(picked)
    if (found.kind === 'table') table.value = found.table
    else await makeOf(found.linesOf('A'), found.name)
  } catch (error) {
    failure.value = (error as Error).message
  }
})
const queued = ref('')
/** What a device could not send under its own account goes out from here. */
async function sendUnsent(text: string, name: string): Promise<void> {
  try {
    const { name: by, count } = await sendUnsentFile(JSON.parse(text), storage, queue)
    queued.value = `${entries(count)} by ${by || 'somebody'} ${count === 1 ? 'goes' : 'go'} out now.`
  } catch (error) {
    if (!(error instanceof InputError || error instanceof SyntaxError || error instanceof DOMException)) throw error
    failure.value = `${name} was not taken: ${error.message}`
  }
}
function makeOf(lines: Line[], name: string): Promise<void> {
  const job: Job = { format: JOB_FORMAT, version: JOB_VERSION, name: name.replace(/\.\w+$/, ''), lines }
  return make(() => job, name)
}
</script>

<template>
  <div class="ways">
    <v-btn variant="flat" color="primary" :aria-expanded="open" @click="open = !open">New job</v-btn>
    <v-btn :loading="busy" @click="dialog.open()">Open a file</v-btn>
  </div>
  <p v-if="failure" class="error-text full" role="alert">{{ failure }}</p>
  <p v-if="queued" class="full" role="status">{{ queued }}</p>
  <PostsTable
    v-if="table"
    class="full"
    :table="table"
    line="A"
    :busy="busy"
    @take="(lines) => makeOf(lines, table!.name)"
    @leave="table = undefined"
  />
  <NewJobForm v-if="open" class="full" @made="(id: string) => emit('made', id)" />
</template>

<style scoped>
.ways {
  display: flex;
  gap: 10px;
}
.full {
  flex: 1 0 100%;
}
</style>
