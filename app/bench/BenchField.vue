<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import { InputError } from '~~/core/errors'
import type { FormField } from '~~/core/calc/form'
import type { Tables } from '~~/core/tables/tables'
import { readFigure, typedFigure, unitName } from '~~/core/units/readerUnit'

/** One input of a calculation, whatever its kind; lists and groups have fields of their own in them. */
const { field, value, tables, error } = defineProps<{
  field: FormField
  value: unknown
  tables: Tables
  /** What was wrong with it, where something was. */
  error?: string | undefined
}>()
const emit = defineEmits<{ change: [value: unknown] }>()
const preferences = usePreferencesStore()

const unit = computed(() => (field.kind === 'number' ? unitName(field.unit, preferences.units) : ''))
const label = computed(() => `${field.name}${unit.value ? `, ${unit.value}` : ''}`)
const shown = computed(() => {
  if (value === undefined || value === null) return ''
  if (field.kind === 'number' && typeof value === 'number') return typedFigure(value, field.unit, preferences.units)
  return typeof value === 'string' ? value : JSON.stringify(value)
})
const otherwise = computed(() =>
  field.kind === 'number' && typeof field.otherwise === 'number'
    ? typedFigure(field.otherwise, field.unit, preferences.units)
    : field.isOptional
      ? 'left out'
      : '',
)
const typed = ref<string>()
const wrong = ref('')
watch([() => value, () => preferences.units], () => {
  typed.value = undefined
  wrong.value = ''
})
/** What was typed stays until it is right. */
function take(): void {
  if (typed.value === undefined) return
  const text = typed.value
  wrong.value = ''
  if (text.trim() === '' && field.isOptional) return emit('change', undefined)
  try {
    if (field.kind === 'number') emit('change', readFigure(text, field.unit, preferences.units, field.name))
    else emit('change', readWritten(text))
  } catch (caught) {
    if (!(caught instanceof InputError)) throw caught
    wrong.value = caught.message
  }
}
/** A word, or whatever is written with brackets. */
function readWritten(text: string): unknown {
  const trimmed = text.trim()
  if (!/^[[{"\d-]|^(true|false|null)$/.test(trimmed)) return trimmed
  try {
    return JSON.parse(trimmed)
  } catch {
    throw new InputError(field.name, text, 'written with its brackets, commas and quotes')
  }
}
const problems = computed(() => [wrong.value || (error ?? '')].filter(Boolean))
const rows = computed(() =>
  field.kind === 'row'
    ? field.rows(tables).map(({ key, name }) => ({ value: key, title: name ?? key.replaceAll('-', ' ') }))
    : [],
)
const choices = computed(() =>
  field.kind === 'choice' ? field.values.map((each) => ({ value: each, title: each.replaceAll('-', ' ') })) : [],
)
const picked = computed(() => (value ?? field.otherwise) as string | undefined)
const list = computed(() => (Array.isArray(value) ? (value as unknown[]) : []))
const inside = computed(() => (value ?? {}) as Record<string, unknown>)
const shapes = computed(() => (field.kind === 'shaped' ? Object.keys(field.shapes) : []))
const shape = computed(() => inside.value.shape as string | undefined)
const shapeFields = computed(() => (field.kind === 'shaped' ? (field.shapes[inside.value.shape as string] ?? []) : []))
const put = (i: number, to: unknown) =>
  emit(
    'change',
    list.value.map((old, at) => (at === i ? to : old)),
  )
const leaveOut = (i: number) =>
  emit(
    'change',
    list.value.filter((_old, at) => at !== i),
  )
/** One more like the last one; the first of them empty. */
const another = () =>
  emit('change', [...list.value, list.value.at(-1) ?? (field.kind === 'list' && field.of.kind === 'group' ? {} : '')])
const set = (key: string, to: unknown) => {
  const { [key]: _old, ...rest } = inside.value
  emit('change', to === undefined ? rest : { ...rest, [key]: to })
}
</script>

<template>
  <v-text-field
    v-if="field.kind === 'number' || field.kind === 'written'"
    :label="label"
    :model-value="typed ?? shown"
    :inputmode="field.kind === 'number' ? 'decimal' : undefined"
    autocomplete="off"
    :placeholder="otherwise || undefined"
    :persistent-placeholder="otherwise !== ''"
    :error-messages="problems"
    @update:model-value="typed = $event"
    @change="take"
    @keydown.enter="take"
  />
  <v-checkbox
    v-else-if="field.kind === 'flag'"
    :label="field.name"
    :model-value="(value ?? field.otherwise) === true"
    hide-details
    @update:model-value="emit('change', $event === true)"
  />
  <v-select
    v-else-if="field.kind === 'choice' || field.kind === 'row'"
    :label="label"
    :items="field.kind === 'row' ? rows : choices"
    :model-value="picked"
    :clearable="field.isOptional"
    :error-messages="error ? [error] : []"
    @update:model-value="emit('change', $event ?? undefined)"
  />
  <fieldset v-else class="inside">
    <legend>{{ label }}</legend>
    <template v-if="field.kind === 'list'">
      <div v-for="(each, i) in list" :key="i" class="entry">
        <BenchField
          :field="{ ...field.of, name: `${field.name} ${i + 1}` }"
          :value="each"
          :tables="tables"
          @change="put(i, $event)"
        />
        <v-btn variant="text" :aria-label="`Leave out ${field.name} ${i + 1}`" @click="leaveOut(i)">less</v-btn>
      </div>
      <v-btn class="another" variant="text" @click="another">One more</v-btn>
    </template>
    <template v-else-if="field.kind === 'group'">
      <BenchField
        v-for="each in field.fields"
        :key="each.key"
        :field="each"
        :value="inside[each.key]"
        :tables="tables"
        @change="set(each.key, $event)"
      />
    </template>
    <template v-else>
      <v-select label="shape" :items="shapes" :model-value="shape" @update:model-value="set('shape', $event)" />
      <BenchField
        v-for="each in shapeFields"
        :key="each.key"
        :field="each"
        :value="inside[each.key]"
        :tables="tables"
        @change="set(each.key, $event)"
      />
    </template>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
  </fieldset>
</template>

<style scoped>
.inside {
  border: 1px solid var(--rule);
  padding: 8px 12px;
  margin: 0 0 12px;
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 12px;
}
legend {
  padding: 0 6px;
  font-weight: 600;
}
.another {
  justify-self: start;
  grid-column: 1 / -1;
}
.entry {
  display: flex;
  align-items: start;
  grid-column: 1 / -1;
}
.entry > :first-child {
  flex: 1;
}
</style>
