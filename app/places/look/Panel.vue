<script setup lang="ts">
import { computed, nextTick, onMounted, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import { useReadings } from '~/job/useReadings'
import PullTest from '~/job/PullTest.vue'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import LeanReader from './LeanReader.vue'
import PhotographPins from './PhotographPins.vue'
import PivotFinder from './PivotFinder.vue'
import PivotPicture from '~/picture/PivotPicture.vue'
import ProbeReadings from './ProbeReadings.vue'
import RailsAndBoards from './RailsAndBoards.vue'
import ReadingTrail from './ReadingTrail.vue'
import SmallPicture from '~/picture/SmallPicture.vue'
import { smallPicture } from '~/picture/model/smallPictures'
import { isWood, LOOK_PARTS, type Question } from '~/job/lookQuestions'

/** What was seen at the post, asked in the order in which it is looked at; every one may be skipped. */
const view = useJobView()
const { seen, record } = useReadings()

const post = computed(() => view.post.value!)
const parts = computed(() =>
  LOOK_PARTS.map((part) => ({
    ...part,
    questions: part.questions.filter(({ onlyFor }) => !onlyFor || onlyFor(post.value)),
  })),
)
/** A single post carries no fence, and mesh and vinyl have no rail ends to rot. */
const hasCladding = computed(() => !['single', 'mesh', 'vinyl'].includes(view.line.value?.kind ?? ''))
const valueOf = ({ key }: Question) => seen.value[key] as string | string[] | undefined
/** Brings a question into sight that was asked for elsewhere. */
function show(): void {
  const key = view.asked.value
  if (!key) return
  view.asked.value = undefined
  const question = document.querySelector<HTMLElement>(`[data-question="${key}"]`)
  question?.scrollIntoView({ block: 'center' })
  question?.querySelector<HTMLElement>('button, input')?.focus({ preventScroll: true })
}
onMounted(() => void nextTick(show))
watch(view.asked, () => void nextTick(show))

function jump(key: string): void {
  document.getElementById(`look-${key}`)?.scrollIntoView({ block: 'start' })
}
</script>

<template>
  <section aria-labelledby="look-title">
    <h2 id="look-title">{{ post.id }}: what do you see?</h2>
    <nav class="jump" aria-label="Parts of the looking">
      <button v-for="part in parts" :key="part.key" type="button" @click="jump(part.key)">{{ part.name }}</button>
      <button type="button" @click="jump('photographs')">Photo</button>
    </nav>
    <p class="soft">Skip what you did not look at.</p>
    <div v-for="part in parts" :id="`look-${part.key}`" :key="part.key" class="part">
      <div v-if="part.key === 'lean'" class="panel-section">
        <LeanReader />
        <PivotFinder />
        <PullTest />
      </div>
      <div v-if="part.key === 'wood' && isWood(post)" class="panel-section"><ProbeReadings /></div>
      <RailsAndBoards v-if="part.key === 'wood' && hasCladding" />
      <div v-for="question in part.questions" :key="question.key" class="panel-section">
        <AnswerTiles
          v-slot="{ value }"
          :data-question="question.key"
          :question="question.question"
          :answers="question.answers"
          :many="question.many"
          :value="valueOf(question)"
          @answer="record(question.key, $event)"
        >
          <PivotPicture v-if="question.key === 'pushPivot'" :pivot="value" />
          <SmallPicture v-else :parts="smallPicture(question.key, value)!" />
        </AnswerTiles>
        <ReadingTrail :observation="question.key" />
      </div>
    </div>
    <div id="look-photographs" class="part"><PhotographPins /></div>
    <v-btn class="onward" block variant="flat" color="primary" @click="view.goTo('cause')">See the cause</v-btn>
  </section>
</template>

<style scoped>
.jump {
  position: sticky;
  top: -17px;
  z-index: 2;
  display: flex;
  background: var(--paper);
  border-bottom: 1.5px solid var(--rule);
  margin-bottom: 8px;
}
.jump button {
  flex: 1;
  min-height: 48px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  text-decoration: underline;
  text-underline-offset: 4px;
  text-decoration-color: var(--rule);
}
.part {
  scroll-margin-top: 52px;
}
.part + .part > .panel-section:first-child {
  border-top: 1.5px solid var(--rule);
  padding-top: 14px;
}
.onward {
  margin: 8px 0 20px;
}
@media (max-width: 760px) {
  .jump {
    top: -13px;
  }
}
</style>
