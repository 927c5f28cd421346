<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { stepped } from '~~/core/units/step'
import type { InputError } from '~~/core/errors'
import { useLengths, useSubject } from './measuring'

/** A length with big steps either side; typed in either system. Empty until somebody measured. */
const props = defineProps<{
  label: string
  value?: number
  step: number
  start?: number
  smallest?: number
  clearable?: boolean
  /** Shown and typed in millimetres, where those are meant. */
  small?: boolean
  assumed?: number
  /** `stepped` when it came by a step from the value before. */
  save: (value: number | null, stepped?: boolean) => Promise<InputError | undefined>
}>()

const lengths = useLengths()
const subject = useSubject()

const show = (length: number) => (props.small ? lengths.showSmall(length) : lengths.show(length))
const parse = (text: string) => (props.small ? lengths.parseSmall : lengths.parse)(text, props.label)

const typed = ref<string>()
const error = ref('')
const id = useId()
const shown = computed(() => typed.value ?? (props.value === undefined ? '' : show(props.value)))
// What was typed belongs to one post in one system of units. Each is watched by itself: an
// answer of the server renews the job, and must not take away what somebody is typing.
watch([() => props.value, () => lengths.units, subject], () => {
  typed.value = undefined
  error.value = ''
})

async function put(value: number | null, stepped = false): Promise<void> {
  const refused = await props.save(value, stepped)
  error.value = refused ? `${props.label} must be ${refused.range}` : ''
}
function move(by: number): void {
  const from = props.value ?? props.assumed ?? props.start ?? 0
  const first = props.value === undefined && props.assumed === undefined
  const next = first ? from : stepped(from, by, lengths.units)
  void put(Math.max(props.smallest ?? -Infinity, next), true)
}
async function take(): Promise<void> {
  if (typed.value === undefined) return
  if (typed.value.trim() === '') return void (props.clearable ? put(null) : (typed.value = undefined))
  try {
    const taken = typed.value
    await put(parse(taken))
    // What was typed meanwhile stays.
    if (!error.value && typed.value === taken) typed.value = undefined
  } catch (wrong) {
    error.value = (wrong as InputError).message
  }
}
</script>

<template>
  <div class="stepper" :class="{ unset: value === undefined }">
    <label :for="id">{{ label }}</label>
    <div class="parts">
      <v-btn :aria-label="`${label}: less`" @click="move(-step)">−</v-btn>
      <v-text-field
        :id="id"
        class="measure"
        :model-value="shown"
        :placeholder="assumed === undefined ? 'not yet' : show(assumed)"
        hide-details
        autocomplete="off"
        :inputmode="lengths.units === 'metric' ? 'decimal' : 'text'"
        :error="error !== ''"
        :aria-describedby="error ? `${id}-error` : undefined"
        @update:model-value="typed = $event"
        @change="take"
        @keydown.enter="take"
      />
      <v-btn :aria-label="`${label}: more`" @click="move(step)">+</v-btn>
    </div>
    <p v-if="error" :id="`${id}-error`" class="error-text" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 4px;
}
.parts {
  display: grid;
  grid-template-columns: 56px minmax(96px, 1fr) 56px;
  gap: 6px;
  max-width: 300px;
}
.parts .v-btn {
  font-size: 26px;
  padding: 0;
  min-width: 0;
}
.parts :deep(input) {
  text-align: center;
  font-family: var(--measure);
  font-weight: 600;
  font-size: 24px;
  padding: 0 6px;
}
.unset :deep(.v-field__outline) {
  --v-field-border-opacity: 0.38;
}
.parts :deep(input::placeholder) {
  color: var(--soft-ink);
  opacity: 1;
  font-size: 18px;
}
</style>
