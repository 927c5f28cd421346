<script setup lang="ts">
import { computed } from 'vue'
import type { Measure } from '~~/core/repair/solids'
import { px, type Viewport } from '~/picture/model/viewport'

/** A dimension line with slanted ticks; its figure is placed with the other words of the drawing. */
const props = defineProps<{ dimension: Measure; viewport: Viewport }>()

const TICK = 6
const line = computed(() => {
  const { pixelsPerMetre, groundY } = props.viewport
  const at = ([x, y]: readonly [number, number]) => [px(x * pixelsPerMetre), px(groundY - y * pixelsPerMetre)] as const
  const [x1, y1] = at(props.dimension.from)
  const [x2, y2] = at(props.dimension.to)
  return { x1, y1, x2, y2 }
})
</script>

<template>
  <g class="dimension">
    <line v-bind="line" />
    <line :x1="line.x1 - TICK" :y1="line.y1 + TICK" :x2="line.x1 + TICK" :y2="line.y1 - TICK" />
    <line :x1="line.x2 - TICK" :y1="line.y2 + TICK" :x2="line.x2 + TICK" :y2="line.y2 - TICK" />
  </g>
</template>

<style scoped>
.dimension line {
  stroke: var(--ink);
  stroke-width: 1.2;
}
</style>
