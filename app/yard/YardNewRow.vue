<script setup lang="ts">
import { computed, ref } from 'vue'
import type { InputError } from '~~/core/errors'
import { isNeeded } from '~~/core/yard/check'
import type { YardChange } from '~~/core/yard/change'
import { withValue, type YardColumn, type YardRow, type YardTable } from '~~/core/yard/column'
import { keyFrom, readTyped } from './model/cells'
import { useCellTerms } from './useCellTerms'
import YardField from './YardField.vue'

/** A row that is still being written: nothing is added before it can stand. */
const props = defineProps<{
  table: YardTable
  known: ReadonlySet<string>
  change: (changes: readonly YardChange[]) => Promise<InputError | undefined>
}>()
const emit = defineEmits<{ added: [key: string]; leave: [] }>()
const terms = useCellTerms()

/** What most rows of a table begin with. */
const BEGINS: Readonly<Record<string, object>> = {
  catalogue: { group: 'part', unit: 'each', pack: 1, tax: 'standard' },
  offcuts: { count: 1 },
  tools: { count: 1 },
}
const row = ref<YardRow>({ key: '', ...BEGINS[props.table.key] })
const problems = ref<ReadonlyMap<string, string>>(new Map())
const columns = computed(() => props.table.columns.filter((each) => each.path !== 'key' && belongs(each)))
/** Figures of another kind of row are not asked for. */
const belongs = (column: YardColumn) => typeof column.isNeeded !== 'function' || isNeeded(column, row.value)

async function put(column: YardColumn, typed: string): Promise<InputError | undefined> {
  try {
    row.value = withValue(row.value, column.path, readTyped(column, typed, terms.value))
    return undefined
  } catch (error) {
    return error as InputError
  }
}
/** In the table of prices a key says what it belongs to. */
function keyed(): YardRow {
  const { name, group } = row.value as YardRow & { name?: string; group?: string }
  const stem = `${props.table.key === 'catalogue' ? `${group}/` : ''}${keyFrom(name ?? '') || 'row'}`
  let key = stem
  for (let i = 2; props.known.has(key); i++) key = `${stem}-${i}`
  return { ...row.value, key }
}
async function add(): Promise<void> {
  const value = keyed()
  const refused = await props.change([{ table: props.table.key, key: value.key, was: null, value }])
  if (!refused) return emit('added', value.key)
  const path = refused.key.slice(`${props.table.key}.${value.key}.`.length)
  problems.value = new Map([
    [path, refused.value === undefined ? `Needed: ${refused.range}` : `It must be ${refused.range}`],
  ])
}
</script>

<template>
  <form class="new-row" :aria-label="`New row: ${table.name}`" @submit.prevent="add">
    <YardField
      v-for="each in columns"
      :key="each.path"
      :column="each"
      :row="row"
      :problem="problems.get(each.path)"
      :save="(typed) => put(each, typed)"
    />
    <div class="ways">
      <v-btn type="submit" variant="flat" color="primary">Add it</v-btn>
      <v-btn variant="text" @click="emit('leave')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.new-row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  align-items: start;
  gap: 10px;
  padding: 10px 0;
  border-bottom: 2.4px solid var(--string);
}
.ways {
  grid-column: 1 / -1;
  display: flex;
  gap: 8px;
}
</style>
