<script setup lang="ts">
import { computed } from 'vue'
import { row } from '~~/core/tables/tables'
import { usePractice } from './usePractice'
import { decibanWords, MISTAKE_WORDS, truthName, wayName } from './practiceWords'

/** What it was, what each look told and was worth before it was made, the best line, and what was given away. */
const practice = usePractice()
const tables = practice.tables
const review = computed(() => practice.reviewed.value!)
const what = computed(() => row(tables.value.causes.causes, review.value.truth).what)
const score = computed(() => Math.round(100 * review.value.reckoning.score))
const minutes = (value: number) => `${Math.round(value)} min`
const checkWords = (observation: string) =>
  tables.value.causes.evidence.find((each) => each.observation === observation)?.doing ?? observation
const best = computed(() => [
  ...review.value.bestLine.map(checkWords),
  wayName(review.value.bestMethod, tables.value).toLowerCase(),
])
</script>

<template>
  <section aria-labelledby="review-title">
    <h2 id="review-title">{{ truthName(review.truth, tables) }}</h2>
    <p v-if="review.truth !== 'nothing-wrong'">{{ what }}</p>
    <p class="score" role="status">
      <strong class="measure">{{ score }}</strong> of 100: your play is expected to cost
      {{ minutes(review.reckoning.cost) }}, the best one {{ minutes(review.reckoning.least) }}.
    </p>
    <p>
      {{
        review.wasted === 0
          ? 'The repair answers it: no visit is wasted.'
          : review.wasted === 1
            ? 'The repair does not answer it: a visit for nothing.'
            : 'Nothing had failed: mending it was more than half a visit for nothing.'
      }}
    </p>
    <ul v-if="review.mistakes.length" class="mistakes">
      <li v-for="each in review.mistakes" :key="each">{{ MISTAKE_WORDS[each] }}</li>
    </ul>
    <template v-if="review.checks.length">
      <h3>What each look told</h3>
      <v-table density="compact">
        <thead>
          <tr>
            <th scope="col">It showed</th>
            <th scope="col">Of what was true</th>
            <th scope="col">Worth before, for</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in review.checks" :key="each.observation">
            <td>{{ each.says }}</td>
            <td>{{ decibanWords(each.decibans) }}</td>
            <td>{{ minutes(each.worth) }}, for {{ minutes(each.minutes) }}</td>
          </tr>
        </tbody>
      </v-table>
    </template>
    <h3>The best line</h3>
    <ol>
      <li v-for="each in best" :key="each">{{ each }}</li>
    </ol>
    <p class="soft">
      Before anything was known of it: what luck a play had counts for nothing. A look costs its minutes, a visit for
      nothing 120, a bag too many 10, a bag too few 30, each m/s short of the target 20: working values.
    </p>
    <v-btn block variant="flat" color="primary" @click="practice.next()">The next case</v-btn>
  </section>
</template>

<style scoped>
.score strong {
  font-size: 32px;
}
.mistakes {
  font-weight: 600;
}
h3 {
  margin-top: 12px;
}
ol {
  margin-bottom: 8px;
}
</style>
