<script setup lang="ts">
import { computed } from 'vue'
import MeasuredPicture from '~/picture/MeasuredPicture.vue'
import type { Viewport } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'
import { extentOf } from '~~/core/repair/solids'
import type { FittedPicture } from './model/fitted'

/** A small drawing in true scale, fitted into its frame, with its measures in the units of the reader. */
const { picture, label } = defineProps<{ picture: FittedPicture; label: string }>()
const preferences = usePreferencesStore()
const SIZE = { width: 520, height: 300 }
/** Room for the words of the measures, px. */
const ROOM = { x: 84, y: 44 }

const measures = computed(() =>
  picture.solids.flatMap((solid) => solid.measures ?? []).filter(({ length }) => length > 1e-6),
)
const extent = computed(() => {
  const points = [
    ...picture.solids.filter(({ outline }) => outline.length > 1).flatMap(({ outline }) => outline),
    ...measures.value.flatMap(({ from, to }) => [from, to]),
  ]
  return extentOf(points)
})
const scale = computed(() => {
  const { left, right, bottom, top } = extent.value
  return Math.min(
    (SIZE.width - 2 * ROOM.x) / Math.max(1e-6, right - left),
    (SIZE.height - 2 * ROOM.y) / Math.max(1e-6, top - bottom),
  )
})
const viewport = computed<Viewport>(() => ({
  ...SIZE,
  pixelsPerMetre: scale.value,
  groundY: SIZE.height / 2 + (scale.value * (extent.value.top + extent.value.bottom)) / 2,
}))
const origin = computed(() => SIZE.width / 2 / scale.value - (extent.value.left + extent.value.right) / 2)
const says = computed(() =>
  [label, ...measures.value.map((each) => `${each.says} ${preferences.show(each.length)}`)].join('; '),
)
</script>

<template>
  <MeasuredPicture
    :solids="picture.solids"
    :measures="measures"
    :viewport="viewport"
    :origin="origin"
    :has-ground="picture.hasGround"
    :label="says"
  />
</template>
