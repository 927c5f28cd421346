<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useRouter } from '#imports'
import { onKeyStroke, useMediaQuery } from '@vueuse/core'
import PageHead from '~/shell/PageHead.vue'
import DeviceNotice from '~/shell/DeviceNotice.vue'
import { queue, yard } from '~/sync/device'
import { YARD } from '~/sync/yard'
import { useChanging } from '~/yard/useChanging'
import { useYard } from '~/yard/useYard'
import YardConflicts from '~/yard/YardConflicts.vue'
import YardLearnt from '~/yard/YardLearnt.vue'
import YardOpinion from '~/yard/YardOpinion.vue'
import YardHistory from '~/yard/YardHistory.vue'
import YardNames from '~/yard/YardNames.vue'
import YardNewRow from '~/yard/YardNewRow.vue'
import YardTable from '~/yard/YardTable.vue'
import type { YardRow } from '~~/core/yard/column'
import { YARD_TABLES } from '~~/data/yard'

/** What this workshop has of its own: prices, offcuts, vans, people, tools, rules, mixes, soils and parts. */
const { rows } = useYard()
const router = useRouter()
const table = computed(() => {
  const asked = String(router.currentRoute.value.query.table ?? '')
  return YARD_TABLES.find(({ key }) => key === asked) ?? YARD_TABLES[0]!
})
const go = (key: string) => router.replace({ query: { table: key } })
const onPhone = useMediaQuery('(max-width: 760px)')
const picks = YARD_TABLES.map(({ key, name }) => ({ value: key, title: name }))

const search = ref('')
const all = computed(() => rows.value[table.value.key] ?? [])
const shown = computed(() => {
  const words = search.value.trim().toLowerCase()
  return words ? all.value.filter((row) => JSON.stringify(row).toLowerCase().includes(words)) : all.value
})
const known = computed(() => new Set(all.value.map(({ key }) => key)))

const { said, problems, change, brought, bring, save, back } = useChanging(
  () => table.value,
  () => all.value,
)
const isNew = ref(false)
const showsHistory = ref(false)
const grid = useTemplateRef('grid')
function added(key: string): void {
  isNew.value = false
  const row = all.value.find((each) => each.key === key)
  if (row) void grid.value?.take(row as YardRow)
}
const waiting = computed(() => queue.waiting(YARD))

const isTyped = ({ target }: Event) =>
  target instanceof HTMLElement && target.closest('input, [role=combobox]') !== null
onKeyStroke(['z', 'Z'], (event) => {
  if (event.ctrlKey || event.metaKey || isTyped(event)) return
  void back(event.shiftKey ? yard.redo : yard.undo)
})
</script>

<template>
  <div class="yard">
    <PageHead title="Yard">
      <span class="grow" />
      <v-btn variant="text" :disabled="yard.steps.value.back === 0" title="Undo (z)" @click="back(yard.undo)"
        >Undo</v-btn
      >
      <v-btn variant="text" :disabled="yard.steps.value.again === 0" @click="back(yard.redo)">Again</v-btn>
      <span role="status" class="soft">{{ waiting ? 'waits for a signal' : 'saved' }}</span>
    </PageHead>
    <DeviceNotice />
    <YardConflicts />
    <div class="body">
      <YardNames v-if="!onPhone" :shown="table.key" @choose="go" />
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
          <v-btn variant="text" @click="bring">Bring a list</v-btn>
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
        <YardLearnt v-if="table.key === 'learnt'" :rows="all" :change="change" />
        <YardOpinion v-if="table.key === 'counted'" :rows="all" :change="change" />
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
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
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
