<script setup lang="ts">
import { computed } from 'vue'
import DrawingPatterns from '~/picture/DrawingPatterns.vue'
import DimensionLine from '~/picture/DimensionLine.vue'
import DrawnShape from '~/picture/DrawnShape.vue'
import { px, type Viewport } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'
import type { Metres } from '~~/core/units/types'
import { extentOf, type Measure, type Solid } from '~~/core/repair/solids'

/** A hole in section in true scale, with its measures in words; photographs beside it at their height on the post. */
const { solids, pins = [] } = defineProps<{
  solids: readonly Solid[]
  label: string
  pins?: { key: string; at: Metres; src?: string; alt: string }[]
}>()
const preferences = usePreferencesStore()

const WIDTH = 460
const HEIGHT = 460
/** So much of the post over the ground, and so much room under the hole, m. */
const ABOVE = 0.6
const BELOW = 0.24
const FAR = { width: 64, height: 48 }

const deepest = computed(() => Math.min(-0.3, ...solids.map(({ outline }) => extentOf(outline).bottom)))
const viewport = computed<Viewport>(() => {
  const pixelsPerMetre = HEIGHT / (ABOVE - deepest.value + BELOW)
  return { width: WIDTH, height: HEIGHT, pixelsPerMetre, groundY: ABOVE * pixelsPerMetre }
})
const origin = computed(() => WIDTH / 2 / viewport.value.pixelsPerMetre)
const measures = computed(() =>
  solids
    .flatMap((solid) => solid.measures ?? [])
    .filter(({ to }) => to[1] <= 0)
    .map((measure) => moved(measure)),
)
const moved = (measure: Measure): Measure => ({
  ...measure,
  from: [measure.from[0] + origin.value, measure.from[1]],
  to: [measure.to[0] + origin.value, measure.to[1]],
})
const words = computed(() =>
  measures.value.map((measure) => {
    const { pixelsPerMetre, groundY } = viewport.value
    const x = ((measure.from[0] + measure.to[0]) / 2) * pixelsPerMetre
    const y = groundY - ((measure.from[1] + measure.to[1]) / 2) * pixelsPerMetre
    const side = measure.side
    return {
      key: measure.key,
      text: [preferences.show(measure.length), measure.words].filter(Boolean).join(' '),
      x: px(side === 'left' ? x - 12 : side === 'below' ? x : x + 12),
      y: px(side === 'below' ? y + 22 : y + 5),
      anchor: side === 'left' ? 'end' : side === 'below' ? 'middle' : 'start',
    }
  }),
)
const placed = computed(() =>
  pins.map(({ at, ...pin }) => ({
    ...pin,
    x: 8,
    y: px(Math.min(HEIGHT - FAR.height, Math.max(0, viewport.value.groundY - at * viewport.value.pixelsPerMetre - 24))),
  })),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="label">
    <DrawingPatterns />
    <rect :y="viewport.groundY" :width="WIDTH" :height="HEIGHT - viewport.groundY" class="ground" />
    <DrawnShape v-for="solid in solids" :key="solid.key" :shape="solid" :viewport="viewport" :origin="origin" />
    <line x1="0" :x2="WIDTH" :y1="viewport.groundY" :y2="viewport.groundY" class="ground-line" />
    <DimensionLine v-for="each in measures" :key="each.key" :dimension="each" :viewport="viewport" />
    <text v-for="each in words" :key="each.key" :x="each.x" :y="each.y" :text-anchor="each.anchor" class="measure">
      {{ each.text }}
    </text>
    <g v-for="pin in placed" :key="pin.key">
      <image
        :href="pin.src"
        :x="pin.x"
        :y="pin.y"
        :width="FAR.width"
        :height="FAR.height"
        preserveAspectRatio="xMidYMid slice"
      >
        <title>{{ pin.alt }}</title>
      </image>
      <rect :x="pin.x" :y="pin.y" :width="FAR.width" :height="FAR.height" class="pin" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 520px;
  border: 1.5px solid var(--ink);
  background: rgb(var(--v-theme-background));
}
.ground {
  fill: url(#soil-clay);
}
.ground-line {
  stroke: rgb(var(--v-theme-ground));
  stroke-width: 4;
}
.pin {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
text {
  font-size: 19px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: rgb(var(--v-theme-background));
  stroke-width: 4px;
}
</style>
