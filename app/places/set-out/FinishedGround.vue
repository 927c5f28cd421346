<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import { usePreferencesStore } from '~/session/preferences'
import { finishLevel } from '~~/core/setout/finishLevel'

/** How high soil, turf or gravel may come, so that wood stays clear of it. */
const view = useJobView()
const preferences = usePreferencesStore()
const thickness = ref(0.04)
const level = computed(() => finishLevel(view.line.value!.gap, thickness.value))
async function put(value: number | null): Promise<undefined> {
  thickness.value = value ?? 0
}
</script>

<template>
  <div>
    <LengthStepper label="What is laid, thick" small :value="thickness" :step="0.005" :smallest="0" :save="put" />
    <p v-if="level.finish >= 0">
      It may come {{ preferences.showSmall(level.finish) }} over the ground as it is:
      {{ preferences.showSmall(0.05) }} stay free under the cladding.
    </p>
    <p v-else class="caution">
      The cladding hangs {{ preferences.showSmall(view.line.value!.gap) }} over the ground: take
      {{ preferences.showSmall(-level.finish) }} of soil away before anything is laid.
    </p>
    <p>Concrete ends {{ preferences.showSmall(level.concreteBelow) }} below what is laid.</p>
  </div>
</template>
