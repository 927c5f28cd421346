<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useFileDialog } from '@vueuse/core'
import { useJobSession, useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { Photograph } from '~~/core/document/job'
import { usePhotographs } from '~/job/usePhotographs'
import { pictures } from '~/sync/device'

/** Photographs of the post, each pinned to a height on it. */
const session = useJobSession()
const { refused } = pictures
const view = useJobView()
const photographs = usePhotographs()

const list = computed(() => view.post.value?.photographs ?? [])
const dialog = useFileDialog({ accept: 'image/*', reset: true })
const keepPlace = ref(false)
const busy = ref(false)
const failures = ref<string[]>([])

watch(
  () => view.post.value?.id,
  () => (failures.value = []),
)

dialog.onChange(async (picked) => {
  const files = [...(picked ?? [])]
  failures.value = []
  busy.value = true
  for (const file of files) await add(file).catch((error: Error) => failures.value.push(error.message))
  busy.value = false
})

const add = (file: File) => photographs.add(file, { height: 0, keepPlace: keepPlace.value })
const put = (value: Photograph) =>
  session.edit([{ name: 'putPhotograph', ...view.address.value, photograph: value.id, value }])
const remove = (photograph: string) =>
  session.edit([{ name: 'putPhotograph', ...view.address.value, photograph, value: null }])
const STAGE_PICKS = [
  { value: 'before', title: 'it before' },
  { value: 'open-hole', title: 'the open hole' },
  { value: 'after', title: 'it after' },
]
function setStage(photograph: Photograph, stage: Photograph['stage'] | null) {
  const { stage: _stage, ...rest } = photograph
  return put(stage ? { ...rest, stage } : rest)
}
const setHeight = (photograph: Photograph) => (height: number | null) => {
  const { height: _height, ...rest } = photograph
  return put(height === null ? rest : { ...rest, height })
}
</script>

<template>
  <div class="panel-section">
    <h3>Photographs</h3>
    <p v-for="failure in failures" :key="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="refused" class="error-text" role="alert">{{ refused }}</p>
    <ul v-if="list.length" class="pins">
      <li v-for="(photograph, i) in list" :key="photograph.id">
        <img
          :src="pictures.addressOf(session.id, photograph.id)"
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
        <v-select
          :label="`Photograph ${i + 1} shows`"
          :items="STAGE_PICKS"
          :model-value="photograph.stage"
          hide-details
          clearable
          @update:model-value="setStage(photograph, $event)"
        />
        <v-btn variant="text" :aria-label="`Take photograph ${i + 1} away`" @click="remove(photograph.id)"
          >Take away</v-btn
        >
      </li>
    </ul>
    <div class="row">
      <v-btn :loading="busy" @click="dialog.open()">Add a photograph</v-btn>
      <v-checkbox v-model="keepPlace" label="keep where it was taken" />
    </div>
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
@media (max-width: 760px) {
  .pins li {
    grid-template-columns: 120px 1fr;
  }
}
</style>
