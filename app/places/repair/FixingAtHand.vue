<script setup lang="ts">
import { computed } from 'vue'
import type { MethodPlan } from '~~/core/plan/types'
import { INCH } from '~~/core/units/constants'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { usePreferencesStore } from '~/session/preferences'
import { useFixing } from './useFixing'

/** Does the fixing out of the box fit, and what is bored and turned for it. */
const { method } = defineProps<{ method: MethodPlan }>()
const preferences = usePreferencesStore()
const { fixing, place, fit, cut, set } = useFixing(() => method)
const KINDS = [
  { value: 'bolt', words: 'bolt' },
  { value: 'screw', words: 'screw' },
] as const
const isMetric = computed(() => preferences.units === 'metric')
const per = computed(() => (isMetric.value ? 0.001 : INCH))
const unit = computed(() => (isMetric.value ? 'mm' : 'in'))
const small = (length: number) => preferences.measures.small(length)
const FIELDS = [
  { key: 'diameter', label: 'Thick' },
  { key: 'length', label: 'Long, under its head' },
  { key: 'hole', label: 'Hole that it goes through' },
  { key: 'washer', label: 'Washer, across' },
  { key: 'blade', label: 'Saw, depth of cut' },
] as const
const turned = computed(() => {
  const found = fit.value
  if (!found) return ''
  const pilot = found.pilot === null ? 'No pilot hole.' : `Bore ${small(found.pilot)} first.`
  const socket = found.socket === null ? '' : ` Socket ${small(found.socket)}.`
  return pilot + socket
})
</script>

<template>
  <div>
    <p class="soft">Through a {{ place.name }} of {{ small(place.part) }} into a post of {{ small(place.wood) }}.</p>
    <ChoiceBar v-model="fixing.kind" label="Kind of fixing" :choices="KINDS" />
    <div class="field-grid">
      <QuantityField
        v-for="{ key, label } in FIELDS"
        :key="key"
        :label="`${label}, ${unit}`"
        :value="fixing[key]"
        :per="per"
        :save="(value) => set(key, value)"
      />
    </div>
    <v-checkbox v-model="fixing.isOneSided" label="Only this side can be reached" hide-details />
    <v-checkbox
      v-if="place.isHarsh"
      v-model="fixing.isRustproof"
      label="Hot-dip galvanised or stainless"
      hide-details
    />
    <div role="status">
      <template v-if="fit">
        <p v-if="fit.fits"><strong>It fits.</strong></p>
        <ul v-else>
          <li v-for="refusal in fit.refusals" :key="refusal" class="error-text">{{ refusal }}</li>
        </ul>
        <p>{{ turned }}</p>
      </template>
      <p v-else class="soft">Say how thick and long it is, and the hole that it goes through.</p>
      <p v-if="cut">{{ cut }}</p>
    </div>
  </div>
</template>
