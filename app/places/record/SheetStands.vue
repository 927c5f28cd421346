<script setup lang="ts">
import { computed } from 'vue'
import GustScale from '~/gust/GustScale.vue'
import { methodRow, standingRow } from '~/gust/gustRows'
import { useJobView } from '~/job/openJob'
import { capital, checkSentence, experienceSentence, historySentence } from '~/job/stateWords'
import { usePreferencesStore } from '~/session/preferences'
import { askedWords } from '~~/core/plan/targetWords'
import { thresholdWords } from '~~/core/plan/thresholds'
import type { MethodPlan } from '~~/core/plan/types'
import { STOP_GAPS } from '~~/core/repair/methods'

/** What the post holds before and after, on the scale of gusts and in words. */
const { method } = defineProps<{ method: MethodPlan }>()
const view = useJobView()
const preferences = usePreferencesStore()
const gust = (speed: number) => preferences.measures.gust(speed)
const target = computed(() => view.target.value)
const holds = computed(() => thresholdWords(method, gust))
const experience = computed(() => experienceSentence(method, gust))
const history = computed(() => historySentence(view.plan.value!, view.line.value!))
const restsOn = computed(() =>
  [askedWords(target.value, gust), experience.value, history.value].filter(Boolean).join(' '),
)
const rows = computed(() => [
  standingRow(view.postPlan.value!, gust),
  ...(method.holdingGust === undefined ? [] : [methodRow(method)]),
])
const weakest = computed(() => method.links.find((link) => link.link === method.weakest))
</script>

<template>
  <section>
    <h2>What it will stand</h2>
    <GustScale
      v-if="method.holdingGust !== undefined"
      :rows="rows"
      :target="target.gust"
      :gust50="target.gust50"
      label="Before and after on the scale of gusts"
    />
    <p v-if="weakest && method.holdingGust !== undefined">
      {{ capital(holds) }}: {{ weakest.name }} first.
      <template v-if="STOP_GAPS.has(method.method)"> A stop-gap, until it is mended.</template>
      <template v-else-if="!method.holdsTarget"> Under the target.</template>
    </p>
    <p class="soft">{{ restsOn }}</p>
    <ul v-if="method.checks.length">
      <li v-for="each in method.checks" :key="each.check">{{ checkSentence(each, preferences.measures) }}</li>
    </ul>
    <p v-if="!weakest && method.checks.length === 0">It is made safe for today only and holds no wind of its own.</p>
    <p v-if="method.leavesUnsolved.length">Leaves unsolved: {{ method.leavesUnsolved.join(', ').toLowerCase() }}.</p>
  </section>
</template>
