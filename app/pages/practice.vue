<script setup lang="ts">
import { computed, ref } from 'vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import PartTabs from '~/controls/PartTabs.vue'
import PracticeCase from '~/practice/PracticeCase.vue'
import PracticeDrills from '~/practice/PracticeDrills.vue'
import PracticeHistory from '~/practice/PracticeHistory.vue'
import { LEVEL_CHOICES } from '~/practice/practiceWords'
import { usePractice } from '~/practice/usePractice'
import PageHead from '~/shell/PageHead.vue'

/** Cases and drills for a new hand: no job is touched by it. */
const practice = usePractice()
const PARTS = [
  { value: 'case', words: 'A case' },
  { value: 'drills', words: 'Drills' },
  { value: 'history', words: 'How often right' },
] as const
const part = ref<(typeof PARTS)[number]['value']>('case')
const level = computed({
  get: () => practice.inHand.value.level,
  set: (wanted) => practice.next(wanted),
})
const caseKey = computed(() => `${practice.inHand.value.seed} ${practice.inHand.value.level}`)
</script>

<template>
  <div class="practice">
    <PageHead title="Practice">
      <v-spacer />
      <ChoiceBar v-if="part === 'case'" v-model="level" class="level" label="How hard" :choices="LEVEL_CHOICES" />
    </PageHead>
    <div class="parts">
      <PartTabs v-model="part" label="Parts of practice" :tabs="PARTS">
        <main class="part">
          <PracticeCase v-if="part === 'case'" :key="caseKey" />
          <PracticeDrills v-else-if="part === 'drills'" class="plain legible" />
          <PracticeHistory v-else class="plain legible" />
        </main>
      </PartTabs>
    </div>
  </div>
</template>

<style scoped>
.practice {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 0 20px;
}
.parts {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.level {
  flex: 0 1 380px;
}
.parts :deep(.part-tabs) {
  flex: none;
}
.parts :deep(.shown) {
  flex: 1;
  min-height: 0;
}
.parts :deep(.v-window__container),
.parts :deep(.v-window-item) {
  height: 100%;
}
.part {
  height: 100%;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.plain {
  overflow-y: auto;
  padding: 16px 0 24px;
}
@media (max-width: 760px) {
  .practice {
    padding: 0 12px;
  }
}
</style>
