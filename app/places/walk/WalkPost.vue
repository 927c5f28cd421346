<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useReadingNote } from '~/job/useReadings'
import LengthStepper from '~/controls/LengthStepper.vue'
import CarriedLoads from './CarriedLoads.vue'
import MendingFacts from './MendingFacts.vue'
import PostFacts from './PostFacts.vue'
import QuantityField from '~/controls/QuantityField.vue'
import WhatRests from './WhatRests.vue'
import type { InputError } from '~~/core/errors'
import type { Gate } from '~~/core/document/job'
import { copyOf, nextPostIds, SHARED_FACTS } from '~~/core/edit/grow'
import { usePreferencesStore } from '~/session/preferences'
import { POUND } from '~~/core/units/constants'
import { share } from '~~/core/edit/share'
import { groundLevel, rodReading } from '~~/core/setout/levels'
import { postEdit, type PostValue } from '~~/core/edit/keyed'

/** One post: where it stands, what it is, what hangs on it. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const note = useReadingNote()
const isMetric = computed(() => preferences.units === 'metric')
const post = computed(() => view.post.value!)
const given = computed(() => session.job!.lines.find(({ id }) => id === view.line.value!.id)!)
const failure = ref('')
/** A smaller difference nobody sees on a fence, m. */
const MATTERS = 0.01
/** Where the string passes higher or lower here than the fence is high, a new post is cut to it. */
const stringWords = computed(() => {
  const { top, carriesString } = post.value
  if (carriesString && view.postPlan.value?.diagnosis.state === 'failed')
    return 'It has failed: let a sound post carry the string.'
  if (Math.abs(top - view.line.value!.height) < MATTERS) return ''
  return `The string passes ${preferences.show(top)} above the ground here.`
})

const setPost = <K extends 'station' | 'groundLevel' | 'gate' | 'carriesString'>(
  key: K,
  value: PostValue<K>,
): Promise<InputError | undefined> => session.edit([postEdit(view.address.value, key, value)])
const setGate = (change: Partial<Gate>) => setPost('gate', { ...post.value.gate, ...change })

async function copy(): Promise<void> {
  const id = nextPostIds(session.job!, view.line.value!.id)(0)
  const value = copyOf(given.value, given.value.posts.find((each) => each.id === post.value.id)!, id)
  const refused = await session.edit([{ name: 'putPost', line: view.line.value!.id, post: id, value }])
  failure.value = refused?.message ?? ''
  if (!refused) view.choose(id)
}
async function takeOut(): Promise<void> {
  const { line, post: id } = view.address.value
  const neighbour = view.posts.value[view.index.value === 0 ? 1 : view.index.value - 1]
  const refused = await session.edit([{ name: 'putPost', line, post: id, value: null }])
  failure.value = refused ? 'A line keeps at least one post.' : ''
  if (!refused && neighbour) view.choose(neighbour.post.id)
}
async function shareWithAll(): Promise<void> {
  const to = given.value.posts.map(({ id }) => ({ line: given.value.id, post: id }))
  const { commands } = share(session.job!, view.address.value, SHARED_FACTS, to, false, note)
  if (commands.length > 0) failure.value = (await session.edit(commands))?.message ?? ''
}

/** Ground levels count from a reading at the first post. */
const reference = computed(() => view.line.value!.levelReference)
const rod = computed(() =>
  reference.value === undefined || post.value.groundLevel === undefined
    ? undefined
    : rodReading(reference.value, post.value.groundLevel),
)
const setRod = (reading: number | null) =>
  setPost('groundLevel', reading === null ? null : groundLevel(reference.value!, reading))
</script>

<template>
  <div>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <div class="field-grid">
      <LengthStepper
        :label="`${post.id} stands at`"
        :value="post.station"
        :step="0.01"
        :smallest="0"
        :save="(value) => setPost('station', value)"
      />
      <LengthStepper
        v-if="reference !== undefined"
        label="Rod or level line reads"
        :value="rod"
        :step="0.01"
        :start="reference"
        clearable
        :save="setRod"
      />
      <LengthStepper
        v-else
        label="Ground above the first post's"
        :value="post.groundLevel"
        :step="0.01"
        :start="0"
        clearable
        :save="(value) => setPost('groundLevel', value)"
      />
    </div>
    <p v-if="stringWords" class="soft">{{ stringWords }}</p>
    <div class="row actions">
      <v-btn
        :aria-pressed="post.carriesString === true"
        title="The string is pulled straight between the posts that carry it; between the first and the last where none is chosen"
        @click="setPost('carriesString', post.carriesString ? null : true)"
        >{{ post.carriesString ? '✓ carries the string' : 'Let it carry the string' }}</v-btn
      >
      <v-btn @click="copy">Copy this post</v-btn>
      <v-btn @click="shareWithAll">Make all posts like it</v-btn>
      <v-btn variant="text" @click="takeOut">Take it out</v-btn>
    </div>
    <div v-if="post.duty === 'gate-hinge' || post.gate" class="panel-section">
      <h3>The leaf that hangs on it</h3>
      <div class="field-grid">
        <LengthStepper
          data-fact="gate.leafWidth"
          label="Width of the leaf"
          :value="post.gate?.leafWidth"
          :step="0.05"
          :start="1.1"
          :save="(value) => setGate({ leafWidth: value ?? undefined })"
        />
        <LengthStepper
          label="Between its hinges"
          :value="post.gate?.hingeSpacing"
          :step="0.05"
          :start="0.9"
          :save="(value) => setGate({ hingeSpacing: value ?? undefined })"
        />
        <QuantityField
          data-fact="gate.leafMass"
          :label="`Mass of the leaf, ${isMetric ? 'kg' : 'lb'}`"
          :per="isMetric ? undefined : POUND"
          :value="post.gate?.leafMass"
          :save="(value) => setGate({ leafMass: value ?? undefined })"
        />
      </div>
    </div>
    <CarriedLoads />
    <WhatRests v-if="post.duties.includes('load-bearing')" />
    <MendingFacts />
    <PostFacts :key="post.id" />
  </div>
</template>

<style scoped>
.actions {
  margin-top: 12px;
}
</style>
