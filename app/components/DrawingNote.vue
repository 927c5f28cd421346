<script setup lang="ts">
import type { Note } from '~/drawing/geometry'
import { px, type Viewport } from '~/drawing/viewport'

/** A few words with a pointer to the thing they speak of. */
const props = defineProps<{ note: Note; viewport: Viewport; origin: number }>()

const REACH = 44
const RISE = 26
const at = computed(() => ({
  x: px((props.note.at[0] + props.origin) * props.viewport.pixelsPerMetre),
  y: px(props.viewport.groundY - props.note.at[1] * props.viewport.pixelsPerMetre),
}))
const direction = computed(() => (props.note.side === 'right' ? 1 : -1))
const end = computed(() => ({ x: at.value.x + direction.value * REACH, y: at.value.y - RISE }))
</script>

<template>
  <g class="note">
    <line :x1="at.x" :y1="at.y" :x2="end.x" :y2="end.y" />
    <text :x="end.x + direction * 5" :y="end.y + 4" :text-anchor="note.side === 'right' ? 'start' : 'end'">{{
      note.text
    }}</text>
  </g>
</template>

<style scoped>
.note line {
  stroke: var(--ink);
  stroke-width: 1.1;
}
.note text {
  font-size: 15px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
</style>
