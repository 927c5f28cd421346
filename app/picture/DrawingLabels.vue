<script setup lang="ts">
import type { Label } from '~/picture/model/labels'

/** Figures, notes and names of the drawing, each where it found its place. */
const { labels, scale = 1 } = defineProps<{
  labels: Label[]
  /** Of the letters against the usual ones. */ scale?: number
}>()
</script>

<template>
  <g class="labels" :style="{ '--letters': scale }">
    <g v-for="label in labels" :key="label.key">
      <line
        v-if="label.pointsAt"
        :x1="label.pointsAt[0]"
        :y1="label.pointsAt[1]"
        :x2="label.x + (label.anchor === 'start' ? -5 : 5)"
        :y2="label.y - 4"
      />
      <text :x="label.x" :y="label.y" :text-anchor="label.anchor" :class="label.style">{{ label.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.labels {
  pointer-events: none;
}
line {
  stroke: var(--ink);
  stroke-width: 1.1;
}
text {
  font-weight: 600;
  font-size: calc(15px * var(--letters));
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.dimension {
  font-family: var(--measure);
  font-size: calc(17px * var(--letters));
}
.name {
  font-family: var(--measure);
  stroke: rgb(var(--v-theme-ground));
}
</style>
