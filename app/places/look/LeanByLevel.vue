<script setup lang="ts">
import { useJobView } from '~/job/openJob'
import { ACROSS, ALONG, leanByAngle, leanSlopes, type LeanReading } from '~~/core/setout/lean'
import { useInstrument } from '~/instruments/useInstrument'
import InstrumentReading from '~/instruments/InstrumentReading.vue'
import type { InputError } from '~~/core/errors'
import type { Instrument } from '~~/core/cause/observations'
import { LEVEL_LENGTH } from '~/instruments/level'

/** A digital level held against the post: its reading is taken by hand, when it stands still. */
const props = defineProps<{
  direction: 'along' | 'across'
  save: (value: LeanReading | null, instrument: Instrument, stepped?: boolean) => Promise<InputError | undefined>
}>()
const view = useJobView()

const DEGREES = 180 / Math.PI
/** What the stand-in is held against where nothing was read yet, rad. */
const UNREAD = 0.045
const truth = () => {
  const slopes = leanSlopes(view.post.value?.observations.lean)
  return Math.atan(slopes[props.direction]) || UNREAD
}
const instrument = useInstrument('level', truth)
const take = (angle: number) =>
  props.save(leanByAngle(angle, LEVEL_LENGTH, props.direction === 'along' ? ALONG : ACROSS), 'digital-level')
</script>

<template>
  <InstrumentReading
    name="digital level"
    :instrument="instrument"
    :show="(angle) => (angle * DEGREES).toFixed(2).replace('-', '−')"
    unit="degrees"
    @take="take"
  />
</template>
