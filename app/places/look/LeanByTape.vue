<script setup lang="ts">
import type { LeanReading } from '~~/core/setout/lean'
import { computed } from 'vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'
import type { Instrument } from '~~/core/cause/observations'
import { LEVEL_LENGTH } from '~/instruments/level'

/** The offset at the end of a level held plumb against the post. */
const props = defineProps<{
  reading?: LeanReading
  direction: 'along' | 'across'
  save: (value: LeanReading | null, instrument: Instrument, stepped?: boolean) => Promise<InputError | undefined>
}>()

const over = computed(() => props.reading?.over ?? LEVEL_LENGTH)
const saveOffset = (offset: number | null, stepped?: boolean) =>
  props.save(offset === null ? null : { offset, over: over.value }, 'spirit-level', stepped)
const saveLevel = (length: number | null, stepped?: boolean) =>
  props.save({ offset: props.reading?.offset ?? 0, over: length ?? LEVEL_LENGTH }, 'spirit-level', stepped)
</script>

<template>
  <div class="field-grid">
    <LengthStepper
      :label="direction === 'along' ? 'Offset, to the right' : 'Offset, away from you'"
      :value="reading?.offset"
      :step="0.005"
      :start="0"
      clearable
      :save="saveOffset"
    />
    <LengthStepper
      label="Over the level's length"
      :value="reading?.over"
      :assumed="LEVEL_LENGTH"
      :step="0.1"
      :smallest="0.1"
      :save="saveLevel"
    />
  </div>
</template>
