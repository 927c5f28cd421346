<script setup lang="ts">
import { computed } from 'vue'
import { useTables } from '~/yard/useYard'
import { row } from '~~/core/tables/tables'
import type { Point } from '~~/core/repair/solids'
import { px, svgPoints, type Viewport } from '~/picture/model/viewport'

/** The ground along the line, hatched by the soil of the chosen post, and the one ground line above it: dashed where nobody tested it. */
const props = defineProps<{ soil: string; guessed?: boolean; ground: readonly Point[]; viewport: Viewport }>()

const tables = useTables()
/** Soils with a hatch of their own; the others share that of their kind. */
const OWN_HATCH = ['gravel', 'made-ground']
const hatch = computed(() => {
  const { kind } = row(tables.value.soils, props.soil)
  const name = OWN_HATCH.includes(props.soil) ? props.soil : kind === 'sand' ? 'sand' : 'clay'
  return `url(#soil-${name})`
})

const surface = computed(() => svgPoints(props.ground, props.viewport))
/** Down to below the drawing, whatever the slope. */
const body = computed(() => {
  const [first, last] = [props.ground[0], props.ground.at(-1)]
  if (!first || !last) return ''
  const x = (point: Point) => px(point[0] * props.viewport.pixelsPerMetre)
  const foot = 2 * props.viewport.height
  return `${x(first)},${foot} ${surface.value} ${x(last)},${foot}`
})

const BLADE_SPACING = 18
const grass = computed(() => {
  const { pixelsPerMetre, groundY } = props.viewport
  const points = props.ground.map(([x, y]) => [x * pixelsPerMetre, groundY - y * pixelsPerMetre] as const)
  return points
    .slice(1)
    .flatMap(([x2, y2], i) => {
      const [x1, y1] = points[i]!
      const first = Math.ceil(x1 / BLADE_SPACING)
      const count = Math.max(0, Math.floor(x2 / BLADE_SPACING) - first + 1)
      return Array.from({ length: count }, (_, blade) => {
        const x = (first + blade) * BLADE_SPACING
        const y = y1 + ((y2 - y1) * (x - x1)) / (x2 - x1)
        return `M${x} ${px(y)} l${4 + (Math.abs(first + blade) % 3)} -${6 + (Math.abs(first + blade) % 4)}`
      })
    })
    .join(' ')
})
</script>

<template>
  <g>
    <polygon :points="body" class="ground" />
    <polygon :points="body" :fill="hatch" />
    <path :d="grass" class="grass" />
    <polyline :points="surface" class="ground-line" :class="{ guessed }" />
  </g>
</template>

<style scoped>
.ground {
  fill: rgb(var(--v-theme-ground));
}
.ground-line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.guessed {
  stroke-dasharray: 14 7;
}
.grass {
  stroke: rgb(var(--v-theme-grass));
  stroke-width: 1.4;
  fill: none;
}
</style>
