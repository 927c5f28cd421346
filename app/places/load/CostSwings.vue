<script setup lang="ts">
import { computed } from 'vue'
import { COST_KNOBS } from '~~/core/cost/knobs'
import { swings } from '~~/core/cost/sensitivity'
import { useCost } from './useCost'

/** Each working value by itself over its range: how far it moves the way in hand, and whether the ways change places. */
const cost = useCost()
const WIDTH = 100
const chosen = computed(() =>
  Math.max(
    0,
    cost.options.value.findIndex(({ isChosen }) => isChosen),
  ),
)
const found = computed(() =>
  swings(COST_KNOBS, (key, factor) => cost.options.value.map((each) => each.perYearWith(key, factor)), chosen.value),
)
const ends = computed(() => {
  const all = found.value.flatMap(({ low, high }) => [low, high])
  return { least: Math.min(...all), most: Math.max(...all) }
})
const at = (value: number) => {
  const { least, most } = ends.value
  return most > least ? (WIDTH * (value - least)) / (most - least) : WIDTH / 2
}
const rows = computed(() =>
  found.value
    .filter(({ swing }) => swing > 0)
    .map((each) => ({
      ...each,
      from: Math.min(at(each.low), at(each.high)),
      to: Math.max(at(each.low), at(each.high)),
      says: `${cost.words(Math.min(each.low, each.high))} to ${cost.words(Math.max(each.low, each.high))}`,
    })),
)
const name = computed(() => cost.options.value[chosen.value]?.name ?? '')
</script>

<template>
  <div>
    <p>{{ name }}, a plumb year:</p>
    <ul>
      <li v-for="each in rows" :key="each.key">
        <span>{{ each.name }}</span>
        <svg :viewBox="`0 0 ${WIDTH} 10`" preserveAspectRatio="none" aria-hidden="true">
          <line x1="0" :x2="WIDTH" y1="5" y2="5" class="scale" />
          <rect :x="each.from" y="0" :width="Math.max(0.6, each.to - each.from)" height="10" class="swing" />
        </svg>
        <span class="measure">{{ each.says }}</span>
        <small v-if="each.changesOrder">the ways change places in cost</small>
      </li>
    </ul>
    <p class="soft">Prices and hours a fifth down and up, how long it stands from half to twice.</p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
svg {
  grid-column: 1 / -1;
  width: 100%;
  height: 12px;
}
small {
  grid-column: 1 / -1;
  font-weight: 600;
  font-size: 14px;
}
.scale {
  stroke: var(--rule);
}
.swing {
  fill: var(--ink);
}
</style>
