<script setup lang="ts">
import { computed } from 'vue'
import type { Solid } from '~~/core/repair/solids'
import { svgPoints, type Viewport } from '~/picture/model/viewport'

/** One outlined area of the drawing, in the scale of the viewport. */
const props = defineProps<{ shape: Solid; viewport: Viewport; origin: number }>()

const points = computed(() => svgPoints(props.shape.outline, props.viewport, props.origin))
/** Speckle and stones are laid over the plain colour. */
const overlay = computed(
  () =>
    ({ 'new-concrete': 'url(#speckle)', concrete: 'url(#speckle)', stone: 'url(#stones)', decay: 'url(#crumble)' })[
      props.shape.matter as string
    ],
)
const matter = computed(() =>
  props.shape.matter === 'new-concrete' ? 'concrete' : props.shape.matter === 'stone' ? 'concrete' : props.shape.matter,
)
</script>

<template>
  <g>
    <polygon :points="points" :class="[`matter-${matter}`, `edge-${shape.edge}`]" />
    <polygon v-if="overlay" :points="points" :fill="overlay" />
  </g>
</template>
