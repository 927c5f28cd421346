<script setup lang="ts">
import type { InputError } from '~~/core/errors'
import type { Refusal } from '~/outbox/api'
import { api } from '~/outbox/api'
import { usePreferencesStore } from '~/stores/preferences'

/** Two ways into a job: make one with a straight line, or open a job file from the disk. */
const emit = defineEmits<{ made: [id: string] }>()
const preferences = usePreferencesStore()

const open = ref(false)
const busy = ref(false)
const failure = ref('')
const form = reactive({ name: '', posts: '8', bay: '2.4 m', height: '1.8 m' })
const errors = reactive<Record<string, string>>({})
const file = useTemplateRef<HTMLInputElement>('file')

const FIELDS = {
  name: 'What is it called?',
  posts: 'How many posts?',
  bay: 'Bay, post to post',
  height: 'Height of the fence',
} as const
const LARGEST_FILE = 5e6

function parse(key: 'bay' | 'height'): number {
  try {
    return preferences.parse(form[key], key)
  } catch (error) {
    errors[key] = (error as InputError).message
    return Number.NaN
  }
}

async function make(): Promise<void> {
  for (const key of Object.keys(errors)) Reflect.deleteProperty(errors, key)
  const wanted = { name: form.name, posts: Number(form.posts), bay: parse('bay'), height: parse('height') }
  if (Object.keys(errors).length > 0) return
  await tell(async () => emit('made', (await api.createJob(wanted)).id))
}

async function read(): Promise<void> {
  const [picked] = file.value?.files ?? []
  if (!picked) return
  file.value!.value = ''
  if (picked.size > LARGEST_FILE) {
    failure.value = `${picked.name} has ${(picked.size / 1e6).toFixed(0)} MB; a job file has 5 MB at most.`
    return
  }
  const text = await picked.text()
  await tell(async () => emit('made', (await api.importJob(text)).id), picked.name)
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
    <v-btn :loading="busy" @click="file?.click()">Open a job file</v-btn>
    <input
      ref="file"
      type="file"
      accept=".json,application/json"
      class="visually-hidden"
      aria-label="Job file"
      tabindex="-1"
      @change="read"
    />
  </div>
  <p v-if="failure" class="error-text full" role="alert">{{ failure }}</p>
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
  grid-template-columns: 2fr 1fr 1fr 1fr auto;
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
