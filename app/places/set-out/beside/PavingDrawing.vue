<script setup lang="ts">
import { computed } from 'vue'
import type { PavingAtPost } from '~~/core/plan/setOut/beside'

/** The units from above, what is cut out of them, and the post in the middle. */
const props = defineProps<{ of: PavingAtPost }>()
const [WIDTH, HEIGHT] = [340, 260]
const box = computed(() => {
  const { paving, units } = props.of
  const [stepX, stepY] = [paving.along + paving.joint, paving.across + paving.joint]
  const columns = units.map(({ column }) => column)
  const rows = units.map(({ row }) => row)
  return {
    left: Math.min(0, ...columns) * stepX,
    right: Math.max(0, ...columns) * stepX + paving.along,
    low: Math.min(0, ...rows) * stepY,
    high: Math.max(0, ...rows) * stepY + paving.across,
    stepX,
    stepY,
  }
})
const scale = computed(() =>
  Math.min((WIDTH - 8) / (box.value.right - box.value.left), (HEIGHT - 8) / (box.value.high - box.value.low)),
)
/** Away is up. */
const x = (at: number) => 4 + (at - box.value.left) * scale.value
const y = (at: number) => HEIGHT - 4 - (at - box.value.low) * scale.value
const units = computed(() =>
  props.of.units.map(({ column, row, cut, goes }, i) => {
    const { paving } = props.of
    const [left, low] = [column * box.value.stepX, row * box.value.stepY]
    return {
      key: i,
      goes,
      unit: {
        x: x(left),
        y: y(low + paving.across),
        width: paving.along * scale.value,
        height: paving.across * scale.value,
      },
      cut: {
        x: x(left + cut.x[0]),
        y: y(low + cut.y[1]),
        width: (cut.x[1] - cut.x[0]) * scale.value,
        height: (cut.y[1] - cut.y[0]) * scale.value,
      },
    }
  }),
)
const half = computed(() => (props.of.standing.size / 2) * scale.value)
const middle = computed(() => ({ x: x(props.of.standing.x), y: y(props.of.standing.y) }))
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`${units.length} units from above, with their cuts`">
    <g v-for="(each, i) in units" :key="each.key">
      <rect v-bind="each.unit" class="unit" :class="{ goes: each.goes }" />
      <text :x="each.unit.x + 10" :y="each.unit.y + 24">{{ i + 1 }}</text>
    </g>
    <template v-if="of.standing.shape === 'round'">
      <circle :cx="middle.x" :cy="middle.y" :r="half" class="cut" />
    </template>
    <template v-else>
      <rect v-for="each in units" :key="each.key" v-bind="each.cut" class="cut" />
    </template>
    <path :d="`M${middle.x - 7} ${middle.y}h14M${middle.x} ${middle.y - 7}v14`" class="middle" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 420px;
}
.unit {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
  stroke-width: 1.4;
}
.unit.goes {
  stroke-dasharray: 6 4;
}
.cut {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--string);
  stroke-width: 2.6;
}
.middle {
  stroke: var(--ink);
  stroke-width: 1.6;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 20px;
  font-weight: 600;
}
</style>
