<script setup lang="ts">
import { computed } from 'vue'
import type { ComparedWay } from '~~/core/choose/compare'
import type { Plan } from '~~/core/plan/types'
import { gustFigure, gustUnit, oneGust, showMinutes } from '~~/core/units/quantity'
import { usePreferencesStore } from '~/session/preferences'
import { tradeOffModel } from './tradeOffModel'

/** What more hold costs in work; what is beaten in everything stands hollow, with what beats it. */
const { compared, target } = defineProps<{ compared: readonly ComparedWay[]; target: Plan['target'] }>()
const preferences = usePreferencesStore()
const SIZE = { width: 300, height: 170 }
const model = computed(() => tradeOffModel(compared, target.gust, SIZE, oneGust(preferences.units)))
</script>

<template>
  <figure class="panel-section">
    <figcaption>
      <h3>What more hold costs in work</h3>
    </figcaption>
    <svg
      viewBox="-46 -12 362 222"
      role="img"
      :aria-label="`Work against the gust that ${compared.length} repairs hold`"
    >
      <g v-for="{ at, minutes } in model.hours" :key="minutes" class="grid">
        <line x1="0" :x2="SIZE.width" :y1="at" :y2="at" />
        <text x="-6" :y="at + 4" text-anchor="end">{{ minutes === 0 ? '0' : showMinutes(minutes) }}</text>
      </g>
      <g v-for="{ at, gust } in model.gusts" :key="gust" class="grid">
        <line :x1="at" :x2="at" :y1="SIZE.height" :y2="SIZE.height + 5" />
        <text :x="at" :y="SIZE.height + 20" text-anchor="middle">{{ gustFigure(gust, preferences.units) }}</text>
      </g>
      <text :x="SIZE.width" :y="SIZE.height + 36" text-anchor="end" class="unit">
        goes over at, {{ gustUnit(preferences.units) }}
      </text>
      <line class="target" :x1="model.target" :x2="model.target" y1="-4" :y2="SIZE.height" />
      <text class="target-name" :x="model.target + 4" y="4">target</text>
      <g v-for="mark in model.marks" :key="mark.numbers[0]" class="mark" :class="{ beaten: mark.isBeaten }">
        <circle :cx="mark.x" :cy="mark.y" r="6" />
        <text :x="mark.x + 10" :y="mark.y + 5">{{ mark.numbers.join(', ') }}</text>
      </g>
    </svg>
    <ol>
      <li v-for="{ way, beatenBy } in compared" :key="way.method">
        {{ way.name }}: {{ showMinutes(way.minutes)
        }}<template v-if="way.holdingGust !== undefined">, {{ preferences.measures.gust(way.holdingGust) }}</template
        >.
        <span v-if="beatenBy" class="soft">{{ beatenBy.name }} is as good in everything and better in something.</span>
      </li>
    </ol>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-width: 560px;
  height: auto;
}
text {
  font-size: 13px;
  fill: var(--ink);
}
.grid line {
  stroke: var(--rule);
}
.target {
  stroke: var(--string);
  stroke-width: 2;
}
.target-name {
  fill: var(--string-ink);
  font-weight: 600;
}
.mark text {
  font-weight: 600;
}
.mark circle {
  fill: var(--ink);
  stroke: var(--ink);
  stroke-width: 2;
}
.beaten circle {
  fill: var(--paper);
}
.beaten text {
  fill: var(--soft-ink);
}
ol {
  padding-left: 22px;
}
li {
  padding: 3px 0;
}
</style>
