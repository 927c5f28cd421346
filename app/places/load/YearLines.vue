<script setup lang="ts">
import { axisBottom, axisLeft, line, scaleLinear, select } from 'd3'
import { computed, useTemplateRef, watchEffect } from 'vue'
import { optionMark } from './model/marks'
import { useCost } from './useCost'

/** What has been spent by each year, one line for each way to mend this post: where two cross, the cheaper changes. */
const { width } = defineProps<{ width: number }>()
const cost = useCost()
const HEIGHT = 260
const ROOM = { left: 66, right: 26, top: 12, bottom: 34 }
/** More lines than these cannot be told apart; the one that is chosen is always among them. */
const MOST = 5
const shown = computed(() => {
  const all = cost.options.value.map((each, i) => ({ ...each, mark: optionMark(i) }))
  return all.filter(({ isChosen, isTemporary }, i) => i < MOST || isChosen || isTemporary)
})
const x = computed(() => scaleLinear([0, cost.years.value], [ROOM.left, width - ROOM.right]))
const y = computed(() =>
  scaleLinear([0, Math.max(1, ...shown.value.flatMap(({ spent }) => spent))], [HEIGHT - ROOM.bottom, ROOM.top]).nice(),
)
const drawn = computed(() => {
  const path = line<number>()
    .x((_spent, year) => x.value(year))
    .y((spent) => y.value(spent))
  // The marks at the right edge give way to each other, from the top down.
  let lowest = -Infinity
  return [...shown.value]
    .sort((a, b) => b.spent.at(-1)! - a.spent.at(-1)!)
    .map((each) => {
      const at = Math.max(lowest + 16, y.value(each.spent.at(-1)!))
      lowest = at
      return { ...each, path: path(each.spent)!, at }
    })
})
const across = useTemplateRef<SVGGElement>('across')
const up = useTemplateRef<SVGGElement>('up')
watchEffect(() => {
  if (across.value)
    select(across.value).call(axisBottom(x.value).ticks(Math.min(15, cost.years.value)).tickSizeOuter(0))
  if (up.value)
    select(up.value).call(
      axisLeft(y.value)
        .ticks(4)
        .tickFormat((value) => cost.words(Number(value)).replace(/[.,]00$/, '')),
    )
})
const words = computed(() =>
  shown.value
    .map(
      ({ mark, name, spent }) =>
        `${mark}, ${name}: ${cost.words(spent[0]!)} now, ${cost.words(spent.at(-1)!)} by year ${cost.years.value}`,
    )
    .join('; '),
)
</script>

<template>
  <section class="panel-section" aria-labelledby="years-title">
    <h3 id="years-title">This post: spent by each year</h3>
    <svg :width="width" :height="HEIGHT" role="img" :aria-label="words">
      <g ref="across" class="axis" :transform="`translate(0 ${HEIGHT - ROOM.bottom})`" />
      <g ref="up" class="axis" :transform="`translate(${ROOM.left} 0)`" />
      <g v-for="each in drawn" :key="each.method" :class="{ chosen: each.isChosen, temporary: each.isTemporary }">
        <path :d="each.path" class="spent" />
        <text :x="width - ROOM.right + 6" :y="each.at + 5">{{ each.mark }}</text>
      </g>
      <text :x="(ROOM.left + width - ROOM.right) / 2" :y="HEIGHT - 2" class="what">years from now</text>
    </svg>
    <p class="legend">
      <span v-for="each in shown" :key="each.method" :class="{ chosen: each.isChosen }"
        ><strong>{{ each.mark }}</strong> {{ each.name }}</span
      >
    </p>
  </section>
</template>

<style scoped>
.spent {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.temporary .spent {
  stroke-dasharray: 5 4;
}
.chosen .spent {
  stroke: var(--string);
  stroke-width: 3.4;
}
text,
.axis :deep(text) {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 14px;
}
.axis :deep(path),
.axis :deep(line) {
  stroke: var(--ink);
}
.what {
  text-anchor: middle;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.legend .chosen {
  font-weight: 600;
}
</style>
