<script setup lang="ts">
import { computed } from 'vue'
import { useCost } from './useCost'

/** Each van as a beam: as long as it may carry, as much of it filled as is loaded. */
const { width } = defineProps<{ width: number }>()
const cost = useCost()
const { preferences } = cost
const HEIGHT = 26
const beams = computed(() => {
  const { vans } = cost.load.value
  const most = Math.max(...vans.map(({ mass, vehicle }) => Math.max(mass, vehicle.payload)))
  const scale = (width - 2) / most
  return vans.map(({ vehicle, mass, trips }) => ({
    key: vehicle.key,
    payload: vehicle.payload * scale,
    mass: mass * scale,
    isOver: mass > vehicle.payload,
    says: `${vehicle.name}: ${preferences.measures.mass(mass)} of ${preferences.measures.mass(vehicle.payload)}${trips > 1 ? `, ${trips} trips` : ''}`,
  }))
})
const home = computed(() => {
  const { home: mass, homeTrips } = cost.load.value
  return mass > 0
    ? `Home with ${preferences.measures.mass(mass)} of spoil and old concrete${homeTrips > 1 ? `, ${homeTrips} trips` : ''}.`
    : ''
})
</script>

<template>
  <section aria-labelledby="mass-title">
    <h3 id="mass-title">In the van</h3>
    <div v-for="beam in beams" :key="beam.key">
      <p :class="{ over: beam.isOver }">{{ beam.says }}</p>
      <svg :width="width" :height="HEIGHT" aria-hidden="true">
        <rect x="1" y="4" :width="beam.mass" :height="HEIGHT - 8" class="mass" :class="{ over: beam.isOver }" />
        <rect x="1" y="4" :width="beam.payload" :height="HEIGHT - 8" class="payload" />
        <line :x1="beam.payload + 1" :x2="beam.payload + 1" y1="0" :y2="HEIGHT" class="limit" />
      </svg>
    </div>
    <p v-for="each in cost.load.value.tooLong" :key="each.key" class="caution">
      {{ each.key.replaceAll(/[/-]/g, ' ') }}: {{ preferences.show(each.length) }} is longer than any bed.
    </p>
    <p v-if="home" class="soft">{{ home }}</p>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 0;
}
.over {
  font-weight: 600;
  color: var(--error);
}
.payload {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.mass {
  fill: rgb(var(--v-theme-concrete));
}
rect.mass.over {
  fill: var(--error);
}
.limit {
  stroke: var(--ink);
  stroke-width: 4;
}
</style>
