<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useElementSize, useMediaQuery } from '@vueuse/core'

import ChoiceBar from '~/controls/ChoiceBar.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { csvOf, saveFile } from '~/exchange/files'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { pictures } from '~/sync/device'
import { hoursTable, readingsTable } from '~~/core/exchange/recordTables'
import { timeline, type Happening } from '~~/core/record/timeline'
import { momentWords } from '~~/core/report/dates'
import { entryWords } from './model/entryWords'
import { useRecord } from './useRecord'

/** Who did what, when, down a column; nothing in it is ever written over. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const when = (at: number) => momentWords(at, session.job?.site?.timeZone)
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
/** Words are found for what is in sight: a record may be long. */
const worded = (of: Happening) => ({ ...entryWords(of, names.value), of, id: of.id })
const STATE: Record<Happening['state'], string> = { stands: '', corrected: 'corrected', withdrawn: 'taken back' }
const isOwn = (of: Happening) => session.job?.entries?.some(({ id }) => id === of.id) ?? false

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
          <div
            v-for="item in [worded(raw)]"
            :key="item.id"
            class="entry"
            :class="item.of.state"
            :style="{ minHeight: `${LINE}px` }"
            role="listitem"
          >
            <span class="time measure">{{ when(item.of.at) }}</span>
            <span class="what">
              <strong>{{ item.title }}</strong>
              <span v-if="scope === 'job' && item.of.post" class="soft"> {{ item.of.post }}</span>
              <span v-if="item.of.isLater" class="later"> after the sign-off</span>
              <span class="says"
                ><s v-if="item.of.state !== 'stands'">{{ item.says }}</s
                ><template v-else>{{ item.says }}</template></span
              >
              <span class="soft">{{ [item.of.by, STATE[item.of.state]].filter(Boolean).join(', ') }}</span>
            </span>
            <img
              v-if="item.of.kind === 'picture'"
              :src="pictures.addressOf(session.id, item.of.of.id)"
              width="72"
              height="54"
              loading="lazy"
              :alt="item.says"
            />
            <span v-else-if="isOwn(item.of) && item.of.state === 'stands'" class="ways">
              <v-btn variant="text" :aria-label="`Put right: ${item.says}`" @click="corrects = item.id"
                >Put right</v-btn
              >
              <v-btn variant="text" :aria-label="`Take back: ${item.says}`" @click="takeBack(item.id)">Take back</v-btn>
            </span>
          </div>
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
.entry {
  display: grid;
  grid-template-columns: 200px 1fr auto;
  gap: 14px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  align-items: start;
}
.says {
  display: block;
}
.later {
  font-weight: 600;
  text-decoration: underline;
}
.withdrawn,
.corrected {
  color: var(--soft-ink);
}
img {
  object-fit: cover;
  border: 1.5px solid var(--ink);
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
  .entry {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .time {
    grid-column: 1 / -1;
  }
}
</style>
