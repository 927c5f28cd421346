<script setup lang="ts">
import RunningTape from './RunningTape.vue'
import type { Point } from '~~/core/repair/solids'
import type { StringPost } from '~/picture/model/stringLabels'
import { px, svgPoints, type Viewport } from '~/picture/model/viewport'

/** The string with its knots; where posts are set to it, the lower one and the tape to read gaps at too. */
defineProps<{
  high: readonly Point[]
  low: readonly Point[]
  knots: readonly Point[]
  posts: readonly StringPost[]
  isSetTo: boolean
  viewport: Viewport
}>()
</script>

<template>
  <polyline :points="svgPoints(high, viewport)" class="string" />
  <template v-if="isSetTo">
    <polyline :points="svgPoints(low, viewport)" class="string" />
    <RunningTape :posts="posts" :viewport="viewport" />
  </template>
  <circle
    v-for="[x, y] in knots"
    :key="x"
    class="knot"
    :cx="px(x * viewport.pixelsPerMetre)"
    :cy="px(viewport.groundY - y * viewport.pixelsPerMetre)"
    r="5"
  />
</template>

<style scoped>
.string {
  fill: none;
  stroke: var(--string);
  stroke-width: 1.6;
}
.knot {
  fill: var(--string);
}
</style>
