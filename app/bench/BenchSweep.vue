<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { line, scaleLinear } from 'd3'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import type { Calculation } from '~~/core/calc/calculation'
import { figuresFound, numbersGiven, sweep, valueAt } from '~~/core/calc/sweep'
import type { Tables } from '~~/core/tables/tables'
import { figureWords } from '~~/core/units/readerUnit'
import { pathWords, unitOfFigure } from './benchWords'

/** How the answer moves while one figure goes from half to twice of what it is; where it stands now is marked. */
const { calculation, given, found, tables } = defineProps<{
  calculation: Calculation
  given: Readonly<Record<string, unknown>>
  found: Readonly<Record<string, unknown>>
  tables: Tables
}>()
const preferences = usePreferencesStore()

const inputs = computed(() =>
  numbersGiven(calculation.form, given).map((each) => ({
    ...each,
    title: pathWords(each.path),
    value: each.path.join('.'),
  })),
)
const figures = computed(() =>
  figuresFound(found).map((path) => ({ path, title: pathWords(path), value: path.join('.') })),
)
/** The first pair in which something moves. */
const first = computed(() => {
  // What is nothing now is seldom what is asked about.
  const isNothing = (input: (typeof inputs.value)[number]) => Number(valueAt(given, input.path) === 0)
  for (const figure of figures.value)
    for (const input of [...inputs.value].sort((a, b) => isNothing(a) - isNothing(b))) {
      const { points } = sweep(calculation, given, input, figure.path, tables)
      if (points.some(({ y }) => y !== points[0]!.y)) return { input: input.value, figure: figure.value }
    }
  return undefined
})
const wanted = ref<{ input: string; figure: string }>()
watch(
  () => calculation.name,
  () => (wanted.value = undefined),
)
const taken = computed(() => {
  const input = inputs.value.find(({ value }) => value === wanted.value?.input)
  const figure = figures.value.find(({ value }) => value === wanted.value?.figure)
  return {
    input: input ?? inputs.value.find(({ value }) => value === first.value?.input) ?? inputs.value[0],
    figure: figure ?? figures.value.find(({ value }) => value === first.value?.figure) ?? figures.value[0],
  }
})
function take(change: Partial<{ input: string; figure: string }>): void {
  wanted.value = { input: taken.value.input?.value ?? '', figure: taken.value.figure?.value ?? '', ...change }
}

const frame = useTemplateRef<SVGSVGElement>('frame')
const { width } = useElementSize(frame)
const HEIGHT = 220
const ROOM = { left: 86, right: 18, top: 14, bottom: 46 }
const WIDTH = computed(() => Math.max(280, width.value || 520))
const drawn = computed(() => {
  const { input, figure } = taken.value
  if (!input || !figure) return undefined
  const swept = sweep(calculation, given, input, figure.path, tables)
  if (swept.points.length < 2) return undefined
  const ys = swept.points.map(({ y }) => y)
  const x = scaleLinear([swept.from, swept.to], [ROOM.left, WIDTH.value - ROOM.right])
  const y = scaleLinear([Math.min(...ys), Math.max(...ys)], [HEIGHT - ROOM.bottom, ROOM.top]).nice(3)
  const [nowX, nowY] = [valueAt(given, input.path) as number, valueAt(found, figure.path) as number]
  const { unit } = input.field
  const unitOut = unitOfFigure(calculation, figure.path)
  return {
    path: line<{ x: number; y: number }>()
      .x((each) => x(each.x))
      .y((each) => y(each.y))(swept.points)!,
    now: { x: x(nowX), y: y(nowY) },
    across: x
      .ticks(WIDTH.value < 420 ? 3 : 5)
      .map((at) => ({ at: x(at), words: figureWords(at, unit, preferences.units) })),
    up: y.ticks(3).map((at) => ({ at: y(at), words: figureWords(at, unitOut, preferences.units) })),
    says: `${figure.title} by ${input.title}: ${figureWords(ys[0]!, unitOut, preferences.units)} at ${figureWords(swept.points[0]!.x, unit, preferences.units)}, ${figureWords(nowY, unitOut, preferences.units)} at ${figureWords(nowX, unit, preferences.units)}, ${figureWords(ys.at(-1)!, unitOut, preferences.units)} at ${figureWords(swept.points.at(-1)!.x, unit, preferences.units)}`,
  }
})
</script>

<template>
  <section aria-labelledby="sweep-title">
    <h3 id="sweep-title">What it hangs on</h3>
    <div class="which">
      <v-select
        label="Answer"
        :items="figures"
        :model-value="taken.figure?.value"
        hide-details
        @update:model-value="take({ figure: $event })"
      />
      <v-select
        label="by"
        :items="inputs"
        :model-value="taken.input?.value"
        hide-details
        @update:model-value="take({ input: $event })"
      />
    </div>
    <svg v-if="drawn" ref="frame" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="drawn.says">
      <g v-for="tick in drawn.up" :key="`up-${tick.at}`">
        <line :x1="ROOM.left" :x2="WIDTH - ROOM.right" :y1="tick.at" :y2="tick.at" class="rule" />
        <text :x="ROOM.left - 8" :y="tick.at + 5" text-anchor="end">{{ tick.words }}</text>
      </g>
      <g v-for="tick in drawn.across" :key="`across-${tick.at}`">
        <line :x1="tick.at" :x2="tick.at" :y1="HEIGHT - ROOM.bottom" :y2="HEIGHT - ROOM.bottom + 6" class="tick" />
        <text :x="tick.at" :y="HEIGHT - ROOM.bottom + 24" text-anchor="middle">{{ tick.words }}</text>
      </g>
      <path :d="drawn.path" class="curve" />
      <line :x1="drawn.now.x" :x2="drawn.now.x" :y1="drawn.now.y" :y2="HEIGHT - ROOM.bottom" class="drop" />
      <rect :x="drawn.now.x - 6" :y="drawn.now.y - 6" width="12" height="12" class="now" />
    </svg>
    <p v-else class="soft">There is nothing that moves here.</p>
  </section>
</template>

<style scoped>
.which {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  max-width: 620px;
}
svg {
  width: 100%;
  max-width: 620px;
  height: 220px;
  margin-top: 10px;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
.rule {
  stroke: var(--rule);
}
.tick,
.drop {
  stroke: var(--ink);
}
.drop {
  stroke-dasharray: 3 4;
}
.curve {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
}
.now {
  fill: var(--string);
}
</style>
