<script setup lang="ts">
import { computed } from 'vue'
import type { ReliabilityBin } from '~~/core/record/opinion'

/** Chances that were said against how often it came so: right where the bar reaches the tick. */
const { bins } = defineProps<{ bins: readonly ReliabilityBin[] }>()
const WIDTH = 520
const LINE = 26
const LEFT = 110
const x = (share: number) => LEFT + share * (WIDTH - LEFT - 20)
const rows = computed(() =>
  bins.map((bin, i) => ({ ...bin, y: 8 + i * LINE, words: `said ${Math.round(bin.said * 100)} %` })),
)
const label = computed(
  () =>
    `Reliability: ${bins.map(({ said, came, count }) => `said ${Math.round(said * 100)} %, came ${Math.round(came * 100)} % of ${count}`).join('; ')}`,
)
</script>

<template>
  <svg v-if="bins.length" :viewBox="`0 0 ${WIDTH} ${bins.length * LINE + 16}`" role="img" :aria-label="label">
    <g v-for="row in rows" :key="row.y">
      <text :x="LEFT - 8" :y="row.y + 14" text-anchor="end">{{ row.words }}</text>
      <rect :x="LEFT" :y="row.y" :width="Math.max(1, x(row.came) - LEFT)" height="16" />
      <line :x1="x(row.said)" :x2="x(row.said)" :y1="row.y - 3" :y2="row.y + 19" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 560px;
  margin: 8px 0;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
rect {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
}
line {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
