<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useJobView } from '~/job/useJobView'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { Photograph } from '~~/core/document/job'
import { newIdentity } from '~/sync/identity'
import { preparePhotograph } from './preparePhotograph'
import { useJobStore } from '~/job/store'
import { usePhotographsStore } from '~/sync/photographs'
import { usePreferencesStore } from '~/session/preferences'

/** Photographs of the post, each pinned to a height on it. */
const store = useJobStore()
const photographs = usePhotographsStore()
const preferences = usePreferencesStore()
const view = useJobView()

const list = computed(() => view.post.value?.photographs ?? [])
const input = useTemplateRef<HTMLInputElement>('input')
const keepPlace = ref(false)
const busy = ref(false)
const failures = ref<string[]>([])

watch(
  () => view.post.value?.id,
  () => (failures.value = []),
)

async function take(): Promise<void> {
  const files = [...(input.value?.files ?? [])]
  input.value!.value = ''
  failures.value = []
  busy.value = true
  for (const file of files) await add(file).catch((error: Error) => failures.value.push(error.message))
  busy.value = false
}

async function add(file: File): Promise<void> {
  const { blob, ...facts } = await preparePhotograph(file, keepPlace.value)
  const id = newIdentity()
  await photographs.keep(store.id, id, blob)
  await put({ id, ...facts, height: 0, ...preferences.signed() })
}
const put = (value: Photograph) =>
  store.edit([{ name: 'putPhotograph', ...view.address.value, photograph: value.id, value }])
const remove = (photograph: string) =>
  store.edit([{ name: 'putPhotograph', ...view.address.value, photograph, value: null }])
const setHeight = (photograph: Photograph) => (height: number | null) => {
  const { height: _height, ...rest } = photograph
  return put(height === null ? rest : { ...rest, height })
}
</script>

<template>
  <div class="panel-section">
    <h3>Photographs</h3>
    <p v-for="failure in failures" :key="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="photographs.refused" class="error-text" role="alert">{{ photographs.refused }}</p>
    <ul v-if="list.length" class="pins">
      <li v-for="(photograph, i) in list" :key="photograph.id">
        <img
          :src="photographs.addressOf(store.id, photograph.id)"
          :width="photograph.pixelWidth"
          :height="photograph.pixelHeight"
          :alt="`Photograph ${i + 1} of post ${view.post.value?.id}`"
          loading="lazy"
        />
        <LengthStepper
          :label="`Photograph ${i + 1}, height on the post`"
          :value="photograph.height"
          :step="0.1"
          :start="0"
          clearable
          :save="setHeight(photograph)"
        />
        <v-btn variant="text" :aria-label="`Take photograph ${i + 1} away`" @click="remove(photograph.id)"
          >Take away</v-btn
        >
      </li>
    </ul>
    <div class="row">
      <v-btn :loading="busy" @click="input?.click()">Add a photograph</v-btn>
      <label class="keep"><input v-model="keepPlace" type="checkbox" /> keep where it was taken</label>
    </div>
    <input
      ref="input"
      type="file"
      accept="image/*"
      multiple
      class="visually-hidden"
      aria-label="Photograph file"
      tabindex="-1"
      @change="take"
    />
  </div>
</template>

<style scoped>
.pins {
  list-style: none;
  padding: 0;
  margin-bottom: 12px;
}
.pins li {
  display: grid;
  grid-template-columns: 120px 1fr auto;
  gap: 12px;
  align-items: end;
  margin-top: 10px;
}
img {
  width: 120px;
  height: 90px;
  object-fit: cover;
  border: 1.5px solid var(--ink);
}
.keep {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 48px;
}
.keep input {
  width: 24px;
  height: 24px;
  accent-color: var(--ink);
}
@media (max-width: 760px) {
  .pins li {
    grid-template-columns: 120px 1fr;
  }
}
</style>
