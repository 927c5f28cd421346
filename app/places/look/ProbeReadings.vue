<script setup lang="ts">
import { ref, watch } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobView } from '~/job/openJob'
import { useInstrument } from '~/instruments/useInstrument'
import { useReadings } from '~/job/useReadings'
import InstrumentReading from '~/instruments/InstrumentReading.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import ReadingTrail from './ReadingTrail.vue'
/** How deep the wood is soft at three places, and how wet it is. */
const view = useJobView()
const { seen, record } = useReadings()

const PROBES = [
  { key: 'probeAtGround', label: 'Soft wood at the ground line' },
  { key: 'probeBelow', label: 'Soft wood below the ground' },
  { key: 'probeAbove', label: 'Soft wood a hand above' },
] as const

/** Wood that the stand-in is held against: fibre saturation is near 28 %. */
const DAMP = 24
const meter = useInstrument('moisture', () => seen.value.moisturePercent ?? DAMP)
const typed = ref('')
const error = ref('')
// What was typed belongs to one post.
watch(
  [() => seen.value.moisturePercent, () => view.post.value?.id],
  ([value]) => {
    typed.value = value === undefined ? '' : String(value)
    error.value = ''
  },
  { immediate: true },
)
async function take(value: number | null): Promise<void> {
  const refused = await record('moisturePercent', value, 'moisture-meter')
  error.value = refused ? `Moisture must be ${refused.range}` : ''
}
function takeTyped(): void {
  const text = typed.value.replace('%', '').replace(',', '.').trim()
  if (text === '') return void take(null)
  if (Number.isFinite(Number(text))) void take(Number(text))
  else error.value = `Moisture is "${typed.value}"; it must be a number of per cent`
}
</script>

<template>
  <div class="question">
    <h3>Probe the wood: how deep is it soft?</h3>
    <div class="field-grid">
      <div v-for="probe in PROBES" :key="probe.key" :data-question="probe.key">
        <LengthStepper
          :label="probe.label"
          :value="seen[probe.key]"
          :step="0.005"
          :start="0"
          :smallest="0"
          clearable
          :save="(value, stepped) => record(probe.key, value, 'eye', stepped)"
        />
        <ReadingTrail :observation="probe.key" />
      </div>
      <div data-question="moisturePercent">
        <v-text-field
          v-model="typed"
          label="Moisture of the wood, %"
          inputmode="decimal"
          :error-messages="error ? [error] : []"
          @change="takeTyped"
          @keydown.enter="takeTyped"
        />
        <ReadingTrail observation="moisturePercent" />
      </div>
    </div>
    <FoldOut title="Read it from a moisture meter">
      <InstrumentReading
        name="moisture meter"
        :instrument="meter"
        :show="(percent) => percent.toFixed(1)"
        unit="%"
        @take="take(Math.round($event * 10) / 10)"
      />
    </FoldOut>
  </div>
</template>

<style scoped>
h3 {
  font-size: 18px;
}
</style>
