<script setup lang="ts">
import { leanSinceSet } from '~~/core/record/leanVisits'
import { leanOf, ACROSS, ALONG, leanIn, withLean, type LeanReading } from '~~/core/setout/lean'
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useReadings } from '~/job/useReadings'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import LeanByBubble from './LeanByBubble.vue'
import LeanByLevel from './LeanByLevel.vue'
import LeanByPhotograph from './LeanByPhotograph.vue'
import LeanByTape from './LeanByTape.vue'
import ReadingTrail from './ReadingTrail.vue'
import type { Instrument } from '~~/core/cause/observations'
import { usePreferencesStore } from '~/session/preferences'

/** How far the post leans: by level and tape, by the bubble or by a digital level, in one or two directions. */
const view = useJobView()
const preferences = usePreferencesStore()
const { record } = useReadings()
const session = useJobSession()
/** A post that was set anew is read anew, both ways. */
const lean = computed(() => leanSinceSet(session.job!, view.address.value, view.post.value!))

const direction = ref<'along' | 'across'>('along')
const way = ref<'tape' | 'bubble' | 'digital' | 'photograph'>('tape')
const degrees = computed(() => (direction.value === 'along' ? ALONG : ACROSS))
const reading = computed(() => leanIn(lean.value, degrees.value))

const DIRECTIONS = [
  { value: 'along', words: 'along the line' },
  { value: 'across', words: 'across it' },
] as const
const WAYS = [
  { value: 'tape', words: 'level and tape' },
  { value: 'bubble', words: 'bubble' },
  { value: 'digital', words: 'digital level' },
  { value: 'photograph', words: 'photograph' },
] as const

const save = (value: LeanReading | null, instrument: Instrument, stepped = false) =>
  record('lean', withLean(lean.value, degrees.value, value), instrument, stepped)

const found = computed(() => {
  const along = leanIn(lean.value, ALONG)
  const across = leanIn(lean.value, ACROSS)
  const first = along ?? across
  if (!first) return ''
  const { angle, topOffset } = leanOf(first, view.line.value!.height, along && across)
  const both = along && across ? ', both ways together' : ''
  return `${((angle * 180) / Math.PI).toFixed(1)}° off plumb, ${preferences.show(topOffset)} at the top${both}.`
})
</script>

<template>
  <div class="question" data-question="lean">
    <h3>How far is it off plumb?</h3>
    <ChoiceBar v-model="way" label="Read it by" :choices="WAYS" />
    <ChoiceBar v-model="direction" label="Direction of the lean" :choices="DIRECTIONS" />
    <LeanByTape v-if="way === 'tape'" :reading="reading" :direction="direction" :save="save" />
    <LeanByBubble v-else-if="way === 'bubble'" :reading="reading" :direction="direction" :save="save" />
    <LeanByPhotograph v-else-if="way === 'photograph'" :save="save" />
    <LeanByLevel v-else :direction="direction" :save="save" />
    <p v-if="found" class="found">{{ found }}</p>
    <ReadingTrail observation="lean" />
  </div>
</template>

<style scoped>
h3 {
  font-size: 18px;
}
.found {
  margin-top: 10px;
  font-weight: 600;
}
</style>
