<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useElementSize } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import DrawingPatterns from '~/picture/DrawingPatterns.vue'
import { sectionSize } from '~~/core/timber/section'
import { wetHoles, type WetHole } from './model/wetHoles'
import { usePreferencesStore } from '~/session/preferences'
import { usePours } from './pours'
import { useTimes } from './useTimes'
import { leftWords, stageWords } from './pourWords'
import type { PourClock } from '~~/core/pour/clock'
import { loadsOf } from '~~/core/pour/loads'

/** Every post that is wet or green, its hole in section, what is due first on the left; the figure in it is minutes. */
const view = useJobView()
const { clocks, planned, now } = usePours()
const { when } = useTimes()
const { show } = usePreferencesStore()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)

/** What nobody has measured of a hole that was poured without one, as the resin in a socket, m. */
const SOCKET = { shape: 'round', diameter: 0.2, depth: 0.5, stoneBed: 0, fillTop: 0 } as const

const shown = computed(() =>
  clocks.value.filter(({ stage, milestones }) => stage !== 'set' || milestones.some(({ at }) => at > now.value)),
)
const items = computed<WetHole[]>(() =>
  shown.value.map(({ pour, passed }) => {
    const post = view.posts.value.find(({ line, post: each }) => line.id === pour.line && each.id === pour.post)?.post
    const hole = planned.value.find(({ line, post: id }) => line === pour.line && id === pour.post)?.hole
    return {
      id: pour.id,
      hole: hole ?? SOCKET,
      postWidth: post ? sectionSize(post.section).along : 0.1,
      passed,
    }
  }),
)
const model = computed(() => wetHoles(items.value, width.value, height.value))

/** Of what it will carry; in the order in which it comes. */
function nextOf({ milestones, pour }: PourClock) {
  const found = view.posts.value.find(({ line, post }) => line.id === pour.line && post.id === pour.post)
  const method = planned.value.find(({ line, post }) => line === pour.line && post === pour.post)?.method
  const wanted = found && loadsOf(found.post.duties, found.line.kind, method)
  return milestones.filter(({ key, at }) => at > now.value && wanted?.includes(key)).sort((a, b) => a.at - b.at)[0]
}
/** Under a narrow hole there is room for a time alone, px. */
const NARROW = 150
const drawn = computed(() =>
  model.value.holes.map((hole, i) => {
    const clock = shown.value[i]!
    const { value, unit } = leftWords(clock.minutesLeft)
    const next = nextOf(clock)
    const isSet = clock.stage === 'set'
    const due = clock.marks.find(({ at }) => at !== null && at > now.value)
    return {
      ...hole,
      clock,
      isSet,
      value: isSet ? '' : value,
      unit,
      says: isSet ? (next?.says ?? 'hard') : stageWords(clock.stage),
      due: isSet ? (next ? `from ${when(next.at)}` : '') : due ? `${due.says} ${when(due.at!)}` : '',
      isNarrow: hole.width < NARROW,
      brief: isSet ? (next ? when(next.at) : '') : due ? when(due.at!) : '',
      isChosen: clock.pour.post === view.post.value?.id,
    }
  }),
)
const words = computed(() =>
  drawn.value.length === 0
    ? 'Nothing is wet here'
    : drawn.value
        .map(({ clock, isSet, value, unit, says, due }, i) => {
          const { hole } = items.value[i]!
          const size = `a hole ${show(hole.diameter)} wide and ${show(hole.depth)} deep`
          const gone = `${Math.round(Math.min(1, clock.passed) * 100)} in 100 of its working time gone`
          return `${clock.pour.post}, ${size}: ${isSet ? '' : `${value} ${unit} left, ${gone}, `}${says} ${due}`.trim()
        })
        .join('; '),
)
</script>

<template>
  <div ref="frame" class="wet-holes">
    <svg v-if="width" :width="width" :height="height" role="img" :aria-label="words">
      <DrawingPatterns />
      <rect :y="model.groundY" :width="width" :height="height - model.groundY" class="ground" />
      <rect :y="model.groundY" :width="width" :height="height - model.groundY" fill="url(#soil-clay)" />
      <g v-for="each in drawn" :key="each.id" :class="{ set: each.isSet }">
        <path :d="each.outline" class="hole" />
        <path v-if="each.stone" :d="each.stone" fill="url(#stones)" />
        <path v-if="each.stiff" :d="each.stiff" class="stiff" />
        <path v-if="each.stiff" :d="each.stiff" fill="url(#speckle)" />
        <path v-if="each.wet" :d="each.wet" class="wet" />
        <rect v-bind="each.post" class="post" />
        <text :x="each.middle" :y="model.groundY - 12" class="name" :class="{ chosen: each.isChosen }">
          {{ each.clock.pour.post }}
        </text>
        <text
          v-if="each.value"
          :x="each.middle"
          :y="each.figureY + each.figure * 0.35"
          class="left"
          :style="{ fontSize: `${each.figure}px` }"
        >
          {{ each.value }}
        </text>
        <text v-if="!each.isNarrow" :x="each.middle" :y="height - 34" class="says">{{ each.says }}</text>
        <text :x="each.middle" :y="height - 12" class="due">{{ each.isNarrow ? each.brief : each.due }}</text>
      </g>
      <line :y1="model.groundY" :y2="model.groundY" x1="0" :x2="width" class="ground-line" />
    </svg>
    <button
      v-for="each in drawn"
      :key="each.id"
      class="pick"
      :style="{ left: `${each.left}px`, width: `${each.width}px` }"
      :aria-label="`${each.clock.pour.post}: ${each.isSet ? '' : `${each.value} ${each.unit} left, `}${each.says}`"
      :aria-pressed="each.isChosen"
      @click="view.choose(each.clock.pour.post)"
    />
    <p v-if="drawn.length === 0" class="nothing">
      Nothing is wet here. Its clock starts when water first meets mix, and stands here as a hole that fills up.
    </p>
  </div>
</template>

<style scoped>
.wet-holes {
  position: relative;
  min-height: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.ground {
  fill: rgb(var(--v-theme-ground));
}
.ground-line {
  stroke: var(--ink);
  stroke-width: 3;
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.stiff {
  fill: rgb(var(--v-theme-concrete));
}
.wet {
  fill: rgb(var(--v-theme-water));
}
.post {
  fill: rgb(var(--v-theme-new-wood));
  stroke: var(--ink);
  stroke-width: 1.6;
}
text {
  text-anchor: middle;
  fill: var(--ink);
  font-family: var(--measure);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
  stroke-linejoin: round;
}
.left {
  stroke-width: 10px;
}
.name {
  font-size: 24px;
}
.name.chosen {
  fill: var(--string-ink);
}
.says {
  font-size: 18px;
}
.due {
  font-size: 15px;
}
.pick {
  position: absolute;
  inset-block: 0;
  background: none;
  border: 0;
  cursor: pointer;
}
.pick[aria-pressed='true'] {
  border-bottom: 5px solid var(--string);
}
.nothing {
  position: absolute;
  inset: 34% 12% auto;
  font-size: 18px;
  text-align: center;
  background: var(--paper);
  padding: 10px;
}
</style>
