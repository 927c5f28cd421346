<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import StepList from '~/job/StepList.vue'
import AssumedList from '~/job/AssumedList.vue'
import FoldOut from '~/controls/FoldOut.vue'
import TargetChoice from '~/gust/TargetChoice.vue'
import { targetSentence } from '~~/core/plan/targetWords'
import GustScale from '~/gust/GustScale.vue'
import { row } from '~~/core/tables/tables'
import { tables } from '~~/data/tables'
import type { MethodPlan } from '~~/core/plan/types'
import { STOP_GAPS } from '~~/core/repair/methods'
import { usePreferencesStore } from '~/session/preferences'
import { methodRow, standingRow } from '~/gust/gustRows'
import { stateSentence } from '~/job/stateWords'
import FixingAtHand from './FixingAtHand.vue'
import LicensedPerson from './LicensedPerson.vue'
import MethodFacts from './MethodFacts.vue'
import NewPost from './NewPost.vue'
import MoreThanItIs from './MoreThanItIs.vue'
import { inHundred } from '~/job/words'

/** All methods on the gust scale; refused ones stay, with the reason. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const plan = computed(() => view.postPlan.value!)
const target = computed(() => view.target.value)

const { taken } = view
const method = view.methodInHand
const chosen = computed(() => method.value?.method)
/** Where nothing is proposed the methods are shown only to somebody who wants them. */
const isWanted = ref(false)
watch(
  () => view.post.value?.id,
  () => (isWanted.value = false),
)
/** What holds for days is nothing for a post in which nothing has failed. */
const isToBeMore = computed(
  () => view.post.value?.upgrade !== undefined && plan.value.diagnosis.state === 'nothing-wrong',
)
const isShown = computed(
  () => view.isAskedForRepair.value || plan.value.diagnosis.state === 'unsettled' || isToBeMore.value || isWanted.value,
)
const state = computed(() => stateSentence(plan.value))
const isOpen = (each: MethodPlan) =>
  each.method === taken.value || (each.allowed && !(isToBeMore.value && STOP_GAPS.has(each.method)))
const rows = computed(() => [
  standingRow(plan.value, preferences.measures.gust),
  ...plan.value.methods.filter(isOpen).map(methodRow),
])
const refused = computed(() => plan.value.methods.filter((each) => !each.allowed && !isOpen(each)).map(methodRow))
const leading = computed(() =>
  plan.value.diagnosis.causes
    .filter((cause) => plan.value.diagnosis.leading.includes(cause.cause))
    .map((cause) => ({ ...cause, chance: (1 - plan.value.diagnosis.nothingWrong.probability) * cause.probability })),
)
const decided = computed(() => {
  const names = plan.value.diagnosis.inForce.map((key) => row(tables.causes.causes, key).name)
  return `${plan.value.diagnosis.decidedBy === 'digging' ? 'Found on digging' : 'Overruled'}: ${names.join(' and ').toLowerCase()}`
})

/** What is bolted or screwed to the post. */
const hasFixings = computed(() => method.value?.parts.some(({ kind }) => kind === 'fixing' || kind === 'mender'))

function look(key: string): void {
  if (key !== 'standing') view.previewed.value = key
}
async function take(): Promise<void> {
  const inHand = method.value!
  if (taken.value !== inHand.method)
    await session.edit([{ name: 'chooseRepair', ...view.address.value, value: inHand.method }])
  view.previewed.value = undefined
  if (inHand.hole) view.goTo('hole')
  else view.goTo('record', 'work')
}
</script>

<template>
  <div>
    <p class="soft">
      <template v-if="plan.diagnosis.decidedBy !== 'readings'">{{ decided }}.</template>
      <template v-else-if="state">{{ state }}</template>
      <template v-else
        >{{ leading.map((cause) => `${cause.name}, ${inHundred(cause.chance)}`).join('; and ') }}.</template
      >
    </p>
    <MoreThanItIs v-if="plan.diagnosis.state === 'nothing-wrong'" />
    <div v-if="!isShown" class="panel-section">
      <p>
        {{
          plan.diagnosis.state === 'nothing-wrong'
            ? 'Nothing to mend here.'
            : 'No repair is proposed before it was looked at.'
        }}
      </p>
      <div class="row">
        <v-btn v-if="plan.diagnosis.state === 'not-looked-at'" variant="flat" color="primary" @click="view.goTo('look')"
          >Look at it</v-btn
        >
        <v-btn variant="text" @click="isWanted = true">Show what could be done all the same</v-btn>
      </div>
    </div>
    <template v-else>
      <GustScale
        :rows="rows"
        :target="target.gust"
        :gust50="target.gust50"
        :chosen="chosen"
        pick
        label="Every repair on the scale of gusts"
        @choose="look"
      />
      <FoldOut v-if="refused.length" :title="`Cannot be done here: ${refused.length}`">
        <GustScale
          :rows="refused"
          :target="target.gust"
          :gust50="target.gust50"
          :chosen="chosen"
          pick
          label="Repairs that cannot be done here, with the reason"
          @choose="look"
        />
      </FoldOut>
      <p class="soft small">
        What answers the cause first, then what keeps what is sound.
        {{ targetSentence(target, preferences.measures.gust) }}
      </p>
      <FoldOut title="What it has to hold"><TargetChoice /></FoldOut>
      <LicensedPerson v-if="view.post.value?.duties.includes('load-bearing')" />
      <p v-if="!method" class="panel-section">Pick one of them to see what it comes to.</p>
      <MethodFacts v-if="method" :method="method" />
      <NewPost v-if="method?.newPost" :method="method" />
      <FoldOut v-if="method && hasFixings" class="panel-section" title="Does the fixing at hand fit?">
        <FixingAtHand :key="view.post.value?.id" :method="method" />
      </FoldOut>
      <AssumedList />
      <div v-if="method" class="action">
        <v-btn block variant="flat" color="primary" :disabled="!method.allowed" @click="take">{{
          method.hole ? `Take it, size the hole` : 'Take it, to the sheet'
        }}</v-btn>
      </div>
      <div v-if="method" class="panel-section">
        <p v-for="caution in method.cautions" :key="caution" class="caution">{{ caution }}</p>
      </div>
      <FoldOut v-if="method" class="panel-section" title="Steps">
        <StepList :steps="view.detail.value?.steps ?? []" />
      </FoldOut>
    </template>
  </div>
</template>

<style scoped>
.small {
  font-size: 14px;
}

.action {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  padding: 10px 0;
  /* Over the scale's own lines and words. */
  z-index: 2;
}
.caution {
  margin-bottom: 8px;
}
</style>
