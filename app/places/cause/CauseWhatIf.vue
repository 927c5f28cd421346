<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import { diagnose } from '~~/core/cause/diagnose'
import { outcomesOf, readingFor } from '~~/core/cause/readings'
import { tables } from '~~/data/tables'
import { inHundred } from '~/job/words'

/** What would be thought if one reading were another; nothing is saved. */
const view = useJobView()
const rows = tables.causes.evidence
const observation = ref(rows[0]!.observation)
const value = ref('')
const row = computed(() => rows.find((each) => each.observation === observation.value)!)
const NOT_SEEN = 'not looked at'

const rowItems = rows.map((each) => ({
  value: each.observation,
  title: each.doing.charAt(0).toUpperCase() + each.doing.slice(1),
}))
const valueItems = computed(() => [
  { value: '', title: 'as it is' },
  ...outcomesOf(row.value).map((each) => ({ value: each, title: row.value.words[each] ?? each })),
  { value: NOT_SEEN, title: NOT_SEEN },
])
watch([observation, () => view.post.value?.id], () => (value.value = ''))

const SHOWN = 4
const turned = computed(() => {
  const { material, duties: duty, ageYears, isPointedAt: pointedAt, observations, heard } = view.post.value!
  const { [observation.value]: _now, ...others } = observations
  const changed =
    value.value === NOT_SEEN ? others : { ...others, [observation.value]: readingFor(row.value, value.value) }
  const then = diagnose({ material, duty, ageYears, pointedAt }, changed, tables.causes, heard)
  const now = view.postPlan.value!.diagnosis.causes
  return {
    settled: then.settled,
    causes: then.causes.slice(0, SHOWN).map(({ cause, name, probability }) => ({
      cause,
      name,
      now: now.find((each) => each.cause === cause)!.probability,
      then: probability,
    })),
  }
})
</script>

<template>
  <div class="panel-section">
    <h3>What if it were otherwise?</h3>
    <div class="field-grid">
      <v-select v-model="observation" label="If" :items="rowItems" />
      <v-select v-model="value" label="showed" :items="valueItems" />
    </div>
    <template v-if="value">
      <ul class="turned" aria-label="Causes, now and then" aria-live="polite">
        <li v-for="cause in turned.causes" :key="cause.cause">
          <span>{{ cause.name }}</span>
          <span class="soft">{{ inHundred(cause.now) }}</span>
          <span aria-hidden="true">→</span>
          <strong>{{ inHundred(cause.then) }}</strong>
        </li>
      </ul>
      <p class="soft">{{ turned.settled ? 'It would be settled.' : 'It would not be settled.' }} Nothing is saved.</p>
    </template>
  </div>
</template>

<style scoped>
.turned {
  list-style: none;
  padding: 0;
  margin: 10px 0 4px;
}
.turned li {
  display: grid;
  grid-template-columns: 1fr auto auto auto;
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1.5px solid var(--rule);
}
</style>
