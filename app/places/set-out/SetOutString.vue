<script setup lang="ts">
import { computed } from 'vue'
import { useMediaQuery } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import { useReadings } from '~/job/useReadings'
import { useSetOut } from '~/job/useSetOut'
import { LEVEL_LENGTH } from '~/instruments/level'
import FoldOut from '~/controls/FoldOut.vue'
import PlumbRose from '~/picture/PlumbRose.vue'
import FoundReading from './FoundReading.vue'
import LevelOnPost from './LevelOnPost.vue'
import BaysShared from './BaysShared.vue'
import PlumbOrMatch from './PlumbOrMatch.vue'
import StringChoice from './StringChoice.vue'
import StringAdvice from './StringAdvice.vue'
import { usePreferencesStore } from '~/session/preferences'
import { gapByLevel, type FoundGap } from '~~/core/plan/setOut/line'
import { ACROSS, ALONG, leanByAngle, withLean } from '~~/core/setout/lean'

/** The chosen post at the strings: what the tape should show, what it shows, and one word. */
const view = useJobView()
const preferences = usePreferencesStore()
const { line, post, asked, setIn } = useSetOut()
const { seen, record } = useReadings()
const onPhone = useMediaQuery('(max-width: 760px)')

const GAP_WORDS = { in: 'in', out: 'out', leave: 'leave' } as const
const gapAnswer = (found: FoundGap | undefined) =>
  found && {
    word: GAP_WORDS[found.action],
    ...(found.action === 'leave' ? {} : { by: Math.abs(found.move) }),
    right: found.action === 'leave',
  }
const HOLE_WORDS = { dig: 'dig', tamp: 'tamp', right: 'right', pack: 'pack' } as const
const holeAnswer = computed(() => {
  const found = post.value?.found.hole
  if (!found) return undefined
  return {
    word: HOLE_WORDS[found.action],
    ...(found.action === 'right' ? {} : { by: Math.abs(found.move) }),
    right: found.action === 'right',
  }
})
const say = (key: 'gapLow' | 'gapHigh' | 'hole') => (value: number | null) => setIn('found', { [key]: value })
const says = { gapLow: say('gapLow'), gapHigh: say('gapHigh'), hole: say('hole') }

/** A level's reading goes on the record, and its gap beside it. */
async function takeLevel(direction: 'along' | 'across', angle: number): Promise<void> {
  const degrees = direction === 'along' ? ALONG : ACROSS
  const reading = leanByAngle(angle, LEVEL_LENGTH, degrees)
  await record('lean', withLean(seen.value.lean, degrees, reading), 'digital-level')
  if (direction === 'across' && post.value)
    await setIn('found', { gapHigh: gapByLevel(post.value, view.line.value!, reading.offset / reading.over) })
}
/** A single post has no line to be read from. */
const isStrung = computed(() => (line.value?.posts.length ?? 0) > 1)
const role = computed(() => {
  const { carries, isSet } = post.value!
  if (!isStrung.value) return 'stands alone: plumb both ways.'
  const strings = `${asked.value.side === 'far' ? 'far' : 'near'} face, spacer ${preferences.showSmall(line.value!.spacer)}`
  if (carries) return `carries the strings: ${strings}.`
  return isSet ? `is set to the strings: ${strings}.` : 'stays as it stands.'
})
const isLast = computed(() => view.index.value === view.posts.value.length - 1)
</script>

<template>
  <div v-if="post">
    <p class="says">
      <strong>{{ post.post }}</strong> {{ role }}
    </p>
    <FoundReading
      v-if="isStrung"
      label="gap at the lower string"
      :wanted="post.gapLow"
      :found="post.found.gapLow?.found"
      :step="0.001"
      :answer="gapAnswer(post.found.gapLow)"
      :save="says.gapLow"
    />
    <FoundReading
      v-if="isStrung"
      label="gap at the upper string"
      :wanted="post.gapHigh"
      :found="post.found.gapHigh?.found"
      :step="0.001"
      :answer="gapAnswer(post.found.gapHigh)"
      :save="says.gapHigh"
    />
    <FoundReading
      v-if="post.hole"
      :label="
        isStrung
          ? 'lower string to the bottom of the hole, before any stone'
          : `a lath ${preferences.showSmall(post.lower)} over the ground, to the bottom of the hole`
      "
      :wanted="post.hole.reading"
      :found="post.found.hole?.found"
      :step="0.005"
      :answer="holeAnswer"
      :save="says.hole"
    />
    <v-btn v-if="!isLast" class="next" block variant="flat" color="primary" @click="view.walk(1)">Next post ›</v-btn>
    <StringAdvice />
    <PlumbOrMatch />
    <PlumbRose v-if="onPhone" />
    <FoldOut title="Read it with the digital level">
      <LevelOnPost @take="takeLevel" />
    </FoldOut>
    <FoldOut v-if="isStrung" title="What moving it does to the bays">
      <BaysShared />
    </FoldOut>
    <FoldOut v-if="isStrung" title="Which posts carry the strings, and how">
      <StringChoice />
    </FoldOut>
  </div>
</template>

<style scoped>
.says {
  font-size: 18px;
}
.next {
  margin: 12px 0;
}
</style>
