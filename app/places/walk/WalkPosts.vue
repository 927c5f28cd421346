<script setup lang="ts">
import { postsFromTape } from '~~/core/document/tapePosts'
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import { InputError } from '~~/core/errors'
import type { Command } from '~~/core/edit/commands'
import { nextLineId, nextPostIds, sharedFacts } from '~~/core/edit/grow'
import type { Line } from '~~/core/document/job'
import { spacing } from '~~/core/setout/spacing'
import { parseTape } from '~~/core/setout/tape'
import { FOOT } from '~~/core/units/constants'
import { usePreferencesStore } from '~/session/preferences'
import { TAPE_EXAMPLES } from './tapeExamples'

/** Posts by running tape readings, typed or pasted, or by equal bays. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

/** What most bays are sold for, m. */
const COMMON_BAY = { metric: 2.4, 'feet-inches': 8 * FOOT }
const examples = computed(() => TAPE_EXAMPLES[preferences.units])

const text = ref('')
const said = ref('')
const failure = ref('')
const length = ref<number>()
const bay = ref(COMMON_BAY[preferences.units])

const read = computed(() => {
  if (text.value.trim() === '') return undefined
  try {
    return { readings: parseTape(text.value, preferences.units), wrong: '' }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { readings: [], wrong: error.message }
  }
})
const preview = computed(() => {
  const readings = read.value?.readings ?? []
  const last = readings.at(-1)
  if (!last) return ''
  const gates = readings.filter(({ leaf }) => leaf !== undefined).length
  return `${readings.length} posts, ${preferences.show(last.station)}${gates ? `, ${gates} ${gates === 1 ? 'gate' : 'gates'}` : ''}.`
})

/** Stations that have a post already stay as they are. */
async function addToLine(): Promise<void> {
  const line = session.job!.lines.find(({ id }) => id === view.line.value!.id)!
  const stations = new Set(line.posts.map(({ station }) => station))
  const fresh = read.value!.readings.filter(({ station }) => !stations.has(station))
  if (fresh.length === 0) return void (failure.value = 'Every reading has its post already.')
  const posts = postsFromTape(fresh, sharedFacts(line.posts.at(-1)!), nextPostIds(session.job!, line.id))
  const end = Math.max(...posts.map(({ station }) => station))
  await make(
    [
      ...posts.map((post): Command => ({ name: 'putPost', line: line.id, post: post.id, value: post })),
      ...(end > view.line.value!.length
        ? [{ name: 'setLine' as const, line: line.id, key: 'length' as const, value: end }]
        : []),
    ],
    posts[0]!.id,
    `${posts.length} posts added.`,
  )
}
async function makeLine(): Promise<void> {
  const id = nextLineId(session.job!)
  const posts = postsFromTape(read.value!.readings, sharedFacts(view.post.value!), nextPostIds(session.job!, id))
  const { kind, height, gap } = view.line.value!
  const value: Line = { id, kind, height, gap, length: posts.at(-1)!.station, posts }
  await make([{ name: 'putLine', line: id, value }], posts[0]!.id, `Line ${id} with ${posts.length} posts.`)
}
async function make(commands: Command[], post: string, words: string): Promise<void> {
  const refused = await session.edit(commands)
  failure.value = refused?.message ?? ''
  said.value = refused ? '' : words
  if (refused) return
  text.value = ''
  view.choose(post)
}

/** As a tape is read: no finer than its marks. */
const reading = (station: number) =>
  preferences.units === 'metric' ? `${Math.round(station * 1e3) / 1e3} m` : preferences.show(station)

/** Clear of everything marked along the line, by a hole's reach. */
const CLEAR = 0.5
function equalBays(): void {
  const marks = (view.line.value!.marks ?? []).filter(({ offset = 0 }) => Math.abs(offset) < CLEAR)
  try {
    const stations = spacing(
      length.value ?? view.line.value!.length,
      bay.value,
      marks.map(({ station }) => ({ at: station, clear: CLEAR })),
    )
    text.value = stations.map(reading).join('\n')
  } catch (error) {
    failure.value = (error as InputError).message
  }
}
async function setLength(value: number | null): Promise<undefined> {
  length.value = value ?? undefined
}
async function setBay(value: number | null): Promise<undefined> {
  bay.value = value ?? bay.value
}
</script>

<template>
  <div>
    <v-textarea
      v-model="text"
      label="Running tape readings, one after the other"
      rows="5"
      autocomplete="off"
      spellcheck="false"
      :placeholder="`${examples.readings}\nor ${examples.row}`"
      :error-messages="read?.wrong"
      :hint="preview || `After a reading may stand ${examples.gates}, corner or end.`"
      persistent-hint
    />
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <div class="row">
      <v-btn variant="flat" color="primary" :disabled="!preview" @click="addToLine"
        >Add to {{ view.line.value?.name }}</v-btn
      >
      <v-btn :disabled="!preview" @click="makeLine">Make a new line</v-btn>
    </div>
    <div class="panel-section">
      <h3>Equal bays</h3>
      <div class="field-grid">
        <LengthStepper
          label="Along a length of"
          :value="length"
          :assumed="view.line.value?.length"
          :step="0.1"
          :smallest="0.3"
          :save="setLength"
        />
        <LengthStepper label="Bays of at most" :value="bay" :step="0.05" :smallest="0.3" :save="setBay" />
      </div>
      <v-btn class="write" @click="equalBays">Write the readings</v-btn>
      <p class="soft">Posts keep clear of what is marked along the line. On the drawing a post can be pulled along.</p>
    </div>
  </div>
</template>

<style scoped>
:deep(textarea) {
  font-family: var(--measure);
  font-size: 20px;
}
.row {
  margin-top: 10px;
}
.write {
  margin: 10px 0;
}
</style>
