<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useElementSize, useMediaQuery } from '@vueuse/core'

import ChoiceBar from '~/controls/ChoiceBar.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { csvOf, saveFile } from '~/exchange/files'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { hoursTable, readingsTable } from '~~/core/exchange/recordTables'
import { timeline } from '~~/core/record/timeline'
import EntryLine from './EntryLine.vue'
import { entryWords } from './model/entryWords'
import { useRecord } from './useRecord'

/** Who did what, when, down a column; nothing in it is ever written over. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { add, takeBack } = useRecord()

const scope = ref<'post' | 'job'>('post')
const SCOPES = [
  { value: 'post', words: 'This post' },
  { value: 'job', words: 'The whole job' },
] as const
const steps = computed(() => view.detail.value?.steps ?? [])
const names = computed(() => ({
  tables: view.tables.value,
  measures: preferences.measures,
  step: (key: string) => steps.value.find((each) => each.key === key)?.text,
}))
const all = computed(() =>
  session.job ? timeline(session.job, scope.value === 'post' ? view.address.value : undefined) : [],
)
const note = ref('')
const corrects = ref<string>()
async function keep(): Promise<void> {
  const says = note.value.trim()
  if (!says) return
  const error = await (corrects.value === undefined
    ? add('observation', { says })
    : add('correction', { says }, corrects.value))
  if (error) return
  note.value = ''
  corrects.value = undefined
}
const step = ref<string>()
const took = async (minutes: number | null) =>
  minutes === null || step.value === undefined ? undefined : add('minutes', { step: step.value, minutes })

const file = (name: string) => `${(session.job?.name ?? 'job').toLowerCase().replace(/\W+/g, '-')}-${name}.csv`
const save = (name: 'readings' | 'hours') =>
  saveFile(file(name), csvOf(name === 'readings' ? readingsTable(session.job!) : hoursTable(session.job!)), 'text/csv')

const column = useTemplateRef<HTMLElement>('column')
const { height } = useElementSize(column)
const onPhone = useMediaQuery('(max-width: 760px)')
const LINE = computed(() => (onPhone.value ? 112 : 68))
</script>

<template>
  <section class="entries" aria-labelledby="entries-title">
    <h2 id="entries-title" class="visually-hidden">Entries</h2>
    <div class="top">
      <ChoiceBar v-model="scope" label="Entries of" :choices="SCOPES" />
      <form class="row" @submit.prevent="keep">
        <v-text-field
          v-model="note"
          :label="corrects === undefined ? 'What is to be noted' : 'What is right instead'"
          maxlength="500"
          hide-details
        />
        <v-btn type="submit">{{ corrects === undefined ? 'Note it' : 'Put it right' }}</v-btn>
        <v-btn v-if="corrects !== undefined" variant="text" @click="corrects = undefined">Leave it</v-btn>
      </form>
      <div class="row minutes">
        <v-select
          v-model="step"
          label="Step that took"
          :items="steps.map(({ key, text }) => ({ value: key, title: text }))"
          hide-details
        />
        <QuantityField v-if="step" :key="step" label="minutes" :save="took" />
      </div>
      <p class="soft">
        {{ all.length }} {{ all.length === 1 ? 'entry' : 'entries' }}, the newest first.
        <v-btn variant="text" @click="save('readings')">Readings as CSV</v-btn>
        <v-btn variant="text" @click="save('hours')">Hours as CSV</v-btn>
      </p>
    </div>
    <div ref="column" class="column">
      <p v-if="all.length === 0" class="soft">
        Nothing yet: what you read, choose, meet and pour comes here by itself.
      </p>
      <v-virtual-scroll
        role="list"
        aria-label="Entries, the newest first"
        tabindex="0"
        v-else
        :items="all"
        :height="Math.max(240, height)"
        :item-height="LINE"
        item-key="id"
      >
        <template #default="{ item: raw }">
          <EntryLine
            :of="raw"
            :words="entryWords(raw, names)"
            :names-post="scope === 'job'"
            :style="{ minHeight: `${LINE}px` }"
            @put-right="corrects = raw.id"
            @take-back="takeBack(raw.id)"
          />
        </template>
      </v-virtual-scroll>
    </div>
  </section>
</template>

<style scoped>
.entries {
  max-width: 1000px;
  margin: 0 auto;
  padding: 8px 20px;
  display: flex;
  flex-direction: column;
  height: calc(100dvh - 250px);
  min-height: 460px;
}
.row {
  margin: 8px 0;
  align-items: center;
}
.row > .v-input {
  flex: 1 1 240px;
}
.column {
  flex: 1;
  min-height: 0;
}
@media (max-width: 760px) {
  .entries {
    padding: 8px 14px;
    height: auto;
  }
  .column {
    height: 60dvh;
    flex: none;
  }
}
</style>
