<script setup lang="ts">
import { JOB_FORMAT, JOB_VERSION } from '~~/core/document/vocabulary'
import { reactive, ref, shallowRef, useTemplateRef } from 'vue'
import PostsTable from '~/exchange/PostsTable.vue'
import type { InputError } from '~~/core/errors'
import type { Refusal } from '~/sync/api'
import { api } from '~/sync/api'
import { parseTape } from '~~/core/setout/tape'
import { readPostsFile, type TableFile } from '~/exchange/files'
import { usePreferencesStore } from '~/session/preferences'
import { type Job, type Line } from '~~/core/document/job'

/** Ways into a job: make one with a straight line, or open a job file, a table of posts or a line on the earth. */
const emit = defineEmits<{ made: [id: string] }>()
const preferences = usePreferencesStore()

const open = ref(false)
const busy = ref(false)
const failure = ref('')
const table = shallowRef<TableFile>()
const form = reactive({ name: '', tape: '7 x 2.4 m', height: '1.8 m' })
const errors = reactive<Record<string, string>>({})
const file = useTemplateRef<HTMLInputElement>('file')

const FIELDS = {
  name: 'What is it called?',
  tape: 'Posts: tape readings, or bays',
  height: 'Height of the fence',
} as const
const LARGEST_FILE = 5e6
const GEOJSON = /"type"\s*:\s*"(FeatureCollection|Feature|LineString)"/

/** A field read by the core; what it refuses is said at the field. */
function read<T>(key: keyof typeof form, reader: () => T): T | undefined {
  try {
    return reader()
  } catch (error) {
    errors[key] = (error as InputError).message
    return undefined
  }
}

async function make(): Promise<void> {
  for (const key of Object.keys(errors)) Reflect.deleteProperty(errors, key)
  read('tape', () => parseTape(form.tape, preferences.units))
  const height = read('height', () => preferences.parse(form.height, 'height'))
  if (height === undefined || Object.keys(errors).length > 0) return
  const wanted = { name: form.name, tape: form.tape, units: preferences.units, height }
  await tell(async () => emit('made', (await api.createJob(wanted)).id))
}

/** A job file is opened as it is; a table of posts or a line on the earth becomes a new job. */
async function pick(): Promise<void> {
  const [picked] = file.value?.files ?? []
  if (!picked) return
  file.value!.value = ''
  failure.value = ''
  table.value = undefined
  if (picked.size > LARGEST_FILE) {
    failure.value = `${picked.name} has ${(picked.size / 1e6).toFixed(0)} MB; a job file has 5 MB at most.`
    return
  }
  const text = await picked.text()
  if (/\.json$/i.test(picked.name) && !GEOJSON.test(text)) {
    return tell(async () => emit('made', (await api.importJob(text)).id), picked.name)
  }
  try {
    const found = await readPostsFile(picked)
    if (found.kind === 'table') table.value = found.table
    else await makeOf([found.lineOf('A')], found.name)
  } catch (error) {
    failure.value = (error as Error).message
  }
}
function makeOf(lines: Line[], name: string): Promise<void> {
  const job: Job = { format: JOB_FORMAT, version: JOB_VERSION, name: name.replace(/\.\w+$/, ''), lines }
  return tell(async () => emit('made', (await api.importJob(JSON.stringify(job))).id), name)
}

/** Runs a request; what it refuses is said at the field that it names, or beside the buttons. */
async function tell(request: () => Promise<void>, subject = ''): Promise<void> {
  busy.value = true
  failure.value = ''
  try {
    await request()
  } catch (error) {
    const { message, body } = error as Refusal
    if (!subject && body.key && body.key in FIELDS) errors[body.key] = message
    else failure.value = subject ? `${subject} was not opened: ${message}` : message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="ways">
    <v-btn variant="flat" color="primary" :aria-expanded="open" @click="open = !open">New job</v-btn>
    <v-btn :loading="busy" @click="file?.click()">Open a file</v-btn>
    <input
      ref="file"
      type="file"
      accept=".json,.csv,.tsv,.txt,.geojson,application/json,text/csv"
      class="visually-hidden"
      aria-label="Job file"
      tabindex="-1"
      @change="pick"
    />
  </div>
  <p v-if="failure" class="error-text full" role="alert">{{ failure }}</p>
  <PostsTable
    v-if="table"
    class="full"
    :table="table"
    line="A"
    :busy="busy"
    @take="(lines) => makeOf(lines, table!.name)"
    @leave="table = undefined"
  />
  <form v-if="open" class="form full" novalidate @submit.prevent="make">
    <v-text-field
      v-for="(label, key) in FIELDS"
      :key="key"
      v-model="form[key]"
      :label="label"
      :error-messages="errors[key] ?? []"
    />
    <v-btn type="submit" variant="flat" color="primary" :loading="busy">Make it</v-btn>
  </form>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 10px;
}
.full {
  flex: 1 0 100%;
}
.form {
  display: grid;
  grid-template-columns: 2fr 2fr 1fr auto;
  gap: 12px;
  align-items: start;
  padding: 6px 0;
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
