<script setup lang="ts">
import { computed } from 'vue'
import type { LineOutcome, LinePlan } from '~~/core/choose/wholeLine'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { againstWords, kindWords, missWords, sumWords } from './lineWords'

/** The best plan of the line, and what the others would come to against it. */
const { outcome } = defineProps<{ outcome: LineOutcome }>()
const emit = defineEmits<{ take: [plan: LinePlan] }>()
const view = useJobView()
const preferences = usePreferencesStore()

const beside = computed(() => {
  const { best, fewer, others, dayMore } = outcome
  if (!best) return []
  return [
    ...fewer.map((plan) => ({ plan, what: plan.kinds.length === 1 ? 'One way only' : 'Two ways' })),
    ...others.map((plan) => ({ plan, what: 'Otherwise' })),
    ...(dayMore ? [{ plan: dayMore, what: 'With a day more' }] : []),
  ].map(({ plan, what }) => ({
    plan,
    what,
    made: kindWords(plan),
    against: againstWords(plan, best, preferences.measures),
  }))
})
</script>

<template>
  <div class="panel-section">
    <p v-if="!outcome.best" class="error-text">{{ missWords(outcome.least, preferences.measures) }}</p>
    <template v-else>
      <h3>The plan</h3>
      <dl>
        <div v-for="kind in outcome.best.kinds" :key="kind.method" class="kind">
          <dt>{{ kind.name }}</dt>
          <dd>
            <v-btn v-for="post in kind.posts" :key="post" variant="text" class="measure" @click="view.choose(post)">{{
              post
            }}</v-btn>
          </dd>
        </div>
      </dl>
      <p class="sum">{{ sumWords(outcome.best, preferences.measures) }}.</p>
      <v-btn block variant="flat" color="primary" @click="emit('take', outcome.best)">Take this plan</v-btn>
      <template v-if="beside.length">
        <h3 class="others">What else there is</h3>
        <ul class="beside">
          <li v-for="each in beside" :key="each.what + each.made">
            <div>
              <strong>{{ each.what }}:</strong> {{ each.made }}.<br /><span class="soft">{{ each.against }}</span>
            </div>
            <v-btn variant="text" @click="emit('take', each.plan)">Take it</v-btn>
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.kind dt {
  font-weight: 600;
}
.kind dd {
  margin: 0 0 6px;
  display: flex;
  flex-wrap: wrap;
}
.kind .v-btn {
  min-width: 56px;
  padding: 0 8px;
}
.sum {
  margin-bottom: 10px;
}
.others {
  margin-top: 14px;
}
.beside {
  list-style: none;
  padding: 0;
}
.beside li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  min-height: 56px;
  border-bottom: 1.5px solid var(--rule);
}
</style>
