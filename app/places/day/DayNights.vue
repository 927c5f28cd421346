<script setup lang="ts">
import { usePreferencesStore } from '~/session/preferences'
import { LOOSE_GUST } from '~~/core/day/question'
import type { DayBand } from './model/dayModel'

/** What lies between two visits, over the concrete that hardens meanwhile. */
defineProps<{ bands: readonly DayBand[]; width: number }>()
const preferences = usePreferencesStore()
</script>

<template>
  <template v-for="{ day, night } in bands" :key="day">
    <text
      v-if="night"
      :y="night.y"
      :x="width / 2"
      class="night"
      :class="{ hard: night.temperature < 0 || night.gust > LOOSE_GUST }"
    >
      until the next visit down to {{ preferences.measures.temperature(Math.floor(night.temperature)) }}, gusts to
      {{ preferences.measures.gust(night.gust) }}
    </text>
  </template>
</template>

<style scoped>
.night {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 6px;
}
.night.hard {
  font-weight: 600;
  fill: var(--error);
}
</style>
