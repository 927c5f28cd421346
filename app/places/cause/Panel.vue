<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import CauseConditions from './CauseConditions.vue'
import CauseReasons from './CauseReasons.vue'
import CauseVerdict from './CauseVerdict.vue'
import CauseWhatIf from './CauseWhatIf.vue'
import PullTest from '~/job/PullTest.vue'
import NextChecks from './NextChecks.vue'
import RedFlags from '~/job/RedFlags.vue'
import StandingGust from '~/gust/StandingGust.vue'
import { tables } from '~~/data/tables'
import { stateSentence } from '~/job/stateWords'
import { inHundred, strengthWords } from '~/job/words'

/** What failed and what made it fail: a judgement with its reasons, not a wizard. */
const view = useJobView()
const diagnosis = computed(() => view.postPlan.value!.diagnosis)

const LISTED = 0.02
/** Chances of all that may be: that nothing has failed stands above the causes. */
const failed = computed(() => 1 - diagnosis.value.nothingWrong.probability)
const listed = computed(() =>
  diagnosis.value.causes
    .map((cause) => ({ ...cause, chance: failed.value * cause.probability }))
    .filter(({ chance }) => chance >= LISTED),
)
const isSound = computed(() => diagnosis.value.state === 'nothing-wrong')
const state = computed(() => stateSentence(view.postPlan.value!))
const impossible = computed(() => diagnosis.value.causes.filter((cause) => cause.impossible))
const open = ref<string>()
const anything = computed(() => diagnosis.value.leading.length > 0)
const stopped = computed(() => diagnosis.value.redFlags.length > 0 && !diagnosis.value.cleared)
const leading = computed(() =>
  diagnosis.value.leading.map((key) => diagnosis.value.causes.find((cause) => cause.cause === key)!),
)
const rowOf = (key: string) => tables.causes.causes.find((cause) => cause.key === key)!
const inForce = computed(() => diagnosis.value.inForce.map((key) => rowOf(key).name.toLowerCase()).join(' and '))
watch(
  () => view.post.value?.id,
  () => (open.value = undefined),
)

function makeSafe(): void {
  view.previewed.value = 'make-safe'
  view.goTo('repair')
}
</script>

<template>
  <section aria-labelledby="cause-title">
    <h2 id="cause-title">{{ view.post.value?.id }}: what failed?</h2>
    <RedFlags />
    <div v-if="!anything" class="panel-section">
      <p>Nothing was seen here yet. Push the post and probe it first.</p>
      <v-btn class="onward" variant="flat" color="primary" @click="view.goTo('look')">Look at it</v-btn>
    </div>
    <template v-else>
      <div class="leading">
        <p v-if="isSound" class="found">{{ state }}</p>
        <p v-for="(cause, i) in isSound ? [] : leading" :key="cause.cause">
          <strong class="measure lead">{{ i > 0 ? 'and ' : '' }}{{ cause.name }}</strong
          >, {{ inHundred(failed * cause.probability) }}.
          {{ rowOf(cause.cause).what }}
        </p>
        <p v-if="diagnosis.together && !isSound" class="string-words">
          {{ diagnosis.together.name }}: both are at work, and both have to be answered.
        </p>
        <p v-if="diagnosis.decidedBy !== 'readings'" class="string-words">
          {{ diagnosis.decidedBy === 'digging' ? 'Found on digging' : 'Overruled' }}: {{ inForce }}.
        </p>
        <p v-else-if="!isSound && !diagnosis.settled" class="string-words">
          Not settled yet: make the next check before you choose.
        </p>
      </div>
      <NextChecks v-if="!isSound && !diagnosis.settled" title="What would tell most now" />
      <div class="panel-section">
        <h3>Every cause, with its reasons</h3>
        <ul class="causes">
          <li>
            <button
              type="button"
              class="cause"
              :aria-expanded="open === 'nothing-wrong'"
              @click="open = open === 'nothing-wrong' ? undefined : 'nothing-wrong'"
            >
              <span class="grow">Nothing wrong</span>
              <span class="soft">{{ inHundred(1 - failed) }}</span>
              <span class="bar" aria-hidden="true"><span :style="{ width: `${(1 - failed) * 100}%` }" /></span>
            </button>
            <ul v-if="open === 'nothing-wrong'" class="for-sound">
              <li v-for="reason in diagnosis.nothingWrong.evidence" :key="reason.says">
                {{ reason.says }}: {{ strengthWords(reason.decibans) }}
              </li>
            </ul>
          </li>
          <li v-for="cause in listed" :key="cause.cause">
            <button
              type="button"
              class="cause"
              :aria-expanded="open === cause.cause"
              @click="open = open === cause.cause ? undefined : cause.cause"
            >
              <span class="grow">{{ cause.name }}</span>
              <span class="soft">{{ inHundred(cause.chance) }}</span>
              <span class="bar" aria-hidden="true"><span :style="{ width: `${cause.chance * 100}%` }" /></span>
            </button>
            <CauseReasons
              v-if="open === cause.cause"
              :name="cause.name"
              :start="cause.start"
              :evidence="cause.evidence"
              @ask="view.ask"
            />
          </li>
        </ul>
        <p class="soft small">
          Tap a cause for its reasons, a reason for its reading.
          <template v-if="impossible.length"
            >Cannot be: {{ impossible.map((cause) => cause.name.toLowerCase()).join(', ') }}.</template
          >
        </p>
      </div>
      <NextChecks v-if="isSound || diagnosis.settled" title="What would still tell most" />
      <CauseWhatIf />
      <PullTest />
      <CauseConditions />
    </template>
    <StandingGust />
    <template v-if="anything">
      <div class="panel-section">
        <CauseVerdict verdict="overruled" title="I say" action="I know better" note-needed />
        <CauseVerdict verdict="found" title="Digging showed" action="What did the digging show?" />
      </div>
      <v-btn v-if="stopped" class="onward" block variant="flat" color="primary" @click="makeSafe">Make it safe</v-btn>
      <v-btn v-else-if="isSound" class="onward" block @click="view.walk(1)">Next post</v-btn>
      <v-btn v-else class="onward" block variant="flat" color="primary" @click="view.goTo('repair')"
        >Choose the repair</v-btn
      >
    </template>
  </section>
</template>

<style scoped>
.leading {
  display: grid;
  gap: 6px;
  margin: 8px 0 4px;
}
.lead {
  font-size: 19px;
}
.causes {
  list-style: none;
  padding: 0;
}
.cause {
  width: 100%;
  min-height: 48px;
  padding: 6px 0;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  text-align: left;
  cursor: pointer;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
}
.bar {
  flex: 1 0 100%;
  height: 8px;
  border-bottom: 1.5px solid var(--rule);
}
.bar span {
  display: block;
  height: 8px;
  background: var(--ink);
  min-width: 2px;
}
.found {
  font-size: 19px;
}
.for-sound {
  padding-left: 20px;
}
.small {
  font-size: 14px;
  margin-top: 8px;
}
.onward {
  margin: 12px 0 20px;
}
</style>
