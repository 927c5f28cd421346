<script setup lang="ts">
import { computed, reactive } from 'vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { usePreferencesStore } from '~/session/preferences'
import { diagonal, threeFourFive } from '~~/core/setout/cut'
import { InputError } from '~~/core/errors'

/** A corner by its diagonal, and the longest 3-4-5 that its legs allow. */
const preferences = usePreferencesStore()
const measures = reactive<{ a: number; b: number; measured: number | undefined }>({ a: 3, b: 4, measured: undefined })
async function put(key: 'a' | 'b' | 'measured', value: number | null): Promise<InputError | undefined> {
  if (value === null) measures.measured = undefined
  else if (value <= 0) return new InputError(key, value, 'longer than nothing')
  else measures[key] = value
  return undefined
}
/** A tape's mark: 100 mm, or three inches. */
const step = computed(() => (preferences.units === 'metric' ? 0.1 : 0.0762))
const legs = computed(() => threeFourFive(measures.a, measures.b, step.value))
const found = computed(() => {
  try {
    return diagonal(measures.a, measures.b, measures.measured)
  } catch (error) {
    return { diagonal: Math.hypot(measures.a, measures.b), wrong: (error as InputError).message }
  }
})
const off = computed(() => {
  const angle = 'angle' in found.value ? found.value.angle : undefined
  if (angle === undefined) return ''
  const degrees = (angle * 180) / Math.PI - 90
  if (Math.abs(degrees) < 0.05) return 'Square.'
  return `${Math.abs(degrees).toFixed(1)}° ${degrees > 0 ? 'open' : 'closed'}: the diagonal is ${preferences.showSmall(Math.abs(measures.measured! - found.value.diagonal))} too ${degrees > 0 ? 'long' : 'short'}.`
})
</script>

<template>
  <div>
    <div class="field-grid">
      <LengthStepper
        label="One leg"
        :value="measures.a"
        :step="0.1"
        :smallest="0.1"
        :save="(value) => put('a', value)"
      />
      <LengthStepper
        label="The other leg"
        :value="measures.b"
        :step="0.1"
        :smallest="0.1"
        :save="(value) => put('b', value)"
      />
      <LengthStepper
        label="Diagonal, as measured"
        :value="measures.measured"
        :start="found.diagonal"
        :step="0.005"
        clearable
        :save="(value) => put('measured', value)"
      />
    </div>
    <p>
      Square at <strong>{{ preferences.show(found.diagonal) }}</strong
      >. {{ off }}{{ 'wrong' in found ? found.wrong : '' }}
    </p>
    <p v-if="legs" class="soft">
      Without measuring a length: {{ preferences.show(legs.a) }}, {{ preferences.show(legs.b) }} and
      {{ preferences.show(legs.diagonal) }} across.
    </p>
  </div>
</template>
