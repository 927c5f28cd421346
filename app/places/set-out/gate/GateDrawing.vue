<script setup lang="ts">
import { computed } from 'vue'
import type { GateSetOut } from '~~/core/plan/setOut/gate'
import { usePreferencesStore } from '~/session/preferences'

/** The leaf between its posts with the sum of its opening, and under it the ground that it swings over. */
const props = defineProps<{ gate: GateSetOut }>()
const preferences = usePreferencesStore()
const [WIDTH, POST, TOP] = [440, 16, 46]
const scale = computed(() => (WIDTH - 2 * POST - 8) / props.gate.wanted)
const parts = computed(() => {
  let at = POST
  return props.gate.sum.map(({ says, length }, i) => {
    const from = at
    at += length * scale.value
    return { key: `${says}-${i}`, says, length, from, to: at }
  })
})
const leaves = computed(() => parts.value.filter(({ says }) => says === 'leaf'))
const tall = computed(() => props.gate.height * scale.value)
const foot = computed(() => TOP + tall.value)
const ground = computed(() => foot.value + Math.max(6, props.gate.under * scale.value))
const hinges = computed(() =>
  leaves.value.flatMap(({ from, to }, i) => {
    const isLeft = props.gate.leaves === 2 ? i === 0 : props.gate.hangsOn === 'left'
    return props.gate.hinges.map((height, k) => ({
      key: `${i}-${k}`,
      x: isLeft ? from : to,
      y: foot.value - height * scale.value,
    }))
  }),
)
const braces = computed(() =>
  leaves.value.map(({ from, to }, i) => {
    const isLeft = props.gate.leaves === 2 ? i === 0 : props.gate.hangsOn === 'left'
    return isLeft ? { x1: from, y1: foot.value, x2: to, y2: TOP } : { x1: to, y1: foot.value, x2: from, y2: TOP }
  }),
)
/** The ground that the leaf's far end sweeps over, lifted by what it asks over the usual. */
const rise = computed(() => (props.gate.clearance - 0.05) * scale.value)
const right = computed(() => parts.value.at(-1)?.to ?? WIDTH)
const words = computed(
  () =>
    `${props.gate.posts.join(' to ')}: ${props.gate.sum.map(({ says, length }) => `${says} ${preferences.showSmall(length)}`).join(', ')}; ${preferences.show(props.gate.wanted)} between the posts`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${ground + 64}`" role="img" :aria-label="words">
    <path :d="`M0 ${ground} H${WIDTH} V${ground + 64} H0 z`" class="earth" />
    <path
      v-if="rise > 0"
      :d="`M${gate.hangsOn === 'left' ? parts[0]!.to : right} ${ground} L${gate.hangsOn === 'left' ? right : parts[0]!.to} ${ground - rise} V${ground} z`"
      class="earth"
    />
    <rect x="0" :y="TOP - 8" :width="POST" :height="ground - TOP + 50" class="post" />
    <rect :x="right" :y="TOP - 8" :width="POST" :height="ground - TOP + 50" class="post" />
    <g v-for="(leaf, i) in leaves" :key="leaf.key">
      <rect :x="leaf.from" :y="TOP" :width="leaf.to - leaf.from" :height="tall" class="leaf" />
      <line v-bind="braces[i]" class="brace" />
    </g>
    <rect v-for="each in hinges" :key="each.key" :x="each.x - 7" :y="each.y - 4" width="14" height="8" class="hinge" />
    <g v-for="(part, i) in parts" :key="part.key" class="sum">
      <line :x1="part.from" :x2="part.from" y1="26" y2="38" />
      <line :x1="part.to" :x2="part.to" y1="26" y2="38" />
      <line :x1="part.from" :x2="part.to" y1="32" y2="32" />
      <text
        :x="
          part.says === 'leaf'
            ? (part.from + part.to) / 2
            : i === 0
              ? part.from
              : i === parts.length - 1
                ? part.to
                : (part.from + part.to) / 2
        "
        y="18"
        :text-anchor="part.says === 'leaf' ? 'middle' : i === 0 ? 'start' : i === parts.length - 1 ? 'end' : 'middle'"
      >
        {{ part.says === 'leaf' ? preferences.show(part.length) : preferences.showSmall(part.length) }}
      </text>
    </g>
    <text :x="WIDTH / 2" :y="ground + 30" text-anchor="middle" class="total">
      {{ preferences.show(gate.wanted) }} between the posts
    </text>
    <text :x="(leaves[0]!.from + leaves[0]!.to) / 2" :y="ground + 52" text-anchor="middle">
      {{ preferences.showSmall(gate.under) }} under it
    </text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 520px;
}
.earth {
  fill: rgb(var(--v-theme-ground));
}
.post {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--ink);
  stroke-width: 1.4;
}
.leaf {
  fill: rgb(var(--v-theme-cladding));
  stroke: var(--ink);
  stroke-width: 1.6;
}
.brace {
  stroke: rgb(var(--v-theme-rail));
  stroke-width: 9;
}
.hinge {
  fill: var(--ink);
}
.sum line {
  stroke: var(--ink);
  stroke-width: 1.3;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 17px;
}
.total {
  font-weight: 600;
  font-size: 20px;
}
</style>
