<script setup lang="ts">
import { usePreferencesStore } from '~/session/preferences'
import type { Moment } from '~~/core/weather/forecast'
import { dayWords } from './dayWords'
import type { DayBand } from './model/dayModel'

/** The days one under the other: their hours and the weather down the side. */
defineProps<{ bands: readonly DayBand[]; width: number; midnight: Moment; zone: string }>()
const preferences = usePreferencesStore()
</script>

<template>
  <g v-for="band in bands" :key="band.day" class="band">
    <rect :y="band.top" :height="band.bottom - band.top" x="0" :width="width" class="day" />
    <text :y="band.top - 12" x="6" class="day-name">
      {{ dayWords(midnight, band.visit.from, zone) }}
    </text>
    <g v-for="hour in band.weather" :key="hour.y">
      <rect v-if="hour.rain > 0.5" :y="hour.y" x="48" width="40" :height="hour.height" class="rain" />
      <text
        :y="hour.y + hour.height / 2 + 5"
        x="86"
        class="weather"
        :class="{ hard: hour.temperature < 0 || hour.gust > 12 }"
      >
        {{ preferences.measures.temperature(hour.temperature).replace(/ .*/, '°') }}
        <template v-if="hour.gust > 8">~{{ Math.round(hour.gust) }}</template>
      </text>
    </g>
    <g v-for="hour in band.hours" :key="`h${hour.y}`">
      <line :y1="hour.y" :y2="hour.y" x1="44" :x2="width" class="hour" />
      <text :y="hour.y + 5" x="4" class="clock">{{ hour.says }}</text>
    </g>
  </g>
</template>

<style scoped>
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
.day-name {
  font-weight: 600;
  font-size: 16px;
}
.day {
  fill: rgb(var(--v-theme-faint));
}
.hour {
  stroke: var(--rule);
  stroke-width: 1;
}
.rain {
  fill: rgb(var(--v-theme-water));
  opacity: 0.6;
}
.weather.hard {
  font-weight: 600;
  fill: var(--error);
}
.weather {
  text-anchor: end;
}
</style>
