<script setup lang="ts">
import type { Dimension } from '~/drawing/geometry'
import { px, type Viewport } from '~/drawing/viewport'
import { usePreferencesStore } from '~/stores/preferences'

/** A dimension line with slanted ticks and its figure. */
const props = defineProps<{ dimension: Dimension; viewport: Viewport; origin: number }>()
const preferences = usePreferencesStore()

const TICK = 6
const line = computed(() => {
  const { pixelsPerMetre, groundY } = props.viewport
  const at = ([x, y]: readonly [number, number]) =>
    [px((x + props.origin) * pixelsPerMetre), px(groundY - y * pixelsPerMetre)] as const
  const [x1, y1] = at(props.dimension.from)
  const [x2, y2] = at(props.dimension.to)
  return { x1, y1, x2, y2 }
})
const label = computed(() => {
  const { x1, y1, x2, y2 } = line.value
  const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 }
  switch (props.dimension.side) {
    case 'left':
      return { x: middle.x - 10, y: middle.y + 5, anchor: 'end' }
    case 'right':
      return { x: middle.x + 10, y: middle.y + 5, anchor: 'start' }
    case 'above':
      return { x: Math.min(x1, x2) - 10, y: middle.y + 5, anchor: 'end' }
    default:
      return { x: middle.x, y: middle.y + 24, anchor: 'middle' }
  }
})
const text = computed(() => [preferences.show(props.dimension.length), props.dimension.words].filter(Boolean).join(' '))
</script>

<template>
  <g class="dimension">
    <line v-bind="line" />
    <line :x1="line.x1 - TICK" :y1="line.y1 + TICK" :x2="line.x1 + TICK" :y2="line.y1 - TICK" />
    <line :x1="line.x2 - TICK" :y1="line.y2 + TICK" :x2="line.x2 + TICK" :y2="line.y2 - TICK" />
    <text :x="label.x" :y="label.y" :text-anchor="label.anchor">{{ text }}</text>
  </g>
</template>

<style scoped>
.dimension line {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.dimension text {
  font-family: var(--measure);
  font-weight: 600;
  font-size: 17px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
</style>
