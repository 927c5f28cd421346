<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { concreteToMove, supplyOptions } from '~~/core/concrete/supply'
import { showMinutes } from '~~/core/units/quantity'
import { usePreferencesStore } from '~/session/preferences'
import { openHoles } from './openHoles'

/** Barrow, mixer or lorry for all the holes of the line that are to be filled. */
const view = useJobView()
const preferences = usePreferencesStore()
const fromLorry = ref(10)
const holes = computed(() => openHoles(view.plan.value!, view.line.value!))
const volume = computed(() => holes.value.reduce((sum, { plan }) => sum + plan.concrete!.concrete, 0))
const options = computed(() => supplyOptions(volume.value, fromLorry.value, view.tables.value.supply))
const moved = computed(() => concreteToMove(volume.value))
</script>

<template>
  <FoldOut title="Where the concrete comes from">
    <p>
      {{ holes.length }} {{ holes.length === 1 ? 'hole' : 'holes' }} of this line:
      {{ preferences.measures.volume(volume) }}, {{ preferences.measures.mass(moved.mass) }}, {{ moved.barrows }}
      {{ moved.barrows === 1 ? 'barrow' : 'barrows' }}.
    </p>
    <div class="field-grid">
      <LengthStepper
        label="From the lorry to the holes"
        :value="fromLorry"
        :step="5"
        :smallest="0"
        :save="async (value) => void (fromLorry = value ?? 0)"
      />
    </div>
    <ul class="options">
      <li v-for="option in options" :key="option.key" :class="{ first: option.recommended }">
        <strong>{{ option.name }}</strong> · {{ showMinutes(option.minutes) }} ·
        <span class="soft">{{ option.because }}</span>
      </li>
    </ul>
    <p class="soft">What is left over goes into the next hole: have one dug.</p>
  </FoldOut>
</template>

<style scoped>
.options {
  list-style: none;
  padding: 0;
}
.options li {
  padding: 6px 0 6px 10px;
  border-left: 5px solid transparent;
}
.options .first {
  border-left-color: var(--ink);
}
</style>
