<script setup lang="ts">
import type { MarkModel } from '~/picture/model/markModel'
import { px, svgPoints, type Viewport } from '~/picture/model/viewport'

/** Services, roots, walls and trees along the line, pegged at the ground. */
const props = defineProps<{ marks: MarkModel[]; viewport: Viewport }>()
const peg = ({ at }: MarkModel) => px(at[0] * props.viewport.pixelsPerMetre)
</script>

<template>
  <g class="marks">
    <g v-for="mark in marks" :key="mark.key">
      <line
        v-if="!mark.isRun"
        :x1="peg(mark)"
        :x2="peg(mark)"
        :y1="viewport.groundY - 16"
        :y2="viewport.groundY + 60"
        class="peg"
      />
      <polygon :points="svgPoints(mark.points, viewport)" :class="`matter-${mark.matter} edge-solid`" />
    </g>
  </g>
</template>

<style scoped>
.marks {
  pointer-events: none;
}
.peg {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 3 3;
}
</style>
