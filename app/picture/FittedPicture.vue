<script setup lang="ts">
import { computed } from 'vue'
import DimensionLine from '~/picture/DimensionLine.vue'
import DrawingPatterns from '~/picture/DrawingPatterns.vue'
import DrawnShape from '~/picture/DrawnShape.vue'
import { px, type Viewport } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'
import { extentOf } from '~~/core/repair/solids'
import type { FittedPicture } from './model/fitted'

/** A small drawing in true scale, fitted into its frame, with its measures in the units of the reader. */
const { picture, label } = defineProps<{ picture: FittedPicture; label: string }>()
const preferences = usePreferencesStore()
const SIZE = { width: 520, height: 300 }
/** Room for the words of the measures, px. */
const ROOM = { x: 84, y: 44 }

const measures = computed(() =>
  picture.solids.flatMap((solid) => solid.measures ?? []).filter(({ length }) => length > 1e-6),
)
const extent = computed(() => {
  const points = [
    ...picture.solids.filter(({ outline }) => outline.length > 1).flatMap(({ outline }) => outline),
    ...measures.value.flatMap(({ from, to }) => [from, to]),
  ]
  return extentOf(points)
})
const scale = computed(() => {
  const { left, right, bottom, top } = extent.value
  return Math.min(
    (SIZE.width - 2 * ROOM.x) / Math.max(1e-6, right - left),
    (SIZE.height - 2 * ROOM.y) / Math.max(1e-6, top - bottom),
  )
})
const viewport = computed<Viewport>(() => ({
  ...SIZE,
  pixelsPerMetre: scale.value,
  groundY: SIZE.height / 2 + (scale.value * (extent.value.top + extent.value.bottom)) / 2,
}))
const origin = computed(() => SIZE.width / 2 / scale.value - (extent.value.left + extent.value.right) / 2)
const words = computed(() =>
  measures.value.map((each) => {
    const x = ((each.from[0] + each.to[0]) / 2 + origin.value) * scale.value
    const y = viewport.value.groundY - ((each.from[1] + each.to[1]) / 2) * scale.value
    return {
      key: each.key,
      text: each.length < 0.02 ? preferences.showSmall(each.length) : preferences.show(each.length),
      x: px(each.side === 'left' ? x - 12 : each.side === 'right' ? x + 12 : x),
      y: px(each.side === 'above' ? y - 10 : each.side === 'below' ? y + 22 : y + 5),
      anchor: each.side === 'left' ? 'end' : each.side === 'right' ? 'start' : 'middle',
    }
  }),
)
const placed = computed(() =>
  measures.value.map((each) => ({
    ...each,
    from: [each.from[0] + origin.value, each.from[1]] as const,
    to: [each.to[0] + origin.value, each.to[1]] as const,
  })),
)
const says = computed(() =>
  [label, ...measures.value.map((each) => `${each.says} ${preferences.show(each.length)}`)].join('; '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${SIZE.width} ${SIZE.height}`" role="img" :aria-label="says">
    <DrawingPatterns />
    <template v-if="picture.hasGround">
      <rect
        :y="viewport.groundY"
        :width="SIZE.width"
        :height="Math.max(0, SIZE.height - viewport.groundY)"
        class="ground"
      />
      <line x1="0" :x2="SIZE.width" :y1="viewport.groundY" :y2="viewport.groundY" class="ground-line" />
    </template>
    <DrawnShape v-for="each in picture.solids" :key="each.key" :shape="each" :viewport="viewport" :origin="origin" />
    <DimensionLine v-for="each in placed" :key="each.key" :dimension="each" :viewport="viewport" />
    <text v-for="each in words" :key="each.key" :x="each.x" :y="each.y" :text-anchor="each.anchor" class="measure">
      {{ each.text }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 620px;
  border: 1.5px solid var(--ink);
  background: rgb(var(--v-theme-background));
}
.ground {
  fill: url(#soil-clay);
}
.ground-line {
  stroke: rgb(var(--v-theme-ground));
  stroke-width: 3;
}
text {
  font-size: 17px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: rgb(var(--v-theme-background));
  stroke-width: 4px;
}
</style>
