<script setup lang="ts">
import { computed } from 'vue'
import { useLocalStorage } from '@vueuse/core'
import { mixPour, setting } from '~~/core/concrete/setting'
import type { Mix } from '~~/core/concrete/bags'
import QuantityField from '~/controls/QuantityField.vue'
import { usePreferencesStore } from '~/session/preferences'
import { hourWords } from './holeWords'

/** How long it can be worked, and when it carries what, at the temperature of the day. */
const { mix } = defineProps<{ mix: Mix }>()
const preferences = usePreferencesStore()
/** °C, of the ground and the mix: of the day, not of the job. */
const celsius = useLocalStorage('vindex-temperature', 10)

const inFahrenheit = computed(() => preferences.units !== 'metric')
const shown = computed(() => (inFahrenheit.value ? Math.round(celsius.value * 1.8 + 32) : celsius.value))
const LEAST = -20
const MOST = 45
async function save(value: number | null) {
  if (value === null) return undefined
  const asked = inFahrenheit.value ? (value - 32) / 1.8 : value
  celsius.value = Math.min(MOST, Math.max(LEAST, Math.round(asked * 10) / 10))
  return undefined
}
const found = computed(() => setting({ ...mixPour(mix), temperatures: [celsius.value], hours: 1 }))
const rows = computed(() => {
  const { milestones } = found.value
  return [
    { key: 'props', words: 'props may be loosened', hours: milestones.props },
    { key: 'boards', words: 'rails and boards back', hours: milestones.boards },
    { key: 'gate', words: 'a gate hung, load on', hours: milestones.gate },
  ]
})
</script>

<template>
  <div>
    <h3>Setting today</h3>
    <div class="field-grid">
      <QuantityField :label="`Temperature of the ground, ${inFahrenheit ? '°F' : '°C'}`" :value="shown" :save="save" />
    </div>
    <p v-if="found.workingMinutes === null" class="caution">At or under freezing it does not set: do not pour.</p>
    <template v-else>
      <p>
        <strong>{{ Math.round(found.workingMinutes) }} minutes</strong> before it stiffens: plumb it before then, and
        hands off.
      </p>
      <ul class="milestones">
        <li v-for="each in rows" :key="each.key">{{ each.words }}: after {{ hourWords(each.hours) }}</li>
      </ul>
      <p class="soft">The label’s own times are for 20 °C: {{ mix.stiffens }} min, hard in {{ mix.hard }}.</p>
    </template>
  </div>
</template>

<style scoped>
.milestones {
  margin: 6px 0;
}
</style>
