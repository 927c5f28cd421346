<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import { usePours } from '~/pours/pours'
import { usePourEdits } from '~/pours/usePourEdits'
import { useTimes } from '~/pours/useTimes'
import { usePreferencesStore } from '~/session/preferences'
import type { InputError } from '~~/core/errors'
import type { PlannedPour } from '~~/core/pour/planned'

/** What goes into the chosen post, whether it may start now, and the button that starts its clock. */
const { wanted } = defineProps<{ wanted: PlannedPour }>()
const view = useJobView()
const pours = usePours()
const edits = usePourEdits()
const { when } = useTimes()
const preferences = usePreferencesStore()

const tables = computed(() => view.tables.value)
const name = computed(
  () => [...tables.value.mixes, ...tables.value.resins].find(({ key }) => key === wanted.mix)?.name ?? wanted.mix,
)
const filling = computed(() => tables.value.fillings.find(({ key }) => key === wanted.filling)?.name.toLowerCase())
const bags = computed(() => `${wanted.bags} ${wanted.bags === 1 ? 'bag' : 'bags'}`)
const works = computed(() => pours.workingMinutes(wanted))
const placing = computed(() => wanted.mixing + wanted.placing)
/** The first bag is the clock of the hole. */
const outlasts = computed(() => works.value !== null && placing.value > works.value)
const start = computed(() => pours.startOf(wanted))
const answer = computed(() => {
  const found = start.value
  if (!found) return { word: '', isOpen: true }
  if (found.at === null)
    return found.because === 'never-stiffens'
      ? { word: 'Do not pour: at or under freezing it never stiffens.', isOpen: false }
      : { word: 'Not today: nobody is here until it can no longer be moved.', isOpen: false }
  return found.waitsFor === 'nothing'
    ? { word: 'It may start now.', isOpen: true }
    : { word: `Start it at ${when(found.at)}: before that it is in the way of one that is wet.`, isOpen: false }
})
/** Somebody decides otherwise, and says so by tapping twice. */
const sure = ref(false)
const error = ref<InputError>()
async function begin(): Promise<void> {
  if (!answer.value.isOpen && !sure.value) return void (sure.value = true)
  error.value = await edits.start(wanted, pours.temperature.value, pours.weather.forecast.value)
}
const water = computed(() => preferences.measures.volume(wanted.water))
const isWaterInHole = computed(() => {
  const { met = [], saturated } = view.post.value!
  return saturated || met.some(({ kind }) => kind === 'water')
})
</script>

<template>
  <div>
    <p class="says">
      <strong>{{ wanted.post }}</strong
      ><template v-if="wanted.bags"> takes {{ bags }} of {{ name }}, {{ filling }}: {{ water }} of water.</template
      ><template v-else-if="wanted.concrete">
        takes {{ preferences.measures.volume(wanted.concrete) }} of {{ name }}.</template
      ><template v-else>: {{ name }}.</template>
    </p>
    <div class="row">
      <p class="figure">{{ works === null ? '–' : Math.floor(works) }}<small>min to move it</small></p>
      <p v-if="placing" class="figure">{{ Math.ceil(placing) }}<small>min to mix and place</small></p>
    </div>
    <p v-if="outlasts" class="caution">
      Mixing and placing all of it outlasts the first bag: {{ Math.ceil(placing) }} minutes against
      {{ Math.floor(works!) }}. Pour in water first, mix with more hands, or take a slower mix.
    </p>
    <p v-if="isWaterInHole" class="caution">
      Water stands in this ground: bail the hole, or place under it so that the water is pushed out.
    </p>
    <p role="status" class="answer">{{ answer.word }}</p>
    <v-btn block size="x-large" variant="flat" color="primary" @click="begin">{{
      sure
        ? 'Start it all the same'
        : wanted.concrete
          ? 'Water meets mix: start its clock'
          : 'Resin is mixed: start its clock'
    }}</v-btn>
    <p v-if="error" class="error-text" role="alert">{{ error.message }}</p>
  </div>
</template>

<style scoped>
.says {
  font-size: 18px;
}
.row {
  display: flex;
  gap: 28px;
  margin: 8px 0;
}
.answer {
  font-size: 18px;
  font-weight: 600;
  margin: 10px 0;
}
</style>
