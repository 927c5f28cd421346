<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { PlumbYears } from '~~/core/survive/years'
import { plumbWords } from '~~/core/survive/words'
import { yearsModel } from './yearsModel'

/** How many of ten such posts are still plumb, year by year: the ways over one another, the one in hand with its range. */
const { curves, inHand, fenceYears, from } = defineProps<{
  curves: readonly (PlumbYears & { mark: string })[]
  inHand?: string | undefined
  fenceYears: number
  /** The year of the calendar at which it begins. */
  from: number
}>()
const frame = useTemplateRef<SVGSVGElement>('frame')
const { width } = useElementSize(frame)
const HEIGHT = 230
const ROOM = { left: 34, right: 26, top: 12, bottom: 30 }
const WIDTH = computed(() => Math.max(280, width.value || 440))
const model = computed(() => yearsModel(curves, fenceYears, { width: WIDTH.value, height: HEIGHT, room: ROOM }))
const marks = computed(() => new Map(curves.map(({ method, mark }) => [method, mark])))
/** Whole years of the calendar, five apart where there is room. */
const ticks = computed(() => model.value.x.ticks(WIDTH.value < 420 ? 3 : 6))
const drawn = computed(() =>
  // What is in hand lies over the others.
  [...model.value.curves].sort((a, b) => Number(a.method === inHand) - Number(b.method === inHand)),
)
const words = computed(() =>
  curves.map((each) => `${each.mark}, ${each.name}: ${plumbWords(each, 10, from)}`).join('; '),
)
</script>

<template>
  <svg
    ref="frame"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="img"
    :aria-label="`Of ten such posts, how many are still plumb by year. ${words}`"
  >
    <path
      v-for="each in drawn.filter(({ method }) => method === inHand)"
      :key="each.method"
      :d="each.band"
      class="band"
    />
    <g v-for="share in [0, 0.5, 1]" :key="share">
      <line :x1="ROOM.left" :x2="WIDTH - ROOM.right" :y1="model.y(share)" :y2="model.y(share)" class="rule" />
      <text :x="ROOM.left - 6" :y="model.y(share) + 5" text-anchor="end">{{ share * 10 }}</text>
    </g>
    <g v-if="model.end !== undefined">
      <line :x1="model.end" :x2="model.end" :y1="model.y(1)" :y2="model.y(0)" class="end" />
      <text :x="model.end - 5" :y="model.y(0) - 6" text-anchor="end">the fence’s own end</text>
    </g>
    <g v-for="each in drawn" :key="each.method" :class="{ chosen: each.method === inHand }">
      <path :d="each.path" class="curve" />
      <text :x="WIDTH - ROOM.right + 6" :y="each.at + 5" class="mark">{{ marks.get(each.method) }}</text>
    </g>
    <g v-for="tick in ticks" :key="tick">
      <line :x1="model.x(tick)" :x2="model.x(tick)" :y1="model.y(0)" :y2="model.y(0) + 5" class="tick" />
      <text :x="model.x(tick)" :y="HEIGHT - 8" text-anchor="middle">{{ from + tick }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 230px;
  margin: 6px 0;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
.rule {
  stroke: var(--rule);
}
.tick {
  stroke: var(--ink);
}
.end {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 2 5;
}
.band {
  fill: var(--faint);
}
.curve {
  fill: none;
  stroke: var(--soft-ink);
  stroke-width: 1.6;
}
.chosen .curve {
  stroke: var(--string);
  stroke-width: 3.2;
}
.mark {
  font-weight: 600;
}
</style>
