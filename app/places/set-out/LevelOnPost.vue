<script setup lang="ts">
import { onScopeDispose, ref, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import InstrumentReading from '~/instruments/InstrumentReading.vue'
import { liveLevel } from '~/instruments/liveLevel'
import { useInstrument } from '~/instruments/useInstrument'
import { leanSlopes } from '~~/core/setout/lean'

/** A digital level on a face of the post: what it shows moves the plumb rose, and is kept when it is taken. */
const emit = defineEmits<{ take: [direction: 'along' | 'across', angle: number] }>()
const view = useJobView()
const direction = ref<'along' | 'across'>('across')
const DIRECTIONS = [
  { value: 'across', words: 'across the line' },
  { value: 'along', words: 'along it' },
] as const
const DEGREES = 180 / Math.PI
/** What the stand-in is held against where nothing was read yet, rad. */
const UNREAD = 0.012
const instrument = useInstrument(
  'level',
  () => Math.atan(leanSlopes(view.post.value?.observations.lean)[direction.value]) || UNREAD,
)
watch([instrument.held, instrument.state, direction], ([held, state]) => {
  const shows = state === 'live' && held
  liveLevel.value = shows ? { direction: direction.value, slope: Math.tan(held.value) } : undefined
})
onScopeDispose(() => (liveLevel.value = undefined))
// Another post, another face: the level was taken off.
watch([view.postId, direction], () => instrument.disconnect())
</script>

<template>
  <div>
    <ChoiceBar v-model="direction" label="The face it is held to" :choices="DIRECTIONS" />
    <InstrumentReading
      name="digital level"
      :instrument="instrument"
      :show="(angle) => (angle * DEGREES).toFixed(2).replace('-', '−')"
      unit="degrees"
      @take="emit('take', direction, $event)"
    />
  </div>
</template>
