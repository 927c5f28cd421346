<script setup lang="ts">
import type { InputError } from '~~/core/errors'
import type { LeanReading, ObservationKey } from '~~/core/job/observations'
import { useJobStore } from '~/stores/job'
import { BREAK_FACE, COMES_UPRIGHT, FOOTING_FOUND, ONSET, PUSH_PIVOT } from '~/words'

/** What was seen at the post, asked in the order in which it is looked at; every one may be skipped. */
const store = useJobStore()
const view = useJobView()
const seen = computed(() => view.post.value?.observations ?? {})
const wood = computed(() => !['steel', 'vinyl', 'concrete'].includes(view.post.value?.material ?? ''))

const PROBES = [
  { key: 'probeAtGround', label: 'Soft wood at the ground line' },
  { key: 'probeBelow', label: 'Soft wood below the ground' },
  { key: 'probeAbove', label: 'Soft wood a hand above' },
] as const

function record(key: ObservationKey, value: unknown): Promise<InputError | undefined> {
  return store.edit([{ name: 'setReading', ...view.address.value, key, value }])
}

const LEVEL_LENGTH = 1.2
const ALONG = 0
const lean = computed<LeanReading | undefined>(() => {
  const reading = seen.value.lean
  return Array.isArray(reading) ? reading[0] : reading
})
/** One reading along the line: to the right in the drawing counts positive. */
function recordLean(offset: number | null): Promise<InputError | undefined> {
  return record('lean', offset === null ? null : { over: LEVEL_LENGTH, direction: ALONG, ...lean.value, offset })
}
function recordLevel(over: number | null): Promise<InputError | undefined> {
  return record('lean', { offset: 0, direction: ALONG, ...lean.value, over: over ?? LEVEL_LENGTH })
}
</script>

<template>
  <section aria-labelledby="look-title">
    <h2 id="look-title">{{ view.post.value?.id }}: what do you see?</h2>
    <p class="soft">Skip what you did not look at.</p>
    <div class="panel-section">
      <AnswerTiles
        v-slot="{ value }"
        question="Push it. Where does it turn?"
        :answers="PUSH_PIVOT"
        :value="seen.pushPivot"
        @answer="record('pushPivot', $event)"
      >
        <PivotPicture :pivot="value" />
      </AnswerTiles>
    </div>
    <div class="panel-section">
      <AnswerTiles
        small
        question="Does it come back to plumb by hand?"
        :answers="COMES_UPRIGHT"
        :value="seen.comesUpright"
        @answer="record('comesUpright', $event)"
      />
    </div>
    <div v-if="wood" class="panel-section">
      <h3>Probe the wood: how deep is it soft?</h3>
      <div class="field-grid">
        <LengthStepper
          v-for="probe in PROBES"
          :key="probe.key"
          :label="probe.label"
          :value="seen[probe.key]"
          :step="0.005"
          :start="0"
          :smallest="0"
          clearable
          :save="(value) => record(probe.key, value)"
        />
      </div>
    </div>
    <div class="panel-section">
      <AnswerTiles
        small
        question="Is it broken? Look at the face."
        :answers="BREAK_FACE"
        :value="seen.breakFace"
        @answer="record('breakFace', $event)"
      />
    </div>
    <div class="panel-section">
      <AnswerTiles
        small
        question="Dig a little. What footing is there?"
        :answers="FOOTING_FOUND"
        :value="seen.footingFound"
        @answer="record('footingFound', $event)"
      />
    </div>
    <div class="panel-section">
      <AnswerTiles
        small
        question="When did it begin?"
        :answers="ONSET"
        :value="seen.onset"
        @answer="record('onset', $event)"
      />
    </div>
    <div class="panel-section">
      <h3>Lean along the line, by a level</h3>
      <div class="field-grid">
        <LengthStepper
          label="Offset, to the right"
          :value="lean?.offset"
          :step="0.005"
          :start="0"
          clearable
          :save="recordLean"
        />
        <LengthStepper
          label="Over the level's length"
          :value="lean?.over"
          :assumed="LEVEL_LENGTH"
          :step="0.1"
          :smallest="0.1"
          :save="recordLevel"
        />
      </div>
    </div>
    <PostFacts />
    <v-btn class="onward" block variant="flat" color="primary" @click="view.goTo('cause')">See the cause</v-btn>
  </section>
</template>

<style scoped>
.onward {
  margin: 8px 0 20px;
}
</style>
