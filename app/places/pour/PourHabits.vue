<script setup lang="ts">
import { computed } from 'vue'
import { clockWords, minutesOf } from '~/controls/timesOfDay'
import QuantityField from '~/controls/QuantityField.vue'
import { usePours } from '~/pours/pours'
import { isSilent, useNotificationLeave } from '~/pours/useAlarms'
import { InputError } from '~~/core/errors'

/** How many can hold a level, how long they stay, and how the clocks call out. */
const { people, untilMinute } = usePours()
const { leave, ask } = useNotificationLeave()

const until = computed(() => clockWords(untilMinute.value))
function setUntil(text: string): void {
  const minute = minutesOf(text)
  if (minute !== undefined) untilMinute.value = minute
}
async function savePeople(value: number | null) {
  if (value === null || !Number.isInteger(value) || value < 1 || value > 4)
    return new InputError('people', value, 'a whole number from 1 to 4')
  people.value = value
  return undefined
}
</script>

<template>
  <div>
    <div class="field-grid">
      <QuantityField label="Here who can read a level" :value="people" :save="savePeople" />
      <v-text-field label="Somebody stays until" type="time" :model-value="until" @update:model-value="setUntil" />
    </div>
    <v-switch v-model="isSilent" label="Silent: show it only" hide-details color="primary" />
    <v-btn v-if="leave === 'prompt'" @click="ask">Let it notify you when another page is open</v-btn>
    <p v-else-if="leave === 'denied'" class="soft">This browser does not let it notify you: keep the page in sight.</p>
  </div>
</template>
