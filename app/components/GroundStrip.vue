<script setup lang="ts">
import { tables } from '~~/data/tables'
import { row } from '~~/core/tables'
import type { Viewport } from '~/drawing/viewport'

/** The ground of the chosen post, hatched by its kind, and the one ground line above it. */
const props = defineProps<{ soil: string; viewport: Viewport }>()

/** Soils with a hatch of their own; the others share that of their kind. */
const OWN_HATCH = ['gravel', 'made-ground']
const hatch = computed(() => {
  const { kind } = row(tables.soils, props.soil)
  const name = OWN_HATCH.includes(props.soil) ? props.soil : kind === 'sand' ? 'sand' : 'clay'
  return `url(#soil-${name})`
})

const BLADE_SPACING = 18
const grass = computed(() => {
  const { width, groundY } = props.viewport
  const blades = Math.ceil(width / BLADE_SPACING)
  return Array.from(
    { length: blades },
    (_, i) => `M${i * BLADE_SPACING} ${groundY} l${4 + (i % 3)} -${6 + (i % 4)}`,
  ).join(' ')
})
</script>

<template>
  <g>
    <rect x="0" :y="viewport.groundY" :width="viewport.width" :height="viewport.height" class="ground" />
    <rect x="0" :y="viewport.groundY" :width="viewport.width" :height="viewport.height" :fill="hatch" />
    <path :d="grass" class="grass" />
    <line x1="0" :x2="viewport.width" :y1="viewport.groundY" :y2="viewport.groundY" class="ground-line" />
  </g>
</template>

<style scoped>
.ground {
  fill: rgb(var(--v-theme-ground));
}
.ground-line {
  stroke: var(--ink);
  stroke-width: 3;
}
.grass {
  stroke: rgb(var(--v-theme-grass));
  stroke-width: 1.4;
  fill: none;
}
</style>
