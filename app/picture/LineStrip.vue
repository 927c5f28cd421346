<script setup lang="ts">
import { computed } from 'vue'
import DrawingLabels from './DrawingLabels.vue'
import DrawingPatterns from './DrawingPatterns.vue'
import FenceDrawing from './FenceDrawing.vue'
import GroundStrip from './GroundStrip.vue'
import MarkDrawing from './MarkDrawing.vue'
import type { ResolvedLine } from '~~/core/resolve/resolve'
import { groundLine, riseOver, stringLine } from '~/picture/model/groundModel'
import { nameLabel, placeLabels } from '~/picture/model/labels'
import { lineModel } from '~/picture/model/lineModel'
import type { Strip } from '~/picture/model/lineStrips'
import { markModel } from '~/picture/model/markModel'
import { px, svgPoints } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'

/** A stretch of the line in true scale for the page: every post with its name and tape reading. */
const props = defineProps<{ line: ResolvedLine; strip: Strip }>()
const preferences = usePreferencesStore()

const WIDTH = 1040
/** Left and right of the strip, m; room over the tops and under the ground, m. */
const MARGIN = 0.5
const ROOM = { above: 0.35, below: 1.15 }

const viewport = computed(() => {
  const { from, to } = props.strip
  const pixelsPerMetre = WIDTH / (to - from + 2 * MARGIN)
  const levels = props.line.posts.map(({ groundLevel = 0 }) => groundLevel)
  const above = props.line.height + ROOM.above + Math.max(0, ...levels)
  const below = ROOM.below - Math.min(0, ...levels)
  return { width: WIDTH, height: (above + below) * pixelsPerMetre, pixelsPerMetre, groundY: above * pixelsPerMetre }
})
const shift = computed(() => px((MARGIN - props.strip.from) * viewport.value.pixelsPerMetre))
const reach = computed(() => [props.strip.from - MARGIN, props.strip.to + MARGIN] as const)

const fence = computed(() => lineModel(props.line, '', ...reach.value, false))
const marks = computed(() => {
  const rise = riseOver(props.line, '')
  const [from, to] = reach.value
  return (props.line.marks ?? [])
    .filter(({ station }) => station >= from && station <= to)
    .map((mark) => markModel(mark, rise(props.line.posts[0]!), preferences.show))
})
const labels = computed(() => {
  const { pixelsPerMetre, groundY } = viewport.value
  return placeLabels(
    fence.value.posts
      .filter(({ station }) => station >= reach.value[0] && station <= reach.value[1])
      .flatMap(({ id, station, rise }) => {
        const [x, y] = [px(station * pixelsPerMetre), px(groundY - rise * pixelsPerMetre)]
        return [
          { ...nameLabel(`name-${id}`, id, x, y + 22), moves: [] },
          {
            ...nameLabel(`station-${id}`, preferences.show(station), x, y + 0.95 * pixelsPerMetre),
            moves: [[0, 18] as const],
          },
        ]
      }),
  )
})
const words = computed(() => {
  const inside = fence.value.posts.filter(({ station }) => station >= props.strip.from && station < props.strip.to)
  return `${preferences.show(props.strip.from)} to ${preferences.show(props.strip.to)}: ${inside.map(({ id }) => id).join(', ') || 'no posts'}`
})
</script>

<template>
  <svg class="strip" :viewBox="`0 0 ${viewport.width} ${viewport.height}`" role="img" :aria-label="words">
    <DrawingPatterns />
    <g :transform="`translate(${shift} 0)`">
      <GroundStrip :soil="line.posts[0]!.soil" :ground="groundLine(line, '', ...reach)" :viewport="viewport" />
      <MarkDrawing :marks="marks" :viewport="viewport" />
      <FenceDrawing :fence="fence" :viewport="viewport" />
      <polyline :points="svgPoints(stringLine(line, '', ...reach), viewport)" class="string" />
      <DrawingLabels :labels="labels" />
    </g>
  </svg>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
  margin-bottom: 10px;
  break-inside: avoid;
}
.string {
  fill: none;
  stroke: var(--string);
  stroke-width: 1.4;
}
</style>
