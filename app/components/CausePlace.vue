<script setup lang="ts">
import { tables } from '~~/data/tables'
import { showGust } from '~~/core/units/quantity'
import { returnPeriodWords } from '~~/core/wind/returnPeriod'
import { inHundred, strengthWords } from '~/words'
import { standingRow } from '~/drawing/gustRows'

/** What failed and what made it fail: a judgement with its reasons. */
const view = useJobView()
const diagnosis = computed(() => view.postPlan.value!.diagnosis)
const standing = computed(() => view.postPlan.value!.standing)

const LISTED = 0.02
const listed = computed(() => diagnosis.value.causes.filter((cause) => cause.probability >= LISTED))
const impossible = computed(() => diagnosis.value.causes.filter((cause) => cause.impossible))
const open = ref<string>()
const anything = computed(() => diagnosis.value.leading.length > 0)
const leading = computed(() =>
  diagnosis.value.leading.map((key) => diagnosis.value.causes.find((cause) => cause.cause === key)!),
)
const whatOf = (key: string) => tables.causes.causes.find((cause) => cause.key === key)?.what
const rows = computed(() => [standingRow(view.postPlan.value!)])
const weakest = computed(() => standing.value.links.find((link) => link.link === standing.value.weakest))
const years = computed(() => weakest.value?.returnYears)
watch(
  () => view.post.value?.id,
  () => (open.value = undefined),
)
</script>

<template>
  <section aria-labelledby="cause-title">
    <h2 id="cause-title">{{ view.post.value?.id }}: what failed?</h2>
    <p v-for="flag in diagnosis.redFlags" :key="flag" class="red-flag" role="alert">{{ flag }}</p>
    <div v-if="!anything" class="panel-section">
      <p>Nothing was seen here yet. Push the post and probe it first.</p>
      <v-btn class="onward" variant="flat" color="primary" @click="view.goTo('look')">Look at it</v-btn>
    </div>
    <template v-else>
      <div class="leading">
        <p v-for="(cause, i) in leading" :key="cause.cause">
          <strong class="measure lead">{{ i > 0 ? 'and ' : '' }}{{ cause.name }}</strong
          >, {{ inHundred(cause.probability) }}.
          {{ whatOf(cause.cause) }}
        </p>
        <p v-if="!diagnosis.settled" class="string-words">Not settled yet: make the next check before you choose.</p>
      </div>
      <div class="panel-section">
        <ul class="causes">
          <li v-for="cause in listed" :key="cause.cause">
            <button
              type="button"
              class="cause"
              :aria-expanded="open === cause.cause"
              @click="open = open === cause.cause ? undefined : cause.cause"
            >
              <span class="grow">{{ cause.name }}</span>
              <span class="soft">{{ inHundred(cause.probability) }}</span>
              <span class="bar" aria-hidden="true"><span :style="{ width: `${cause.probability * 100}%` }" /></span>
            </button>
            <ul v-if="open === cause.cause" class="reasons">
              <li v-for="reason in cause.evidence" :key="reason.observation" :class="{ against: reason.decibans < 0 }">
                {{ reason.says }}: <strong>{{ strengthWords(reason.decibans) }}</strong>
              </li>
            </ul>
          </li>
        </ul>
        <p class="soft small">
          Tap a cause for its reasons.
          <template v-if="impossible.length"
            >Cannot be: {{ impossible.map((cause) => cause.name.toLowerCase()).join(', ') }}.</template
          >
        </p>
      </div>
    </template>
    <div v-if="anything" class="panel-section">
      <h3>What would tell most now</h3>
      <ul class="checks">
        <li v-for="check in diagnosis.nextChecks" :key="check.observation">
          <button type="button" class="check" @click="view.goTo('look')">
            {{ check.check }} <span class="soft">{{ check.minutes }} min</span>
          </button>
        </li>
      </ul>
    </div>
    <div v-if="standing.holdingGust !== undefined" class="panel-section">
      <h3>As it stands</h3>
      <p v-if="standing.holdingGust === 0">It holds nothing: {{ weakest?.because ?? weakest?.name }}.</p>
      <p v-else>It gives way at {{ showGust(standing.holdingGust) }}, {{ returnPeriodWords(years ?? Infinity) }}.</p>
      <GustScale
        :rows="rows"
        :target="view.plan.value!.target.gust"
        :gust50="view.plan.value!.target.gust50"
        label="The post as it stands on the scale of gusts"
      />
    </div>
    <v-btn v-if="anything" class="onward" block variant="flat" color="primary" @click="view.goTo('repair')"
      >Choose the repair</v-btn
    >
  </section>
</template>

<style scoped>
.leading {
  display: grid;
  gap: 6px;
  margin: 8px 0 14px;
}
.lead {
  font-size: 19px;
}
.causes,
.checks,
.reasons {
  list-style: none;
  padding: 0;
}
.cause {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
  width: 100%;
  min-height: 48px;
  padding: 6px 0;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  text-align: left;
  cursor: pointer;
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
.reasons {
  padding: 2px 0 10px 14px;
  border-left: 3px solid var(--rule);
  margin: 2px 0 8px;
}
.reasons li {
  padding: 2px 0;
}
.reasons li::before {
  content: '+ ';
  font-weight: 600;
}
.reasons .against::before {
  content: '− ';
}
.check {
  width: 100%;
  min-height: 48px;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  font: inherit;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  cursor: pointer;
}
.check::before {
  content: '›';
  color: var(--string-ink);
  font-weight: 600;
}
.check {
  justify-content: flex-start;
}
.check .soft {
  margin-left: auto;
  white-space: nowrap;
}
.small {
  font-size: 14px;
  margin-top: 8px;
}
.onward {
  margin: 12px 0 20px;
}
</style>
