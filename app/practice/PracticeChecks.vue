<script setup lang="ts">
import { computed } from 'vue'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import SmallPicture from '~/picture/SmallPicture.vue'
import { smallPicture } from '~/picture/model/smallPictures'
import PivotPicture from '~/picture/PivotPicture.vue'
import { LOOK_PARTS } from '~/job/lookQuestions'
import { openChecks } from '~~/core/practice/model'
import { readingsOf } from '~~/core/practice/search'
import { PURSE, usePractice } from './usePractice'

/** The looks of a job, each for its minutes; what was looked at shows as it does there. */
const emit = defineEmits<{ enough: [] }>()
const practice = usePractice()
const QUESTIONS = new Map(LOOK_PARTS.flatMap(({ questions }) => questions).map((each) => [each.key, each]))

const seen = computed(() => practice.inHand.value.seen)
const model = computed(() => practice.drawn.value.position.model)
const left = computed(() => PURSE - practice.spent.value)
const made = computed(() =>
  seen.value.map(([check, showing]) => {
    const { row, showings } = model.value.checks[check]!
    const { value } = showings[showing]!
    const question = QUESTIONS.get(row.observation)
    return {
      key: row.observation,
      says: row.words[value] ?? value,
      question: question?.question ?? row.check,
      value,
      answers: question?.answers.filter((answer) => answer.value === value) ?? [],
    }
  }),
)
const open = computed(() =>
  openChecks(model.value, seen.value, readingsOf(model.value, seen.value)).map((check) => {
    const { row, minutes } = model.value.checks[check]!
    return { check, says: row.check, minutes }
  }),
)
const minutesWords = (minutes: number) => `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`
</script>

<template>
  <section aria-labelledby="checks-title">
    <h2 id="checks-title">Look</h2>
    <p class="purse" role="status">
      <strong class="measure">{{ Math.max(0, left) }}</strong> of {{ PURSE }} minutes left to look in.
      <v-btn variant="text" @click="emit('enough')">I know enough</v-btn>
    </p>
    <ul v-if="made.length" class="made" aria-label="Looked at">
      <li v-for="each in made" :key="each.key">
        <AnswerTiles
          v-if="each.answers.length"
          v-slot="{ value }"
          :question="each.question"
          :answers="each.answers"
          :value="each.value"
        >
          <PivotPicture v-if="each.key === 'pushPivot'" :pivot="value" />
          <SmallPicture v-else :parts="smallPicture(each.key, value) ?? []" />
        </AnswerTiles>
        <p v-else>
          {{ each.question }} <strong>{{ each.says }}</strong>
        </p>
      </li>
    </ul>
    <ul class="open" aria-label="Not looked at yet">
      <li v-for="each in open" :key="each.check">
        <button type="button" class="pick" :disabled="each.minutes > left" @click="practice.look(each.check)">
          <span>{{ each.says }}</span>
          <span class="measure">{{ minutesWords(each.minutes) }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.purse strong {
  font-size: 28px;
}
.made li {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.open .pick {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  text-align: start;
  margin-top: 6px;
}
</style>
