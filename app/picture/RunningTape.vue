<script setup lang="ts">
import { computed } from 'vue'
import type { StringPost } from '~/picture/model/stringLabels'
import { px, type Viewport } from '~/picture/model/viewport'

/** The tape as it runs along the ground, a tick at the middle of every post. */
const props = defineProps<{ posts: readonly StringPost[]; viewport: Viewport }>()
/** Under the ground line, and how far a tick stands out of it, px. */
const [UNDER, TICK] = [24, 6]
const ticks = computed(() =>
  props.posts.map(({ post, station, rise }) => ({
    post,
    x: px(station * props.viewport.pixelsPerMetre),
    y: px(props.viewport.groundY - rise * props.viewport.pixelsPerMetre + UNDER),
  })),
)
</script>

<template>
  <g class="tape">
    <polyline :points="ticks.map(({ x, y }) => `${x},${y}`).join(' ')" />
    <line v-for="{ post, x, y } in ticks" :key="post" :x1="x" :x2="x" :y1="y - TICK" :y2="y + TICK" />
  </g>
</template>

<style scoped>
.tape {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  pointer-events: none;
}
</style>
