<script setup lang="ts">
import { drag, select, type D3DragEvent } from 'd3'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useElementSize } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { concreteTime } from '~~/core/day/concreteTime'
import { DAY_MINUTES } from '~~/core/day/question'
import { dayModel, nameOf, type DayBlock } from './model/dayModel'
import { clockWords } from '~/controls/timesOfDay'
import { useDay } from './useDay'
import CrewHatches from './CrewHatches.vue'
import DayBands from './DayBands.vue'
import DayHeads from './DayHeads.vue'
import DayNights from './DayNights.vue'
import { bindingWords, breachWords, dayWords } from './dayWords'
import { describeDays } from './model/describeDays'

/** The ground line across, time downwards: each task a block under its post, to be pulled up and down. */
const view = useJobView()
const day = useDay()
const preferences = usePreferencesStore()
const frame = useTemplateRef<HTMLElement>('frame')
const sheet = useTemplateRef<SVGSVGElement>('sheet')
const { width, height } = useElementSize(frame)

const model = computed(() => {
  const [asked, plan] = [day.asked.value, day.plan.value]
  if (!asked || !plan || width.value === 0) return undefined
  const more = { breaks: day.breaks.value, binds: day.binds.value, time: concreteTime(asked) }
  return dayModel(asked, plan, more, { width: width.value - 14, height: height.value - 4 })
})
const chain = computed(() => model.value?.chain.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '))
const letters = (block: DayBlock) => block.by.join('')
const words = (block: DayBlock) =>
  `${nameOf(block.task.split(':')[0]!)}: ${block.says}, ${dayWords(day.midnight.value, block.start, day.zone.value)} ${clockWords(block.start)} to ${clockWords(block.end)}, ${block.by.join(' and ')}${block.breaks.length ? `; ${block.breaks.map((says) => breachWords(day.asked.value!, { says })).join('; ')}` : ''}`

const inWords = computed(() => {
  const [asked, shown] = [day.asked.value, model.value]
  if (!asked || !shown) return ''
  const chain = day.binds.value.map((each) => bindingWords(asked, each))
  const date = (which: number) => dayWords(day.midnight.value, which * DAY_MINUTES, day.zone.value)
  return describeDays(shown, chain, { date, ...preferences.measures })
})

/** One block is pulled as a whole: where it was taken stays under the finger. */
const pull = drag<SVGGElement, unknown>()
  .clickDistance(4)
  .subject((event: D3DragEvent<SVGGElement, unknown, unknown>) => {
    const block = blockOf(event.sourceEvent as Event)
    return { block, x: event.x, y: block?.y ?? 0 }
  })
  .on('drag', (event: D3DragEvent<SVGGElement, unknown, { block?: DayBlock }>) => {
    const { block } = event.subject
    const start = block && model.value?.minuteAt(event.y)
    if (block && start !== undefined) day.tried.value = { task: block.task, start: Math.max(0, start) }
  })
  .on('end', () => {
    const moved = day.tried.value
    if (moved) void day.pin(moved.task, moved.start)
  })
function blockOf(event: Event): DayBlock | undefined {
  const task = (event.target as Element | null)?.closest('[data-task]')?.getAttribute('data-task')
  return model.value?.blocks.find((block) => block.task === task)
}
watch(
  [sheet, model],
  async () => {
    await nextTick()
    if (sheet.value) select(sheet.value).selectAll<SVGGElement, unknown>('[data-task]').call(pull)
  },
  { flush: 'post' },
)
const STEP = 5
function move(block: DayBlock, by: number): void {
  void day.pin(block.task, Math.max(0, block.start + by * STEP))
}
const pick = (block: DayBlock) => {
  const id = nameOf(block.task.split(':')[0]!)
  if (view.posts.value.some(({ post }) => post.id === id)) view.choose(id)
}
const hatch = (block: DayBlock) => `crew-${day.asked.value!.crew.findIndex(({ id }) => id === block.by[0]) % 4}`
</script>

<template>
  <div ref="frame" class="day-drawing">
    <DayHeads v-if="model" :columns="model.columns" :width="model.width" />
    <svg
      v-if="model"
      ref="sheet"
      :width="model.width"
      :height="model.height"
      role="group"
      aria-label="The days: posts across, time downwards"
      aria-describedby="days-in-words"
    >
      <CrewHatches />
      <DayBands :bands="model.bands" :width="model.width" :midnight="day.midnight.value" :zone="day.zone.value" />
      <line
        v-for="(tail, i) in model.tails"
        :key="`t${i}`"
        :x1="tail.x"
        :x2="tail.x"
        :y1="tail.from"
        :y2="tail.to"
        class="tail"
      />
      <DayNights :bands="model.bands" :width="model.width" />
      <polyline v-if="chain" :points="chain" class="chain" />
      <g
        v-for="block in model.blocks"
        :key="block.task"
        :data-task="block.task"
        class="block"
        :class="{ broken: block.breaks.length, pinned: block.isPinned }"
        role="button"
        tabindex="0"
        :aria-label="words(block)"
        @click="pick(block)"
        @keydown.up.prevent.stop="move(block, -1)"
        @keydown.down.prevent.stop="move(block, 1)"
      >
        <title>{{ words(block) }}</title>
        <rect :x="block.x" :y="block.y" :width="block.width" :height="block.height" class="face" />
        <rect :x="block.x" :y="block.y" :width="block.width" :height="block.height" :fill="`url(#${hatch(block)})`" />
        <text v-if="block.height > 15" :x="block.x + 4" :y="block.y + Math.min(15, block.height / 2 + 5)" class="says">
          {{ letters(block) }}
          <template v-if="block.width > 74">{{ block.says.slice(0, Math.floor((block.width - 22) / 7)) }}</template>
        </text>
        <text v-if="block.breaks.length" :x="block.x + block.width - 4" :y="block.y + 14" class="mark">✕</text>
      </g>
    </svg>
    <p v-if="model" id="days-in-words" class="visually-hidden">{{ inWords }}</p>
    <p v-else class="nothing">
      {{
        day.asked.value
          ? 'Nothing is planned yet: say who comes, then plan the days.'
          : 'Choose a repair for a post first: its steps become the work of the day.'
      }}
    </p>
  </div>
</template>

<style scoped>
.day-drawing {
  position: relative;
  overflow: auto;
  min-height: 0;
}
svg {
  display: block;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
.face {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.block {
  cursor: grab;
  touch-action: none;
}
.block:focus-visible .face {
  stroke: var(--string);
  stroke-width: 4;
}
.block:focus {
  outline: none;
}
.pinned .face {
  stroke-width: 3.4;
}
.broken .face {
  stroke: var(--error);
  stroke-dasharray: 6 3;
  stroke-width: 2.6;
}
.says {
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.mark {
  fill: var(--error);
  font-weight: 600;
  text-anchor: end;
}
.tail {
  stroke: rgb(var(--v-theme-concrete));
  stroke-width: 5;
}
.chain {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 1 5;
  stroke-linecap: round;
}
.nothing {
  margin: 22% 14%;
  font-size: 18px;
  text-align: center;
}
</style>
