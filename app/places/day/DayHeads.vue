<script setup lang="ts">
import { useJobView } from '~/job/openJob'
import { clockWords } from '~/controls/timesOfDay'
import { MINUTE_MS } from '~~/core/weather/forecast'
import { dayWords } from './dayWords'
import type { DayModel } from './model/dayModel'
import { useDay } from './useDay'

/** The posts on their ground line, which stay in sight however far down the days go. */
defineProps<{ columns: DayModel['columns']; width: number }>()
const view = useJobView()
const day = useDay()
/** Day and hour of a post that is poured already. */
function pouredAt(address: string): string | undefined {
  const at = day.poured.value.find((each) => each.address === address)?.at
  if (at === undefined) return undefined
  const minute = Math.floor((at - day.midnight.value) / MINUTE_MS)
  return `${dayWords(day.midnight.value, minute, day.zone.value)} ${clockWords(minute)}`
}
</script>

<template>
  <svg class="heads" :width="width" height="54" aria-hidden="true">
    <rect x="0" y="0" :width="width" height="52" class="sky" />
    <g v-for="column in columns" :key="column.key">
      <line v-if="column.key !== 'site'" :x1="column.x" :x2="column.x" y1="24" y2="50" class="post" />
      <text v-if="pouredAt(column.key)" :x="column.x + 6" y="42">
        <title>poured {{ pouredAt(column.key) }}</title>
        ✓
      </text>
      <text :x="column.x" y="18" class="name" :class="{ chosen: column.name === view.post.value?.id }">
        {{ column.name }}
      </text>
    </g>
    <line x1="0" :x2="width" y1="51" y2="51" class="ground-line" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
.heads {
  position: sticky;
  top: 0;
  z-index: 1;
  margin-bottom: -54px;
}
.sky {
  fill: var(--paper);
}
.ground-line {
  stroke: var(--ink);
  stroke-width: 3;
}
.post {
  stroke: var(--ink);
  stroke-width: 4;
}
.name {
  font-weight: 600;
  font-size: 16px;
  text-anchor: middle;
}
.name.chosen {
  fill: var(--string-ink);
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
</style>
