<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useElementSize } from '@vueuse/core'
import { scaleLinear, scaleTime } from 'd3'
import { useJobSession } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import type { LeanTrends } from '~~/core/record/leanVisits'
import { dayWords } from '~~/core/weather/dates'

/** The lean over the visits: how far it has gone from where it stood first, with the range of its slope. */
const { trends } = defineProps<{ trends: LeanTrends }>()
const session = useJobSession()
const preferences = usePreferencesStore()

/** As wide as the screen lets it be: its letters stay as large as they are. */
const frame = useTemplateRef<SVGSVGElement>('frame')
const { width } = useElementSize(frame)
const WIDTH = computed(() => Math.min(760, Math.max(300, width.value || 640)))
const HEIGHT = 220
const ROOM = { left: 64, right: 16, top: 14, bottom: 30 }
const YEAR = 365.25 * 24 * 3600e3
/** Over a level's length. */
const LEVEL = 1.2

const first = computed(() => trends.counted[0] ?? trends.visits[0]!)
const size = (visit: { along: number; across: number }) =>
  LEVEL * Math.hypot(visit.along - first.value.along, visit.across - first.value.across)
const points = computed(() => trends.visits.map((visit) => ({ ...visit, size: size(visit) })))
const end = computed(() => Math.max(...points.value.map(({ at }) => at), first.value.at + YEAR / 4))
const x = computed(() =>
  scaleTime()
    .domain([points.value[0]!.at, end.value])
    .range([ROOM.left, WIDTH.value - ROOM.right]),
)
const most = computed(() =>
  Math.max(
    0.005,
    ...points.value.map((each) => each.size),
    (LEVEL * (trends.size?.high ?? 0) * (end.value - first.value.at)) / YEAR,
  ),
)
const y = computed(() =>
  scaleLinear()
    .domain([0, most.value])
    .nice()
    .range([HEIGHT - ROOM.bottom, ROOM.top]),
)
const mean = computed(() => {
  const counted = trends.counted
  const at = counted.reduce((sum, visit) => sum + visit.at, 0) / counted.length
  return { at, size: counted.reduce((sum, visit) => sum + size(visit), 0) / counted.length }
})
/** The line through the middle of the readings, at a slope. */
const through = (perYear: number) =>
  [first.value.at, end.value].map((at) => {
    const value = mean.value.size + (LEVEL * perYear * (at - mean.value.at)) / YEAR
    return `${x.value(at).toFixed(1)},${y.value(Math.max(0, value)).toFixed(1)}`
  })
const line = computed(() => (trends.size ? through(trends.size.slope).join(' ') : ''))
const band = computed(() =>
  trends.size ? [...through(trends.size.high), ...through(trends.size.low).reverse()].join(' ') : '',
)
const ticks = computed(() =>
  y.value.ticks(4).map((value) => ({ y: y.value(value), words: preferences.showSmall(value) })),
)
const days = computed(() => {
  const all = [points.value[0]!, points.value.at(-1)!].map(({ at }) => at)
  return [...new Set(all)].map((at) => ({ x: x.value(at), words: dayWords(at, session.job?.site?.timeZone) }))
})
const words = computed(
  () =>
    `The lean over ${points.value.length} visits: ${points.value
      .map(({ at, size: far }) => `${dayWords(at)} ${preferences.showSmall(far)}`)
      .join('; ')}`,
)
</script>

<template>
  <svg ref="frame" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="words">
    <g v-for="tick in ticks" :key="tick.words">
      <line :x1="ROOM.left" :x2="WIDTH - ROOM.right" :y1="tick.y" :y2="tick.y" class="rule" />
      <text :x="ROOM.left - 8" :y="tick.y + 5" text-anchor="end">{{ tick.words }}</text>
    </g>
    <polygon v-if="band" :points="band" class="band" />
    <polyline v-if="line" :points="line" class="slope" />
    <g v-for="point in points" :key="point.at">
      <circle v-if="!point.isPicture" :cx="x(point.at)" :cy="y(point.size)" r="5" class="dot" />
      <rect v-else :x="x(point.at) - 5" :y="y(point.size) - 5" width="10" height="10" class="picture" />
    </g>
    <text
      v-for="(each, i) in days"
      :key="each.words"
      :x="each.x"
      :y="HEIGHT - 8"
      :text-anchor="i === 0 ? 'start' : 'end'"
    >
      {{ each.words }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 760px;
  margin: 8px 0;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.rule {
  stroke: var(--rule);
}
.band {
  fill: var(--faint);
}
.slope {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.dot {
  fill: var(--ink);
}
.picture {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
