<script setup lang="ts">
import { computed } from 'vue'
import DimensionLine from '~/picture/DimensionLine.vue'
import DrawingPatterns from '~/picture/DrawingPatterns.vue'
import DrawnShape from '~/picture/DrawnShape.vue'
import { px, type Viewport } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'
import type { Measure, Solid } from '~~/core/repair/solids'
import type { Metres } from '~~/core/units/types'

/** Solids on the ground in true scale, their measures in the units of the reader; the slot draws over them. */
const { solids, measures, viewport, origin, hasGround } = defineProps<{
  solids: readonly Solid[]
  measures: readonly Measure[]
  viewport: Viewport
  /** From the left edge to where the solids have their 0. */
  origin: Metres
  hasGround?: boolean
  label: string
}>()
const preferences = usePreferencesStore()

/** A length under this is read in the small unit. */
const SMALL: Metres = 0.02
const placed = computed(() =>
  measures.map((each) => ({
    ...each,
    from: [each.from[0] + origin, each.from[1]] as const,
    to: [each.to[0] + origin, each.to[1]] as const,
  })),
)
const BESIDE = 12
const words = computed(() =>
  placed.value.map(({ key, from, to, side, length, words: more }) => {
    const x = ((from[0] + to[0]) / 2) * viewport.pixelsPerMetre
    const y = viewport.groundY - ((from[1] + to[1]) / 2) * viewport.pixelsPerMetre
    const figure = length < SMALL ? preferences.showSmall(length) : preferences.show(length)
    return {
      key,
      text: [figure, more].filter(Boolean).join(' '),
      x: px(side === 'left' ? x - BESIDE : side === 'right' ? x + BESIDE : x),
      y: px(side === 'below' ? y + 22 : side === 'left' || side === 'right' ? y + 5 : y - 10),
      anchor: side === 'left' ? 'end' : side === 'right' ? 'start' : 'middle',
    }
  }),
)
</script>

<template>
  <svg :viewBox="`0 0 ${viewport.width} ${viewport.height}`" role="img" :aria-label="label">
    <DrawingPatterns />
    <template v-if="hasGround">
      <rect
        :y="viewport.groundY"
        :width="viewport.width"
        :height="Math.max(0, viewport.height - viewport.groundY)"
        class="ground"
      />
      <line x1="0" :x2="viewport.width" :y1="viewport.groundY" :y2="viewport.groundY" class="ground-line" />
    </template>
    <DrawnShape v-for="each in solids" :key="each.key" :shape="each" :viewport="viewport" :origin="origin" />
    <DimensionLine v-for="each in placed" :key="each.key" :dimension="each" :viewport="viewport" />
    <text v-for="each in words" :key="each.key" :x="each.x" :y="each.y" :text-anchor="each.anchor" class="measure">
      {{ each.text }}
    </text>
    <slot />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 620px;
  border: 1.5px solid var(--ink);
  background: var(--paper);
}
.ground {
  fill: url(#soil-clay);
}
.ground-line {
  stroke: var(--umber);
  stroke-width: 3;
}
text {
  font-size: 18px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
