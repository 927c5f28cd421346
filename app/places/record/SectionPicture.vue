<script setup lang="ts">
import { computed } from 'vue'
import MeasuredPicture from '~/picture/MeasuredPicture.vue'
import { px, type Viewport } from '~/picture/model/viewport'
import type { Metres } from '~~/core/units/types'
import { extentOf, type Solid } from '~~/core/repair/solids'

/** A hole in section in true scale, with its measures in words; photographs beside it at their height on the post. */
const { solids, pins = [] } = defineProps<{
  solids: readonly Solid[]
  label: string
  pins?: { key: string; at: Metres; src?: string; alt: string }[]
}>()

const SIZE = { width: 460, height: 460 }
/** So much of the post over the ground, and so much room under the hole, m. */
const ABOVE = 0.6
const BELOW = 0.24
const FAR = { width: 64, height: 48 }

const deepest = computed(() => Math.min(-0.3, ...solids.map(({ outline }) => extentOf(outline).bottom)))
const viewport = computed<Viewport>(() => {
  const pixelsPerMetre = SIZE.height / (ABOVE - deepest.value + BELOW)
  return { ...SIZE, pixelsPerMetre, groundY: ABOVE * pixelsPerMetre }
})
const measures = computed(() => solids.flatMap((solid) => solid.measures ?? []).filter(({ to }) => to[1] <= 0))
const placed = computed(() => {
  const { pixelsPerMetre, groundY } = viewport.value
  const lowest = SIZE.height - FAR.height
  return pins.map(({ at, ...pin }) => ({
    ...pin,
    x: 8,
    y: px(Math.min(lowest, Math.max(0, groundY - at * pixelsPerMetre - FAR.height / 2))),
  }))
})
</script>

<template>
  <MeasuredPicture
    :solids="solids"
    :measures="measures"
    :viewport="viewport"
    :origin="SIZE.width / 2 / viewport.pixelsPerMetre"
    has-ground
    :label="label"
  >
    <g v-for="pin in placed" :key="pin.key">
      <image :href="pin.src" :x="pin.x" :y="pin.y" v-bind="FAR" preserveAspectRatio="xMidYMid slice">
        <title>{{ pin.alt }}</title>
      </image>
      <rect :x="pin.x" :y="pin.y" v-bind="FAR" class="pin" />
    </g>
  </MeasuredPicture>
</template>

<style scoped>
.pin {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
