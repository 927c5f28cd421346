<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import GustScale from '~/gust/GustScale.vue'
import RedFlags from '~/job/RedFlags.vue'
import { row } from '~~/core/tables/tables'
import { tables } from '~~/data/tables'
import { showGust } from '~~/core/units/quantity'
import { givesWay } from '~~/core/repair/links'
import { methodRow, standingRow } from '~/gust/gustRows'
import { inHundred } from '~/job/words'

/** All methods on the gust scale; refused ones stay, with the reason. */
const session = useJobSession()
const view = useJobView()
const plan = computed(() => view.postPlan.value!)
const target = computed(() => view.plan.value!.target)

const { taken } = view
const method = computed(() => view.methodInHand.value!)
const chosen = computed(() => method.value.method)
const rows = computed(() => [standingRow(plan.value), ...plan.value.methods.map(methodRow)])
const leading = computed(() =>
  plan.value.diagnosis.causes.filter((cause) => plan.value.diagnosis.leading.includes(cause.cause)),
)
const decided = computed(() => {
  const names = plan.value.diagnosis.inForce.map((key) => row(tables.causes.causes, key).name)
  return `${plan.value.diagnosis.decidedBy === 'digging' ? 'Found on digging' : 'Overruled'}: ${names.join(' and ').toLowerCase()}`
})
const weakest = computed(() => method.value.links.find((link) => link.link === method.value.weakest))

function look(key: string): void {
  if (key !== 'standing') view.previewed.value = key
}
async function take(): Promise<void> {
  if (taken.value !== chosen.value)
    await session.edit([{ name: 'chooseRepair', ...view.address.value, value: chosen.value }])
  view.previewed.value = undefined
  view.goTo(method.value.hole ? 'hole' : 'sheet')
}

/** Parts that the method can be made with, each from the list of its kind. */
const parts = computed(() =>
  (view.detail.value?.parts ?? []).map(({ rows: list, ...part }) => ({
    ...part,
    items: list.map(({ key, name }) => ({ value: key, title: name })),
  })),
)
/** Choosing a part is choosing the method. */
async function changePart(kind: string, value: string): Promise<void> {
  const first =
    taken.value === chosen.value ? [] : [{ name: 'chooseRepair' as const, ...view.address.value, value: chosen.value }]
  await session.edit([...first, { name: 'choosePart', ...view.address.value, kind, value }])
}
</script>

<template>
  <section aria-labelledby="repair-title">
    <h2 id="repair-title">{{ view.post.value?.id }}: which repair?</h2>
    <RedFlags />
    <p class="soft">
      <template v-if="plan.diagnosis.decidedBy !== 'readings'">{{ decided }}.</template>
      <template v-else-if="leading.length"
        >{{ leading.map((cause) => `${cause.name}, ${inHundred(cause.probability)}`).join('; and ') }}.</template
      >
      <template v-else>No cause yet: look first, or you repair the wrong thing.</template>
    </p>
    <GustScale
      :rows="rows"
      :target="target.gust"
      :gust50="target.gust50"
      :chosen="chosen"
      pick
      label="Every repair on the scale of gusts"
      @choose="look"
    />
    <p class="soft small">
      What holds the target first, quickest first. Target: {{ showGust(target.gust) }}, once in
      {{ target.returnYears }} years.
    </p>
    <div class="panel-section">
      <h3>{{ method.name }}</h3>
      <ul v-if="!method.allowed" class="refusals">
        <li v-for="reason in method.reasons" :key="reason" class="error-text">{{ reason }}</li>
      </ul>
      <p v-if="weakest && method.holdingGust !== undefined">
        Gives way at {{ showGust(method.holdingGust) }}: {{ weakest.name }} is the weakest link<template
          v-if="weakest.because"
        >
          ({{ weakest.because }})</template
        >.
        <span v-if="!method.holdsTarget" class="string-words">Less than the target.</span>
      </p>
      <p v-if="method.leavesUnsolved.length" class="error-text">
        Leaves unsolved: {{ method.leavesUnsolved.join(', ').toLowerCase() }}.
      </p>
      <div v-if="parts.length" class="field-grid">
        <v-select
          v-for="part in parts"
          :key="part.kind"
          :label="part.name"
          :items="part.items"
          :model-value="part.taken"
          @update:model-value="changePart(part.kind, $event)"
        />
      </div>
      <ul v-if="method.links.length" class="links" aria-label="Links, weakest first">
        <li v-for="link in [...method.links].sort((a, b) => givesWay(a) - givesWay(b))" :key="link.link">
          <span class="measure">{{ showGust(givesWay(link)) }}</span> {{ link.name }}
        </li>
      </ul>
    </div>
    <div class="action">
      <v-btn block variant="flat" color="primary" :disabled="!method.allowed" @click="take">{{
        method.hole ? `Take it, size the hole` : 'Take it, to the sheet'
      }}</v-btn>
    </div>
    <div class="panel-section">
      <p v-for="caution in method.cautions" :key="caution" class="caution">{{ caution }}</p>
    </div>
    <FoldOut class="panel-section" title="Steps">
      <ol>
        <li v-for="step in view.detail.value?.steps" :key="step.key">
          {{ step.text }} <strong v-if="step.doNotSkip" class="string-words">do not skip</strong>
        </li>
      </ol>
    </FoldOut>
  </section>
</template>

<style scoped>
.small {
  font-size: 14px;
}
.refusals,
.links {
  list-style: none;
  padding: 0;
}
.links {
  margin-top: 10px;
  columns: 2 200px;
}
.links .measure {
  display: inline-block;
  min-width: 66px;
}
.action {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  padding: 10px 0;
}
.caution {
  margin-bottom: 8px;
}
ol li {
  padding: 4px 0;
}
</style>
