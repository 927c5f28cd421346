<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { timeNow } from '~/sync/clock'
import { seenHistory } from '~~/core/plan/line/seenHistory'
import { endsWords, medianWords, plumbWords, restsOnWords } from '~~/core/survive/words'
import { AS_IT_STANDS, wholeYears, type PlumbYears } from '~~/core/survive/years'
import { useSurvival } from './useSurvival'
import YearsCurves from './YearsCurves.vue'

/** How long it stands plumb: the way in hand over the others, in curves and in words. */
const { only } = defineProps<{ /** Nothing but the way in hand, and what stands there now. */ only?: boolean }>()
const session = useJobSession()
const view = useJobView()
const survival = useSurvival()
const { years, done, failure, isStopped } = survival
const from = new Date(timeNow()).getFullYear()

/** More cannot be told apart. */
const MOST = 6
const inHand = computed(() => view.methodInHand.value?.method)
const isAlways = ({ method }: PlumbYears) => method === inHand.value || method === AS_IT_STANDS
/** What leaves the cause as it is stands no longer than what has failed already. */
const isAnswer = (each: PlumbYears) =>
  isAlways(each) ||
  view.postPlan.value?.methods.some(
    ({ method, leavesUnsolved }) => method === each.method && leavesUnsolved.length === 0,
  )
const shown = computed(() => {
  const all = [...(years.value?.curves ?? [])].filter(isAnswer).sort((a, b) => b.expected - a.expected)
  const kept = all.filter((each, i) => isAlways(each) || (!only && i < MOST))
  return kept.map((each, i) => ({ ...each, mark: String.fromCharCode(97 + i) }))
})
const chosen = computed(() => shown.value.find(({ method }) => method === inHand.value))
const fence = computed(() => wholeYears(years.value?.restsOn.fenceYears ?? 1))
/** As it was looked at, for one tap. */
const history = computed(() => {
  const [job, plan, line] = [session.job, view.plan.value, view.line.value]
  const kept = job?.lines.find(({ id }) => id === line?.id)
  return plan && kept
    ? seenHistory(
        plan,
        kept.id,
        kept.posts.map(({ ageYears }) => ageYears),
        view.tables.value,
      )
    : undefined
})
const count = () =>
  session.edit([{ name: 'setLine', line: view.line.value!.id, key: 'history', value: history.value ?? null }])
/** Decisions look at the fence's own end; where that is far off, ten years are what anybody can think of. */
const LOOKED_AT = 10
const asked = computed(() => Math.min(fence.value, LOOKED_AT))
</script>

<template>
  <div class="how-long">
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <div v-else-if="done !== undefined || (!years && !isStopped)" class="row">
      <v-progress-linear
        :model-value="100 * (done ?? 0)"
        :indeterminate="!done"
        aria-label="Living through the years"
      />
      <v-btn variant="text" @click="survival.stop">Stop</v-btn>
    </div>
    <p v-else-if="!years">Stopped. <v-btn variant="text" @click="survival.again">Reckon it after all</v-btn></p>
    <template v-if="years && shown.length">
      <p v-if="chosen" class="answer">{{ plumbWords(chosen, asked, from) }}</p>
      <p v-if="chosen">{{ medianWords(chosen) }} {{ endsWords(chosen.ends) }}</p>
      <YearsCurves :curves="shown" :in-hand="inHand" :fence-years="years.restsOn.fenceYears" :from="from" />
      <p class="soft">Of ten such posts, how many are still plumb.</p>
      <ul>
        <li v-for="each in shown" :key="each.method" :class="{ chosen: each.method === inHand }">
          <strong>{{ each.mark }}</strong> {{ each.name }}: {{ plumbWords(each, asked, from) }}
        </li>
      </ul>
      <p class="soft">
        {{ restsOnWords(years.restsOn) }}
        {{ years.restsOn.isFenceAssumed ? `The fence itself is taken to have ${fence} years.` : '' }}
      </p>
      <p v-if="!years.restsOn.history">
        What this fence has stood already tells most: how many of its posts have gone by their footing, in how many
        years.
        <v-btn v-if="history" variant="text" @click="count">
          Count it: {{ history.gone }} of {{ history.posts }} in {{ history.ageYears }} years
        </v-btn>
        <v-btn v-else variant="text" @click="view.goTo('walk')">Say it in Walk</v-btn>
      </p>
    </template>
    <p v-else-if="years">Nothing is allowed here yet whose years could be told.</p>
  </div>
</template>

<style scoped>
.answer {
  font-family: var(--measure);
  font-size: 24px;
  font-weight: 600;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 3px 0;
}
.chosen {
  font-weight: 600;
}
</style>
