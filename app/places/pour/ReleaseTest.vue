<script setup lang="ts">
import { ref } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { LEVEL_LENGTH } from '~/instruments/level'
import { usePourEdits } from '~/pours/usePourEdits'
import { usePreferencesStore } from '~/session/preferences'
import type { Pour } from '~~/core/document/job'
import { RELEASE_ANSWERS } from '~~/core/pour/checks'

/** Let go of it, read what it does, and say why while it can still be put right. */
const { pour } = defineProps<{ pour: Pour }>()
const edits = usePourEdits()
const preferences = usePreferencesStore()

type Why = keyof typeof RELEASE_ANSWERS
const REASONS: readonly { value: Why; words: string }[] = [
  { value: 'thin-back', words: 'thin behind it' },
  { value: 'too-wet', words: 'too wet' },
  { value: 'string-pushed', words: 'the string pushed' },
  { value: 'none', words: 'nothing seen' },
]
const moved = ref<number | undefined>(pour.release?.offset)
const note = async (value: number | null) => {
  moved.value = value ?? undefined
  // One that stays has no reason.
  if (value === 0) await edits.release(pour.id, { offset: 0, over: LEVEL_LENGTH, why: 'none' })
  return undefined
}
const say = (why: Why) => edits.release(pour.id, { offset: moved.value ?? 0, over: LEVEL_LENGTH, why })
</script>

<template>
  <FoldOut title="Let go of it: does it stay?">
    <p>Take both hands off for a slow breath, then hold the level to it.</p>
    <div class="row">
      <v-btn size="large" @click="note(0)">It stays</v-btn>
      <LengthStepper
        :label="`It moved, over ${preferences.show(LEVEL_LENGTH)}`"
        :value="moved"
        :step="0.001"
        :start="0.003"
        small
        :save="note"
      />
    </div>
    <template v-if="moved">
      <h3>Why?</h3>
      <div class="row">
        <v-btn
          v-for="each in REASONS"
          :key="each.value"
          :aria-pressed="pour.release?.why === each.value && pour.release.offset === moved"
          @click="say(each.value)"
          >{{ each.words }}</v-btn
        >
      </div>
    </template>
    <p v-if="pour.release" class="answer" role="status">
      {{ pour.release.offset === 0 ? 'It stays: hands off.' : RELEASE_ANSWERS[pour.release.why] }}
    </p>
  </FoldOut>
</template>

<style scoped>
.row {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  align-items: end;
  margin: 8px 0;
}
.answer {
  font-size: 18px;
  font-weight: 600;
}
[aria-pressed='true'] {
  border-width: 3px;
}
</style>
