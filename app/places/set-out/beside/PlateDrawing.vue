<script setup lang="ts">
import { computed } from 'vue'
import { turned, usedBy, type PlateOnSlab, type Pose } from '~~/core/setout/platePose'

/** The slab from above: old holes, the plate where it goes, what serves again and what is drilled. */
const props = defineProps<{ question: PlateOnSlab; pose?: Pose | undefined }>()
const SIZE = 300
/** Half of what is seen: the plate, its way and some of the slab round it, m. */
const reach = computed(() => {
  const { plate, old, shift } = props.question
  const far = [...plate, ...old.map(({ at }) => at)].map(([x, y]) => Math.max(Math.abs(x), Math.abs(y)))
  return Math.max(0.08, ...far) + shift + 0.04
})
const scale = computed(() => SIZE / 2 / reach.value)
const x = (at: number) => SIZE / 2 + at * scale.value
const y = (at: number) => SIZE / 2 - at * scale.value
const slab = computed(() => {
  const { slab: of } = props.question
  const clip = (value: number) => Math.max(-reach.value, Math.min(reach.value, value))
  const [left, right, front, back] = [clip(of.x[0]), clip(of.x[1]), clip(of.y[0]), clip(of.y[1])]
  return { x: x(left), y: y(back), width: (right - left) * scale.value, height: (back - front) * scale.value }
})
const holes = computed(() => {
  const { pose, question } = props
  if (!pose) return []
  const places = question.plate.map((place) => turned(place, pose.rotation))
  const used = usedBy(question, places, [pose.x, pose.y]) ?? []
  return places.map(([hx, hy], i) => ({ x: x(hx + pose.x), y: y(hy + pose.y), serves: (used[i] ?? -1) >= 0 }))
})
const plate = computed(() => {
  const xs = holes.value.map((hole) => hole.x)
  const ys = holes.value.map((hole) => hole.y)
  const rim = 0.018 * scale.value
  return {
    x: Math.min(...xs) - rim,
    y: Math.min(...ys) - rim,
    width: Math.max(...xs) - Math.min(...xs) + 2 * rim,
    height: Math.max(...ys) - Math.min(...ys) + 2 * rim,
  }
})
const radius = (diameter: number) => Math.max(3, (diameter / 2) * scale.value)
const words = computed(() => {
  const serves = holes.value.filter((hole) => hole.serves).length
  return props.pose
    ? `The plate from above: ${serves} old holes serve again, ${holes.value.length - serves} are drilled`
    : 'The slab from above with its old holes'
})
</script>

<template>
  <svg :viewBox="`0 0 ${SIZE} ${SIZE}`" role="img" :aria-label="words">
    <rect v-bind="slab" class="slab" />
    <rect v-if="holes.length > 0" v-bind="plate" class="plate" />
    <path :d="`M${SIZE / 2 - 9} ${SIZE / 2}h18M${SIZE / 2} ${SIZE / 2 - 9}v18`" class="wanted" />
    <g v-for="(hole, i) in question.old" :key="`old-${i}`">
      <circle :cx="x(hole.at[0])" :cy="y(hole.at[1])" :r="radius(hole.diameter)" class="old" />
      <path v-if="!hole.sound" :d="`M${x(hole.at[0]) - 8} ${y(hole.at[1]) - 8}l16 16m0 -16l-16 16`" class="broken" />
    </g>
    <circle
      v-for="(hole, i) in holes"
      :key="`new-${i}`"
      :cx="hole.x"
      :cy="hole.y"
      :r="radius(question.diameter) + 3"
      :class="hole.serves ? 'serves' : 'drilled'"
    />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 340px;
}
.slab {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
  stroke-width: 1.4;
}
.plate {
  fill: rgb(var(--v-theme-steel));
  fill-opacity: 0.35;
  stroke: var(--ink);
  stroke-width: 2;
}
.old {
  fill: var(--ink);
}
.broken,
.wanted {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.serves {
  fill: none;
  stroke: var(--string);
  stroke-width: 3;
}
.drilled {
  fill: none;
  stroke: var(--string);
  stroke-width: 3;
  stroke-dasharray: 4 3;
}
</style>
