<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import InstrumentReading from '~/instruments/InstrumentReading.vue'
import { LEVEL_LENGTH } from '~/instruments/level'
import { liveLevel } from '~/instruments/liveLevel'
import { useInstrument } from '~/instruments/useInstrument'
import { usePourEdits } from '~/pours/usePourEdits'
import { usePreferencesStore } from '~/session/preferences'
import { checkAnswer, facesOf, lastCheck, type Face } from '~~/core/pour/checks'
import type { PourClock } from '~~/core/pour/clock'

/** One face after the other: by the level in the hand, by one that streams, or by eye; answered in one word. */
const { clock } = defineProps<{ clock: PourClock }>()
const view = useJobView()
const edits = usePourEdits()
const preferences = usePreferencesStore()

const face = ref<Face>(facesOf(clock.pour).across === undefined ? 'across' : 'along')
const FACES = [
  { value: 'across', words: 'across the line' },
  { value: 'along', words: 'along it' },
] as const
const streams = ref(false)
/** What the stand-in is held against, rad. */
const UNREAD = 0.004
const instrument = useInstrument('level', () => (face.value === 'across' ? UNREAD : -UNREAD / 2))
const DEGREES = 180 / Math.PI

const last = computed(() => lastCheck(clock.pour, face.value))
const read = computed(() => facesOf(clock.pour))
const answer = computed(() => {
  const found = last.value
  if (!found || found.how === 'eye') return undefined
  const line = view.line.value!
  const result = checkAnswer(found, 0, line.height)
  if (result.action === 'leave') return 'Plumb: leave it.'
  const way =
    face.value === 'across'
      ? { plus: 'away from you', minus: 'towards you' }
      : { plus: 'to the right', minus: 'to the left' }
  return `Push its top ${preferences.showSmall(result.by)} ${way[result.towards]}, then read it again.`
})
const take = (offset: number, how: 'level' | 'stream') =>
  edits.check(clock.pour.id, { how, face: face.value, offset, over: LEVEL_LENGTH })
const save = async (value: number | null) => (value === null ? undefined : take(value, 'level'))
const takeStream = (angle: number) => take(Math.tan(angle) * LEVEL_LENGTH, 'stream')
const byEye = () => edits.check(clock.pour.id, { how: 'eye', face: face.value })

watch([instrument.held, instrument.state, face], ([held, state]) => {
  liveLevel.value = state === 'live' && held ? { direction: face.value, slope: Math.tan(held.value) } : undefined
})
onScopeDispose(() => (liveLevel.value = undefined))
watch(face, () => instrument.disconnect())
watch(streams, (on) => (on ? instrument.connect() : instrument.disconnect()))
const READ = { level: 'by level', stream: 'by level', eye: 'by eye' } as const
</script>

<template>
  <div class="panel-section">
    <h3>Both faces</h3>
    <ChoiceBar
      v-model="face"
      label="Face that is read"
      :choices="
        FACES.map((each) => ({
          ...each,
          words: `${each.words}${read[each.value] ? ` ✓ ${READ[read[each.value]!]}` : ''}`,
        }))
      "
    />
    <p v-if="answer" class="answer" role="status">{{ answer }}</p>
    <LengthStepper
      v-if="!streams"
      :label="`Out over ${preferences.show(LEVEL_LENGTH)}, ${face === 'across' ? 'away from you +' : 'to the right +'}`"
      :value="last?.offset"
      :step="0.001"
      :start="0"
      small
      :save="save"
    />
    <InstrumentReading
      v-else
      name="digital level"
      :instrument="instrument"
      :show="(angle) => (angle * DEGREES).toFixed(2).replace('-', '−')"
      unit="degrees"
      @take="takeStream"
    />
    <div class="row">
      <v-btn :aria-pressed="streams" @click="streams = !streams">{{
        streams ? 'Type it instead' : 'Let the digital level stream in'
      }}</v-btn>
      <v-btn @click="byEye">Plumb by eye</v-btn>
    </div>
  </div>
</template>

<style scoped>
.answer {
  font-size: 20px;
  font-weight: 600;
  margin: 8px 0;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 10px;
}
</style>
