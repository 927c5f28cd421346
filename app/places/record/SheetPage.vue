<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FocusDrawing from '~/picture/FocusDrawing.vue'
import StepList from '~/job/StepList.vue'
import ForWhoDecides from './ForWhoDecides.vue'
import SheetStands from './SheetStands.vue'
import SheetVerdicts from './SheetVerdicts.vue'
import { depthReason } from '~~/core/plan/recommend'
import { itemsOf, itemWords } from '~~/core/items/items'
import { showMinutes } from '~~/core/units/quantity'
import type { Evidence } from '~~/core/cause/diagnose'
import { assumptionWords } from '~~/core/resolve/assumptionWords'
import { newPostSentence, stateSentence } from '~/job/stateWords'
import { usePreferencesStore } from '~/session/preferences'
import { ESTIMATES, inHundred, strengthWords } from '~/job/words'

/** The page to print and hand over: what failed, what was chosen and why, what to do. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const plan = computed(() => view.postPlan.value!)
const method = view.methodInHand
/** No sheet sends anybody to mend a post in which nothing was found, or at which nobody looked. */
const state = computed(() => stateSentence(plan.value))
const isTaken = computed(() => view.taken.value !== undefined)
const causes = computed(() =>
  plan.value.diagnosis.causes.filter((cause) => plan.value.diagnosis.leading.includes(cause.cause)),
)
const items = computed(() =>
  method.value
    ? itemsOf(view.address.value.post, method.value, view.tables.value).map((item) =>
        itemWords(item, preferences.measures),
      )
    : [],
)
const post = computed(() => (method.value ? newPostSentence(method.value, preferences.show) : ''))
const assumed = computed(() =>
  view.assumed.value.map((each) => assumptionWords(each, preferences.measures, view.tables.value)),
)
/** What hardly tells is left out of what a customer reads. */
const telling = (evidence: Evidence[]) => evidence.filter(({ decibans }) => Math.abs(decibans) >= TELLS).slice(0, 4)
const TELLS = 1.5
const licensed = computed(() => view.post.value?.repair?.licensed?.name)
const print = () => window.print()
</script>

<template>
  <article v-if="!method" class="sheet" aria-labelledby="sheet-title">
    <h1 id="sheet-title">Post {{ view.post.value?.id }}: no sheet</h1>
    <p>{{ state || 'No repair is allowed here.' }}</p>
    <p v-if="plan.diagnosis.state === 'not-looked-at'">
      <v-btn variant="flat" color="primary" @click="view.goTo('look')">Look at it</v-btn>
    </p>
  </article>
  <article v-else class="sheet" aria-labelledby="sheet-title">
    <div class="row no-print tools">
      <v-btn variant="flat" color="primary" @click="print">Print this sheet</v-btn>
      <v-btn :href="`/api/jobs/${session.id}/export`">Save the job as a file</v-btn>
    </div>
    <header>
      <h1 id="sheet-title">Post {{ view.post.value?.id }}: {{ method.name.toLowerCase() }}</h1>
      <p>
        {{ session.job?.name }}<template v-if="session.job?.site?.name">, {{ session.job.site.name }}</template>
      </p>
      <p v-if="licensed">Decided by {{ licensed }}, licensed builder or engineer.</p>
      <p v-if="!isTaken" class="string-words">Proposed, not yet chosen.</p>
    </header>
    <p v-for="flag in plan.diagnosis.redFlags" :key="flag" class="red-flag">{{ flag }}</p>
    <p v-if="view.post.value?.judgement?.cleared">In hand: {{ view.post.value.judgement.cleared.note }}</p>
    <div class="columns">
      <FocusDrawing still class="picture" />
      <div>
        <section>
          <h2>What failed</h2>
          <SheetVerdicts />
          <p v-if="causes.length === 0">Not found yet.</p>
          <template v-for="cause in causes" :key="cause.cause">
            <p>
              <strong>{{ cause.name }}</strong
              >, {{ inHundred((1 - plan.diagnosis.nothingWrong.probability) * cause.probability) }}.
            </p>
            <ul>
              <li v-for="reason in telling(cause.evidence)" :key="reason.says">
                {{ reason.says }}: {{ strengthWords(reason.decibans) }}
              </li>
            </ul>
          </template>
        </section>
        <SheetStands :method="method" />
      </div>
    </div>
    <div class="columns">
      <section>
        <template v-if="method.hole">
          <h2>The hole</h2>
          <p>
            {{ preferences.show(method.hole.diameter) }} wide.
            {{ depthReason(method.hole, plan.depthRules, preferences.units) }}
          </p>
        </template>
        <template v-if="items.length">
          <h2>Bring</h2>
          <ul>
            <li v-for="item in items" :key="item">{{ item }}</li>
            <li v-if="post">{{ post }}</li>
          </ul>
        </template>
        <p>About {{ showMinutes(method.minutes) }} of work.</p>
        <h2>Take care</h2>
        <p v-for="caution in method.cautions" :key="caution" class="caution">{{ caution }}</p>
      </section>
      <section>
        <h2>Steps</h2>
        <StepList :steps="view.detail.value?.steps ?? []" brief />
      </section>
    </div>
    <ForWhoDecides v-if="view.post.value?.duties.includes('load-bearing')" />
    <section v-if="view.assumed.value.length" class="soft">
      <h2>Assumed</h2>
      <ul class="assumed">
        <li v-for="each in assumed" :key="each">{{ each }}</li>
      </ul>
    </section>
    <footer>Hills and escarpments are not covered. {{ ESTIMATES }}</footer>
  </article>
</template>

<style scoped>
.sheet {
  padding: 16px 20px;
}
.sheet > * {
  max-width: 1100px;
  margin-left: auto;
  margin-right: auto;
}
.tools {
  margin-bottom: 14px;
}
section,
:deep(section) {
  margin: 12px 0;
}
.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.picture {
  height: 420px;
  border: 1.5px solid var(--ink);
}
.caution {
  break-inside: avoid;
  margin-bottom: 6px;
}
.assumed {
  columns: 2 260px;
  font-size: 14px;
}
footer {
  border-top: 1.8px solid var(--ink);
  padding: 8px 0 16px;
  font-weight: 600;
}
@media screen and (max-width: 760px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
  .picture {
    height: 320px;
  }
}
</style>
