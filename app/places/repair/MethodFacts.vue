<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { capital, checkSentence, experienceSentence, soakedSentence } from '~/job/stateWords'
import { thresholdWords } from '~~/core/plan/thresholds'
import type { MethodPlan } from '~~/core/plan/types'
import { givesWay } from '~~/core/repair/links'
import { STOP_GAPS } from '~~/core/repair/methods'
import { usePreferencesStore } from '~/session/preferences'

/** One method on this post: what it holds, what it leaves, what it is made with. */
const { method } = defineProps<{ method: MethodPlan }>()
const session = useJobSession()
const view = useJobView()
const plan = computed(() => view.postPlan.value!)
const preferences = usePreferencesStore()
const gust = (speed: number) => preferences.measures.gust(speed)
const holds = computed(() => thresholdWords(method, gust))
const experience = computed(() => experienceSentence(method, gust))
const weakest = computed(() => method.links.find((link) => link.link === method.weakest))
/** What would hold where this one does not. */
const better = computed(() => {
  const others = plan.value.methods.filter(
    (each) => each.holdsTarget && each.allowed && each.leavesUnsolved.length === 0,
  )
  return others.length > 0 ? ` What would hold: ${others.map(({ name }) => name.toLowerCase()).join(', ')}.` : ''
})

/** What holds for days is not measured by the wind of years. */
const isStopGap = computed(() => STOP_GAPS.has(method.method))
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
    view.taken.value === method.method
      ? []
      : [{ name: 'chooseRepair' as const, ...view.address.value, value: method.method }]
  await session.edit([...first, { name: 'choosePart', ...view.address.value, kind, value }])
}
</script>

<template>
  <div class="panel-section">
    <h3>{{ method.name }}</h3>
    <ul v-if="!method.allowed" class="refusals">
      <li v-for="reason in method.reasons" :key="reason" class="error-text">{{ reason }}</li>
    </ul>
    <p v-if="weakest && holds">
      {{ capital(holds) }}: {{ weakest.name }} is the weakest link<template v-if="weakest.because">
        ({{ weakest.because }})</template
      >.
      <span v-if="isStopGap" class="string-words">A stop-gap: look at the forecast until you come back.</span>
      <span v-else-if="!method.holdsTarget" class="string-words">Under the target.{{ better }}</span>
    </p>
    <p v-if="experience" class="soft small">{{ experience }}</p>
    <p v-if="view.detail.value?.soaked">{{ soakedSentence(view.detail.value.soaked, gust) }}</p>
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
    <ul v-if="method.checks.length" class="links" aria-label="Checks">
      <li v-for="each in method.checks" :key="each.check" :class="{ 'error-text': each.demand > each.capacity }">
        {{ checkSentence(each, preferences.measures) }}
      </li>
    </ul>
    <ul v-if="method.links.length" class="links" aria-label="Links, weakest first">
      <li v-for="link in [...method.links].sort((a, b) => givesWay(a) - givesWay(b))" :key="link.link">
        <span class="measure">{{ gust(givesWay(link)) }}</span> {{ link.name }}
      </li>
    </ul>
  </div>
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
</style>
