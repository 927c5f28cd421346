<script setup lang="ts">
import { computed } from 'vue'
import QuantityField from '~/controls/QuantityField.vue'
import { USUAL_SETUP } from '~~/core/day/setup'
import { clockWords, minutesOf } from '~/controls/timesOfDay'
import { useDay } from './useDay'

/** From which day on, from when to when, and on which days of the week. */
const day = useDay()
type Span = { from: number; to: number }
const hours = computed<readonly Span[]>(() => day.setup.value.hours ?? USUAL_SETUP.hours)
function setHour(index: number, end: keyof Span, text: string): void {
  const minute = minutesOf(text)
  if (minute === undefined) return
  const next = hours.value.map((span, i) => (i === index ? { ...span, [end]: minute } : { ...span }))
  const isInOrder = next.every(({ from, to }, i) => from < to && (i === 0 || next[i - 1]!.to <= from))
  if (isInOrder) void day.set('hours', next)
}
const delivery = computed(() => day.setup.value.deliveries?.[0])
function setDelivery(text: string): void {
  const minute = minutesOf(text)
  void day.set(
    'deliveries',
    minute === undefined ? null : [{ day: 0, from: minute, to: minute + 30, says: 'the bags come' }],
  )
}
const WEEKEND = [
  { weekday: 6, label: 'Saturdays too' },
  { weekday: 0, label: 'Sundays too' },
]
const rest = computed(() => day.setup.value.rest ?? USUAL_SETUP.rest)
const setRest = (weekday: number, works: boolean) =>
  day.set('rest', works ? rest.value.filter((each) => each !== weekday) : [...rest.value, weekday].sort())
</script>

<template>
  <div>
    <h3 class="panel-section">Hours</h3>
    <div v-for="(span, i) in hours" :key="i" class="field-grid">
      <v-text-field
        :label="`${i === 0 ? 'Work begins' : 'Goes on'}`"
        type="time"
        :model-value="clockWords(span.from)"
        @update:model-value="setHour(i, 'from', $event)"
      />
      <v-text-field
        :label="`${i === hours.length - 1 ? 'Work ends' : 'Break from'}`"
        type="time"
        :model-value="clockWords(span.to)"
        @update:model-value="setHour(i, 'to', $event)"
      />
    </div>
    <div class="row">
      <v-checkbox
        v-for="each in WEEKEND"
        :key="each.weekday"
        :label="each.label"
        hide-details
        :model-value="!rest.includes(each.weekday)"
        @update:model-value="setRest(each.weekday, $event === true)"
      />
    </div>
    <div class="field-grid">
      <v-text-field
        label="First day"
        type="date"
        :model-value="day.first.value"
        @update:model-value="day.set('first', $event || null)"
      />
      <v-text-field
        label="Bags are brought at"
        type="time"
        clearable
        :model-value="delivery ? clockWords(delivery.from) : ''"
        @update:model-value="setDelivery($event ?? '')"
      />
      <QuantityField
        label="Way there, min"
        :value="day.setup.value.travel ?? USUAL_SETUP.travel"
        :save="(value) => day.set('travel', value)"
      />
    </div>
  </div>
</template>
