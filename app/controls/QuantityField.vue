<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { InputError } from '~~/core/errors'

/** A plain number with its unit in the label; what was typed stays until it is right. */
const props = defineProps<{
  label: string
  value?: number
  /** One in the unit of the label, in that of the core. */
  per?: number
  /** What the figures go by where nobody gave one. */
  assumed?: number
  save: (value: number | null) => Promise<InputError | undefined>
}>()

const typed = ref<string>()
const error = ref('')
watch(
  () => [props.value, props.per],
  () => {
    typed.value = undefined
    error.value = ''
  },
)
/** No finer than anybody measures it, where it was turned from another unit. */
const inUnit = (value: number | undefined) =>
  value === undefined ? '' : String(props.per ? Math.round((value / props.per) * 10) / 10 : value)
const shown = computed(() => typed.value ?? inUnit(props.value))

async function take(): Promise<void> {
  if (typed.value === undefined) return
  const taken = typed.value
  const text = taken.trim().replace(',', '.')
  const number = text === '' ? null : Number(text)
  if (number !== null && !Number.isFinite(number)) {
    error.value = `${props.label} is "${typed.value}"; it must be a number`
    return
  }
  const refused = await props.save(number === null ? null : number * (props.per ?? 1))
  error.value = refused ? `${props.label} must be ${refused.range}` : ''
  // What was typed meanwhile stays.
  if (!refused && typed.value === taken) typed.value = undefined
}
</script>

<template>
  <v-text-field
    :label="label"
    :model-value="shown"
    inputmode="decimal"
    autocomplete="off"
    :placeholder="inUnit(assumed) || undefined"
    :persistent-placeholder="assumed !== undefined"
    :error-messages="error ? [error] : []"
    @update:model-value="typed = $event"
    @change="take"
    @keydown.enter="take"
  />
</template>
