<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { stateSentence } from '~/job/stateWords'
import { usePreferencesStore } from '~/session/preferences'
import { timeNow } from '~/sync/clock'
import { useSurvival } from '~/survive/useSurvival'
import YearsCurves from '~/survive/YearsCurves.vue'
import { useYard } from '~/yard/useYard'
import { customerPageOf } from '~~/core/record/customerPageOf'
import { ESTIMATE } from '~~/core/report/pages'
import SectionPicture from './SectionPicture.vue'

/** What the customer is handed of the chosen post, read in under two minutes. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { catalogue, reckoning, currency } = useYard()

const post = computed(() => view.post.value?.id)
const page = computed(() =>
  session.job && post.value
    ? customerPageOf(session.job, post.value, {
        tables: view.tables.value,
        pricing: { catalogue: catalogue.value, settings: reckoning.value, currency: currency.value },
        now: timeNow(),
        says: preferences.measures,
        years: () => years.value,
      })
    : undefined,
)
const { years, done } = useSurvival()
const state = computed(() => (view.postPlan.value ? stateSentence(view.postPlan.value) : ''))
const pdf = (paper: string) =>
  `/api/jobs/${session.id}/customer-page?post=${encodeURIComponent(post.value ?? '')}&paper=${paper}&units=${preferences.units}`
</script>

<template>
  <article class="page" aria-labelledby="customer-title">
    <template v-if="!page">
      <h1 id="customer-title">Post {{ post }}: no page</h1>
      <p>{{ state || 'No repair is chosen or proposed here.' }}</p>
      <p v-if="view.postPlan.value?.diagnosis.state === 'not-looked-at'">
        <v-btn variant="flat" color="primary" @click="view.goTo('look')">Look at it</v-btn>
      </p>
    </template>
    <template v-else>
      <div class="row no-print tools">
        <v-btn variant="flat" color="primary" :href="pdf('A4')" target="_blank">PDF, A4</v-btn>
        <v-btn :href="pdf('letter')" target="_blank">PDF, letter</v-btn>
        <v-btn :href="`/api/jobs/${session.id}/export`">Save the job as a file</v-btn>
      </div>
      <h1 id="customer-title">{{ page.title }}</h1>
      <p>{{ page.place }}</p>
      <div class="columns">
        <div>
          <section v-for="part in page.parts" :key="part.title">
            <h2>{{ part.title }}</h2>
            <p v-for="each in part.says" :key="each">{{ each }}</p>
          </section>
        </div>
        <SectionPicture
          v-if="page.depth !== undefined"
          :solids="page.stands"
          :label="`The hole of ${post} in section`"
        />
      </div>
      <section v-if="page.years" aria-labelledby="years-title">
        <h2 id="years-title">How long it stands: of ten such posts, still plumb</h2>
        <YearsCurves
          :curves="[{ ...page.years.curve, mark: '' }]"
          :in-hand="page.years.curve.method"
          :fence-years="page.years.fenceYears"
          :from="page.years.from"
        />
        <p v-for="each in page.years.says" :key="each">{{ each }}</p>
      </section>
      <p v-else-if="done !== undefined" role="status">How long it stands is being reckoned …</p>
      <section v-if="page.others.length">
        <h2>What else was possible, with tax</h2>
        <dl class="others">
          <template v-for="each in page.others" :key="each.name">
            <dt>{{ each.name }}: {{ each.stands }}.</dt>
            <dd class="measure">{{ each.price }}</dd>
          </template>
        </dl>
      </section>
      <footer>{{ ESTIMATE }}</footer>
    </template>
  </article>
</template>

<style scoped>
.page {
  padding: 16px 20px;
  max-width: 1140px;
  margin: 0 auto;
  font-size: 17px;
}
.tools {
  margin-bottom: 14px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 460px);
  gap: 24px;
}
section {
  margin: 12px 0;
}
.others {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 18px;
}
dd {
  margin: 0;
}
footer {
  border-top: 1.8px solid var(--ink);
  padding: 8px 0 16px;
  font-weight: 600;
}
@media (max-width: 760px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
