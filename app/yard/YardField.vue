<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { InputError } from '~~/core/errors'
import { valueAt, type YardColumn, type YardRow } from '~~/core/yard/column'
import { shownCell } from './model/cells'
import { useCellTerms } from './useCellTerms'

/** One cell of a row that is in hand; what was typed stays until it is right. */
const props = defineProps<{
  column: YardColumn
  row: YardRow
  /** In a cell of the table the heading says what it is. */
  inCell?: boolean
  /** What is wrong with it, said by whoever checks the row as a whole. */
  problem?: string
  save: (typed: string) => Promise<InputError | undefined>
}>()
const emit = defineEmits<{ next: [] }>()
const terms = useCellTerms()

const typed = ref<string>()
const error = ref('')
const shown = computed(() => typed.value ?? shownCell(props.column, props.row, terms.value))
watch(
  () => shownCell(props.column, props.row, terms.value),
  () => (typed.value = undefined),
)
const label = computed(() => {
  const { name, unit, kind } = props.column
  const said = kind === 'money' ? terms.value.currency.code : unit
  return said ? `${name}, ${said}` : name
})
const errors = computed(() => [error.value || props.problem || ''].filter(Boolean))
const list = computed(() => (valueAt(props.row, props.column.path) as string[] | undefined) ?? [])
const isNumber = computed(() => ['number', 'money', 'length'].includes(props.column.kind))

async function take(text: string): Promise<void> {
  const refused = await props.save(text)
  error.value = refused ? `It must be ${refused.range}` : ''
  if (!refused && typed.value === text) typed.value = undefined
}
const takeTyped = () => (typed.value === undefined ? Promise.resolve() : take(typed.value))
async function enter(): Promise<void> {
  await takeTyped()
  if (!error.value) emit('next')
}
</script>

<template>
  <v-select
    v-if="column.kind === 'choice' || column.kind === 'list'"
    :label="inCell ? undefined : label"
    :aria-label="label"
    :items="column.values"
    :multiple="column.kind === 'list'"
    :model-value="column.kind === 'list' ? list : shown || null"
    :clearable="column.isNeeded !== true && column.kind === 'choice'"
    :error-messages="errors"
    :hide-details="errors.length === 0"
    @update:model-value="take(Array.isArray($event) ? $event.join(' ') : ($event ?? ''))"
  />
  <v-checkbox
    v-else-if="column.kind === 'flag'"
    :label="inCell ? undefined : label"
    :aria-label="label"
    hide-details
    :model-value="valueAt(row, column.path) === true"
    @update:model-value="take($event ? 'yes' : '')"
  />
  <v-text-field
    v-else
    :label="inCell ? undefined : label"
    :aria-label="label"
    :model-value="shown"
    :inputmode="isNumber && column.kind !== 'length' ? 'decimal' : undefined"
    autocomplete="off"
    :error-messages="errors"
    :hide-details="errors.length === 0"
    :data-path="column.path"
    @update:model-value="typed = $event"
    @change="takeTyped"
    @keydown.enter="enter"
  />
</template>
