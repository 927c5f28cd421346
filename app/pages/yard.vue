<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef } from 'vue'
import { useRouter } from '#imports'
import { onKeyStroke, useFileDialog, useMediaQuery } from '@vueuse/core'
import Papa from 'papaparse'
import { csvOf, saveFile } from '~/exchange/files'
import { usePreferencesStore } from '~/session/preferences'
import StorageNotice from '~/shell/StorageNotice.vue'
import { queue, yard } from '~/sync/device'
import { YARD } from '~/sync/yard'
import { useYard } from '~/yard/useYard'
import YardConflicts from '~/yard/YardConflicts.vue'
import YardHistory from '~/yard/YardHistory.vue'
import YardNewRow from '~/yard/YardNewRow.vue'
import YardTable from '~/yard/YardTable.vue'
import type { InputError } from '~~/core/errors'
import { LARGEST } from '~~/core/limits'
import type { YardChange } from '~~/core/yard/change'
import type { YardRow } from '~~/core/yard/column'
import { readTable, tableText, type TableRead } from '~~/core/yard/csv'
import { PART_TABLE } from '~~/core/yard/tables/parts'
import { YARD_TABLES } from '~~/data/yard'

/** What this workshop has of its own: prices, offcuts, vans, people, tools, rules, mixes, soils and parts. */
const preferences = usePreferencesStore()
const { rows, currency } = useYard()
const router = useRouter()
const asked = computed(() => String(router.currentRoute.value.query.table ?? ''))
const table = computed(() => YARD_TABLES.find(({ key }) => key === asked.value) ?? YARD_TABLES[0]!)
const go = (key: string) => router.replace({ query: { table: key } })
const onPhone = useMediaQuery('(max-width: 760px)')
const [mine, parts] = [
  YARD_TABLES.filter(({ key }) => !key.startsWith(PART_TABLE)),
  YARD_TABLES.filter(({ key }) => key.startsWith(PART_TABLE)),
]
const picks = [...mine, ...parts].map(({ key, name }) => ({ value: key, title: name }))

const search = ref('')
const all = computed(() => rows.value[table.value.key] ?? [])
const shown = computed(() => {
  const words = search.value.trim().toLowerCase()
  return words ? all.value.filter((row) => JSON.stringify(row).toLowerCase().includes(words)) : all.value
})
const known = computed(() => new Set(all.value.map(({ key }) => key)))

const said = ref('')
const problems = shallowRef<readonly InputError[]>([])
const isNew = ref(false)
const showsHistory = ref(false)
const change = (changes: readonly YardChange[]) => yard.change(changes, preferences.person.trim() || undefined)
/** Of a list that was brought everything is taken, or nothing. */
async function brought({ changes, problems: wrong }: TableRead): Promise<void> {
  const refused = wrong.length > 0 ? undefined : await change(changes)
  problems.value = refused ? [refused] : wrong
  const touched = new Set(changes.map(({ key }) => key)).size
  said.value = problems.value.length > 0 ? '' : `${touched} ${touched === 1 ? 'row' : 'rows'} changed by it.`
}
const dialog = useFileDialog({ accept: '.csv,.tsv,.txt,text/csv', multiple: false, reset: true })
dialog.onChange(async (files) => {
  const [file] = files ?? []
  if (!file) return
  if (file.size > LARGEST.document)
    return void (said.value = `${file.name} is larger than ${LARGEST.document / 1e6} MB.`)
  const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  await brought(readTable(table.value, all.value, data, currency.value))
})
const save = () =>
  saveFile(`yard-${table.value.key}.csv`, csvOf(tableText(table.value, all.value, currency.value)), 'text/csv')

const grid = useTemplateRef('grid')
function added(key: string): void {
  isNew.value = false
  const row = all.value.find((each) => each.key === key)
  if (row) void grid.value?.take(row as YardRow)
}
const waiting = computed(() => queue.waiting(YARD))
async function back(step: typeof yard.undo): Promise<void> {
  const refused = await step()
  problems.value = refused ? [refused] : []
  said.value = ''
}
onKeyStroke(['z', 'Z'], (event) => {
  if (event.ctrlKey || event.metaKey || isTyped(event)) return
  void back(event.shiftKey ? yard.redo : yard.undo)
})
const isTyped = ({ target }: Event) =>
  target instanceof HTMLElement && target.closest('input, [role=combobox]') !== null
</script>

<template>
  <div class="yard">
    <header class="head">
      <NuxtLink to="/" class="brand measure" aria-label="Vindex: all jobs">‹ jobs</NuxtLink>
      <h1>Yard</h1>
      <span class="grow" />
      <v-btn variant="text" :disabled="yard.steps.value.back === 0" title="Undo (z)" @click="back(yard.undo)"
        >Undo</v-btn
      >
      <v-btn variant="text" :disabled="yard.steps.value.again === 0" @click="back(yard.redo)">Again</v-btn>
      <span role="status" class="soft">{{ waiting ? 'waits for a signal' : 'saved' }}</span>
    </header>
    <StorageNotice />
    <YardConflicts />
    <div class="body">
      <nav v-if="!onPhone" class="tables" aria-label="Tables of the yard">
        <v-list density="compact" class="names">
          <v-list-item
            v-for="each in mine"
            :key="each.key"
            :title="each.name"
            :active="each.key === table.key"
            :aria-current="each.key === table.key"
            @click="go(each.key)"
          />
          <v-list-subheader>What repairs are made with</v-list-subheader>
          <v-list-item
            v-for="each in parts"
            :key="each.key"
            :title="each.name"
            :active="each.key === table.key"
            :aria-current="each.key === table.key"
            @click="go(each.key)"
          />
        </v-list>
      </nav>
      <main class="work">
        <v-select
          v-if="onPhone"
          class="which"
          label="Table"
          :items="picks"
          :model-value="table.key"
          @update:model-value="go"
        />
        <h2 v-else>{{ table.name }}</h2>
        <p class="soft">{{ table.says }}</p>
        <div class="ways">
          <v-text-field v-model="search" type="search" label="Search" hide-details class="search" />
          <v-btn v-if="!table.isSingle" :aria-expanded="isNew" @click="isNew = !isNew">One more</v-btn>
          <v-btn variant="text" @click="dialog.open()">Bring a list</v-btn>
          <v-btn variant="text" @click="save">Save as CSV</v-btn>
          <v-btn variant="text" :aria-expanded="showsHistory" @click="showsHistory = !showsHistory">History</v-btn>
        </div>
        <p v-if="said" role="status" class="soft">{{ said }}</p>
        <ul v-if="problems.length" role="alert" class="error-text">
          <li v-for="each in problems.slice(0, 8)" :key="each.key">{{ each.message }}</li>
          <li v-if="problems.length > 8">and {{ problems.length - 8 }} more. Nothing was taken over.</li>
        </ul>
        <YardNewRow
          v-if="isNew"
          :key="table.key"
          :table="table"
          :known="known"
          :change="change"
          @added="added"
          @leave="isNew = false"
        />
        <YardHistory v-if="showsHistory" />
        <YardTable v-else ref="grid" class="grid" :table="table" :rows="shown" :change="change" @brought="brought" />
      </main>
    </div>
  </div>
</template>

<style scoped>
.yard {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 0 20px;
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 52px;
  border-bottom: 1.8px solid var(--ink);
  flex: none;
}
.brand {
  color: var(--ink);
  text-decoration: none;
  padding: 12px 0;
}
h1 {
  font-size: 22px;
  margin: 0;
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
}
.tables {
  overflow-y: auto;
  border-right: 1.8px solid var(--ink);
}
/* The names of tables are read at arm's length as all else is. */
.names {
  background: none;
}
.names :deep(.v-list-item-title) {
  font-size: 16px;
}
.names :deep(.v-list-item--active) {
  border-left: 6px solid var(--string);
}
.names :deep(.v-list-subheader__text) {
  font-size: 14px;
  color: var(--ink);
  opacity: 1;
}
.which {
  flex: none;
  padding-top: 6px;
}
.work {
  min-height: 0;
  display: flex;
  flex-direction: column;
  padding: 10px 0 0 20px;
  overflow-y: auto;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 0;
}
.search {
  flex: 0 1 220px;
  min-width: 130px;
}
.grid {
  flex: 1;
  min-height: 300px;
}
@media (max-width: 760px) {
  .yard {
    padding: 0 12px;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .work {
    padding-left: 0;
  }
}
</style>
