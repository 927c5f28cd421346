<script setup lang="ts">
import { computed } from 'vue'
import { bagWords } from './holeWords'
import { showMinutes } from '~~/core/units/quantity'
import { holeCurve, type CurvePoint } from '~~/core/hole/curve'
import { usePreferencesStore } from '~/session/preferences'
import { useHoleBench } from './useHoleBench'

/** Depth by width for every tool, drawn as the holes themselves in one scale, to pick from. */
const props = defineProps<{ width: number; take: (change: { diameter: number; depth: null }) => unknown }>()
const preferences = usePreferencesStore()
const { kept } = useHoleBench()
const curve = computed(() => (kept.value ? holeCurve(kept.value) : { points: [] }))

/** px per metre of the small holes. */
const SCALE = 90
const deepest = computed(() => Math.max(0.3, ...curve.value.points.map(({ plan }) => plan.hole?.depth ?? 0)))
const isBest = ({ width }: CurvePoint) => 'best' in curve.value && curve.value.best?.width === width
const isNow = ({ width }: CurvePoint) => Math.abs(width - props.width) < 1e-6
</script>

<template>
  <ul class="curve" aria-label="Depth by width">
    <li v-for="point in curve.points" :key="point.width">
      <button
        type="button"
        :aria-pressed="isNow(point)"
        :class="{ against: point.because }"
        @click="take({ diameter: point.width, depth: null })"
      >
        <svg :width="0.62 * SCALE" :height="deepest * SCALE + 4" aria-hidden="true">
          <line x1="0" :x2="0.62 * SCALE" y1="1" y2="1" />
          <rect
            :x="((0.62 - point.width) / 2) * SCALE"
            y="1"
            :width="point.width * SCALE"
            :height="(point.plan.hole?.depth ?? 0) * SCALE"
          />
        </svg>
        <strong>{{ preferences.show(point.width) }}</strong>
        <span>{{ preferences.show(point.plan.hole!.depth) }} deep</span>
        <span v-if="point.plan.concrete" class="soft">{{ bagWords(point.plan.concrete.bags.exactCount) }}</span>
        <span class="soft">{{ showMinutes(point.plan.minutes) }}</span>
        <span v-if="point.because" class="why">{{ point.because }}</span>
        <span v-else-if="isBest(point)" class="best">least work</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.curve {
  display: flex;
  gap: 6px;
  list-style: none;
  padding: 0 0 6px;
  overflow-x: auto;
}
button {
  display: grid;
  justify-items: center;
  min-width: 78px;
  min-height: 48px;
  height: 100%;
  padding: 6px 4px;
  align-content: start;
  border: 1.5px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 14px;
  line-height: 1.2;
  cursor: pointer;
}
button[aria-pressed='true'] {
  border: 3px solid var(--ink);
  padding: 4.5px 2.5px;
}
rect {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
  stroke-width: 1.2;
}
.against rect {
  fill: none;
  stroke-dasharray: 4 3;
}
line {
  stroke: var(--ink);
  stroke-width: 2;
}
strong {
  font-family: var(--measure);
  font-size: 17px;
}
.why {
  color: var(--error);
}
.best {
  font-weight: 600;
}
</style>
