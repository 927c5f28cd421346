<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/useJobView'
import { tables } from '~~/data/tables'
import { useJobStore } from '~/job/store'

/** What helped the failure along, with what to do otherwise this time. */
const store = useJobStore()
const view = useJobView()
const conditions = computed(() => view.postPlan.value!.diagnosis.conditions)
const ticked = computed(() => view.post.value!.conditions ?? [])
/** Those that the readings do not show, for a person to tick. */
const open = computed(() =>
  tables.conditions.filter(
    ({ key }) => !conditions.value.some(({ condition, from }) => condition === key && from === 'readings'),
  ),
)

function tick(key: string): void {
  const rest = ticked.value.filter((each) => each !== key)
  const all = ticked.value.includes(key) ? rest : [...rest, key]
  void store.edit([{ name: 'setPost', ...view.address.value, key: 'conditions', value: all.length > 0 ? all : null }])
}
</script>

<template>
  <div class="panel-section">
    <h3>Do not build it again</h3>
    <ul v-if="conditions.length" class="conditions">
      <li v-for="condition in conditions" :key="condition.condition">
        <strong>{{ condition.name }}.</strong> {{ condition.advice }}
      </li>
    </ul>
    <p v-else class="soft">Nothing that helped it along was seen.</p>
    <details>
      <summary>Tick what you see besides</summary>
      <div class="row">
        <v-btn
          v-for="condition in open"
          :key="condition.key"
          :aria-pressed="ticked.includes(condition.key)"
          @click="tick(condition.key)"
          >{{ ticked.includes(condition.key) ? `✓ ${condition.name}` : condition.name }}</v-btn
        >
      </div>
    </details>
  </div>
</template>

<style scoped>
.conditions {
  list-style: none;
  padding: 0;
}
.conditions li {
  padding: 6px 0 6px 12px;
  border-left: 6px solid var(--umber);
  margin-bottom: 6px;
}
summary {
  min-height: 48px;
  padding: 12px 0;
  cursor: pointer;
}
</style>
