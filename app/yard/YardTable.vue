<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useMediaQuery } from '@vueuse/core'
import type { YardColumn, YardRow } from '~~/core/yard/column'
import type { TableRead } from '~~/core/yard/csv'
import { shownCell } from './model/cells'
import { useCellTerms } from './useCellTerms'
import { useRowInHand, type ShownTable } from './useRowInHand'
import YardField from './YardField.vue'

/** Rows to be read, and the one in hand to be typed into; a block of a spreadsheet is pasted where one stands. */
const props = defineProps<ShownTable>()
const emit = defineEmits<{ brought: [TableRead] }>()
const terms = useCellTerms()
const onPhone = useMediaQuery('(max-width: 760px)')

/** What a row is known by is given once. */
const columns = computed(() => props.table.columns.filter(({ path }) => path !== 'key'))
const shown = computed(() => (onPhone.value ? columns.value.filter(({ isMain }) => isMain) : columns.value))
const headers = computed(() =>
  shown.value.map(({ path, name, unit, kind }) => ({
    key: path,
    title: kind === 'money' ? `${name}, ${terms.value.currency.code}` : unit ? `${name}, ${unit}` : name,
    sortable: false,
  })),
)
const frame = useTemplateRef<HTMLElement>('frame')
const { inHand, take, save, goDown, paste } = useRowInHand(
  () => props,
  frame,
  () => columns.value,
  (read) => emit('brought', read),
)
const isNumber = ({ kind }: YardColumn) => ['number', 'money', 'length'].includes(kind)
const takeOut = (row: YardRow) => props.change([{ table: props.table.key, key: row.key, was: row, value: null }])
defineExpose({ take })
</script>

<template>
  <div ref="frame" class="frame" @paste="paste">
    <v-data-table-virtual
      :headers="headers"
      :items="rows as YardRow[]"
      item-value="key"
      fixed-header
      height="100%"
      density="compact"
      :aria-label="table.name"
      hide-no-data
    >
      <template #item="{ item, itemRef }">
        <!-- eslint-disable vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/no-static-element-interactions -- the button in the row takes it by key; the rest of the row is a larger target for a finger -->
        <tr v-if="inHand !== item.key" :ref="itemRef" class="line" @click="take(item)">
          <td v-for="(each, i) in shown" :key="each.path" :class="{ number: isNumber(each) }">
            <!-- The name is the handle of its row for whoever works by keys. -->
            <button v-if="i === 0" type="button" class="handle" @click.stop="take(item)">
              {{ shownCell(each, item, terms) }}
            </button>
            <span v-else @click.stop="take(item, each.path)">{{ shownCell(each, item, terms) }}</span>
          </td>
        </tr>
        <!-- eslint-enable -->
        <tr v-else-if="onPhone" :ref="itemRef" class="in-hand">
          <td :colspan="shown.length">
            <div class="fields">
              <YardField
                v-for="each in columns"
                :key="each.path"
                :column="each"
                :row="item"
                :data-path="each.path"
                :save="(typed) => save(each, item, typed)"
              />
              <div class="row-ways">
                <v-btn @click="inHand = undefined">Done</v-btn>
                <v-btn v-if="!table.isKept" variant="text" @click="takeOut(item)">Take out</v-btn>
              </div>
            </div>
          </td>
        </tr>
        <tr v-else :ref="itemRef" class="in-hand" @keydown.esc="inHand = undefined">
          <td v-for="each in shown" :key="each.path" :data-path="each.path">
            <YardField
              :column="each"
              :row="item"
              in-cell
              :save="(typed) => save(each, item, typed)"
              @next="goDown(item, each)"
            />
          </td>
          <td v-if="!table.isKept" class="out">
            <v-btn variant="text" :aria-label="`Take ${item.name} out`" @click="takeOut(item)">Take out</v-btn>
          </td>
        </tr>
      </template>
    </v-data-table-virtual>
  </div>
</template>

<style scoped>
.frame {
  min-height: 0;
  height: 100%;
}
.frame :deep(.v-table) {
  background: none;
  height: 100%;
}
.frame :deep(th) {
  white-space: nowrap;
  font-weight: 600;
  background: var(--paper);
  vertical-align: bottom;
}
.line td {
  white-space: nowrap;
  cursor: text;
  max-width: 320px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.line td span {
  display: block;
  min-height: 24px;
}
.number {
  font-family: var(--measure);
  text-align: end;
}
.handle {
  all: unset;
  display: block;
  width: 100%;
  min-height: 48px;
  line-height: 48px;
  cursor: text;
  overflow: hidden;
  text-overflow: ellipsis;
}
.handle:focus-visible {
  outline: 2px solid var(--string);
  outline-offset: -2px;
}
.in-hand td {
  min-width: 130px;
  padding: 4px !important;
  border-bottom: 2.4px solid var(--string) !important;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: start;
  gap: 10px 8px;
  padding: 10px 0;
}
.row-ways {
  grid-column: 1 / -1;
  display: flex;
  gap: 8px;
}
@media (max-width: 760px) {
  .line td {
    white-space: normal;
    padding: 0 6px;
  }
  .frame :deep(th) {
    white-space: normal;
    padding: 0 6px;
  }
  .handle {
    line-height: 1.3;
    padding: 8px 0;
    white-space: normal;
  }
}
</style>
