<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { usePreferencesStore } from '~/session/preferences'
import { timeNow } from '~/sync/clock'
import { InputError } from '~~/core/errors'
import { DRILL_NAMES, DRILLS, drillOf, judged, type Drill, type DrillKey } from '~~/core/practice/drills'
import { readFigure, typedFigure, unitName } from '~~/core/units/readerUnit'
import { usePractice } from './usePractice'

/** A figure in the head, with the clock: asked, answered, and how it is worked out. */
const { tables } = usePractice()
const preferences = usePreferencesStore()
const CHOICES = DRILLS.map((value) => ({ value, words: DRILL_NAMES[value] }))

const key = ref<DrillKey>('bags')
const seed = ref(crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1)
const drill = computed(() => drillOf(key.value, seed.value, tables.value))
const typed = ref('')
const wrong = ref('')
const result = ref<{ isRight: boolean; seconds: number }>()
const tally = ref({ asked: 0, right: 0 })

const startedAt = ref(timeNow())
const now = ref(timeNow())
useIntervalFn(() => (now.value = timeNow()), 1_000)
const seconds = computed(() => result.value?.seconds ?? Math.max(0, Math.round((now.value - startedAt.value) / 1_000)))

/** Litres and metres are the reader's own; bags, minutes and degrees are what they are. */
const units: Record<Drill['unit'], string> = { m: 'm', L: 'm³', bags: '', min: '' }
const perUnit = computed(() => (drill.value.unit === 'L' ? 1e-3 : 1))
const unitWords = computed(() =>
  drill.value.unit === 'bags' || drill.value.unit === 'min'
    ? drill.value.unit
    : unitName(units[drill.value.unit], preferences.units),
)
const measureWords = ({ value, unit }: Drill['measures'][number]): string =>
  unit === 'm'
    ? preferences.show(value)
    : unit === 'mm'
      ? preferences.showSmall(value)
      : unit === '°C'
        ? preferences.measures.temperature(value)
        : String(value)
const asks = computed(() =>
  drill.value.measures.reduce((text, measure, i) => text.replace(`{${i}}`, measureWords(measure)), drill.value.asks),
)
const answer = computed(() => {
  const { answer: value, unit } = drill.value
  if (unit === 'min') return `${Math.round(value)} min`
  return `${typedFigure(Number((value * perUnit.value).toPrecision(4)), units[unit], preferences.units)} ${unitWords.value}`
})

const field = useTemplateRef<{ focus: () => void }>('field')
function say(): void {
  wrong.value = ''
  try {
    const said = readFigure(typed.value, units[drill.value.unit], preferences.units, 'answer') / perUnit.value
    const { isRight } = judged(drill.value, said)
    result.value = { isRight, seconds: seconds.value }
    tally.value = { asked: tally.value.asked + 1, right: tally.value.right + Number(isRight) }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    wrong.value = error.message
  }
}
function next(): void {
  seed.value++
  typed.value = ''
  result.value = undefined
  startedAt.value = timeNow()
  now.value = startedAt.value
  void nextTick(() => field.value?.focus())
}
const choose = computed({
  get: () => key.value,
  set: (wanted) => {
    key.value = wanted
    next()
  },
})
</script>

<template>
  <section class="drills" aria-labelledby="drills-title">
    <h2 id="drills-title">{{ DRILL_NAMES[key] }}</h2>
    <ChoiceBar v-model="choose" label="What is drilled" :choices="CHOICES" />
    <p class="asks">{{ asks }}</p>
    <form novalidate @submit.prevent="result ? next() : say()">
      <v-text-field
        ref="field"
        v-model="typed"
        :label="`Your answer, ${unitWords}`"
        inputmode="decimal"
        autocomplete="off"
        :readonly="result !== undefined"
        :error-messages="wrong ? [wrong] : []"
      />
      <v-btn type="submit" variant="flat" color="primary">{{ result ? 'The next one' : 'That is it' }}</v-btn>
      <span class="clock measure" role="timer">{{ seconds }} s</span>
    </form>
    <div v-if="result" role="status">
      <p class="answer">{{ result.isRight ? 'Right' : 'No' }}: {{ answer }}, in {{ result.seconds }} s.</p>
      <p>{{ drill.how }}</p>
    </div>
    <p v-if="tally.asked" class="soft">Right {{ tally.right }} times of {{ tally.asked }}.</p>
  </section>
</template>

<style scoped>
.drills {
  max-width: 760px;
  font-size: 17px;
}
.asks {
  font-size: 22px;
  margin: 14px 0;
}
form {
  display: flex;
  align-items: center;
  gap: 12px;
}
.clock {
  font-size: 24px;
  min-width: 64px;
}
.answer {
  font-size: 24px;
  font-weight: 600;
}
@media (max-width: 760px) {
  form {
    flex-wrap: wrap;
  }
}
</style>
