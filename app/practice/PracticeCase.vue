<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'
import { provideLocalJob } from '~/job/openJob'
import { storyOf } from './caseWords'
import FocusDrawing from '~/picture/FocusDrawing.vue'
import PracticeChecks from './PracticeChecks.vue'
import PracticeCommit from './PracticeCommit.vue'
import PracticeReview from './PracticeReview.vue'
import { PURSE, usePractice } from './usePractice'

/** One case: the fence as it stands, what may be looked at, and what is committed to. */
const practice = usePractice()
const { job, post, all, position } = practice.drawn.value
const { session } = provideLocalJob(job, post)
/** To the first thing that is asked of whoever commits. */
function toCommit(): void {
  const form = panel.value?.querySelector('form')
  form?.scrollIntoView({ block: 'center' })
  form?.querySelector('input')?.focus({ preventScroll: true })
}
/** What the drawing does not show of it. */
const also = computed(() => {
  const { seen } = practice.inHand.value
  const told = seen.map(([check, showing]) => {
    const { row, showings } = position.model.checks[check]!
    const { value } = showings[showing]!
    return row.words[value] ?? value
  })
  const left = Math.max(0, PURSE - practice.spent.value)
  return [
    `${left} of ${PURSE} minutes left`,
    told.length > 0 ? `seen: ${told.join(', ')}` : 'nothing looked at yet',
  ].join('; ')
})
const panel = useTemplateRef<HTMLElement>('panel')
watch(practice.reviewed, () => panel.value?.scrollTo({ top: 0 }), { flush: 'post' })
// What was looked at is drawn: the lean, the soft wood.
watch(
  () => practice.inHand.value.seen,
  (seen) => {
    for (const [check] of seen) {
      const { observation } = position.model.checks[check]!.row
      void session.edit([{ name: 'setReading', line: 'P', post, key: observation, value: all[observation] as never }])
    }
  },
  { immediate: true },
)
</script>

<template>
  <div class="case">
    <FocusDrawing class="drawing" still :also="also" />
    <div ref="panel" class="panel legible" tabindex="-1">
      <p class="story">{{ storyOf(practice.drawn.value, practice.tables.value) }}</p>
      <PracticeReview v-if="practice.reviewed.value" />
      <template v-else>
        <PracticeChecks @enough="toCommit" />
        <PracticeCommit />
      </template>
    </div>
  </div>
</template>

<style scoped>
.case {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.45fr) minmax(0, 1fr);
}
.drawing {
  min-height: 0;
  border-right: 1px solid var(--ink);
}
.panel {
  overflow-y: auto;
  padding: 14px 4px 20px 20px;
}
.story {
  font-size: 18px;
  margin-bottom: 8px;
}
@media (max-width: 760px) {
  .case {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 30dvh minmax(0, 1fr);
  }
  .drawing {
    border-right: 0;
    border-bottom: 1px solid var(--ink);
  }
  .panel {
    padding: 10px 0 20px;
  }
}
</style>
