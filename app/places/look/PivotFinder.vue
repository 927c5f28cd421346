<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobView } from '~/job/openJob'
import { useReadings } from '~/job/useReadings'
import LengthStepper from '~/controls/LengthStepper.vue'
import { InputError } from '~~/core/errors'
import { pivotHeight, whereItTurns, type Turning } from '~~/core/setout/pivot'
import { usePreferencesStore } from '~/session/preferences'

/** Where a leaning post has turned, from two offsets to a plumb line at its old place. */
const preferences = usePreferencesStore()
const { record } = useReadings()

const low = reactive({ height: 0.3, offset: undefined as number | undefined })
const high = reactive({ height: 1.5, offset: undefined as number | undefined })

// Offsets belong to one post.
const view = useJobView()
watch(
  () => view.post.value?.id,
  () => (low.offset = high.offset = undefined),
)

const SAYS: Record<Turning, string> = {
  'in-the-soil': 'in the soil: the footing has moved',
  'at-ground-line': 'at the ground line: the wood has given way',
  'above-ground': 'above the ground: look for a break there',
}
const answer = computed(() => {
  if (low.offset === undefined || high.offset === undefined) return undefined
  try {
    const height = pivotHeight({ ...low, offset: low.offset }, { ...high, offset: high.offset })
    return { height, turning: whereItTurns(height), failure: '' }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { height: 0, turning: undefined, failure: error.message }
  }
})
const words = computed(() => {
  const { height, turning, failure } = answer.value!
  if (!turning) return failure
  const where = `${preferences.show(Math.abs(height))} ${height < 0 ? 'below' : 'above'} the ground`
  return `It turned ${where}, ${SAYS[turning]}.`
})
const setter = (of: typeof low, key: 'height' | 'offset') => async (value: number | null) => {
  of[key] = (value ?? undefined) as number
  return undefined
}
</script>

<template>
  <FoldOut class="pivot" title="Find where it turned, by two offsets to a plumb line">
    <div class="field-grid">
      <LengthStepper label="Lower offset" :value="low.offset" :step="0.005" :start="0" :save="setter(low, 'offset')" />
      <LengthStepper label="at a height of" :value="low.height" :step="0.1" :save="setter(low, 'height')" />
      <LengthStepper
        label="Upper offset"
        :value="high.offset"
        :step="0.005"
        :start="0"
        :save="setter(high, 'offset')"
      />
      <LengthStepper label="at the height of" :value="high.height" :step="0.1" :save="setter(high, 'height')" />
    </div>
    <template v-if="answer">
      <p class="found" role="status">{{ words }}</p>
      <v-btn
        v-if="answer.turning && answer.turning !== 'above-ground'"
        @click="record('pushPivot', answer.turning, 'spirit-level')"
        >Record that it turns there</v-btn
      >
    </template>
  </FoldOut>
</template>

<style scoped>
.pivot {
  margin-top: 12px;
}
.found {
  margin: 10px 0;
  font-weight: 600;
}
</style>
