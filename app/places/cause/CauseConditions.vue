<script setup lang="ts">
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { tables } from '~~/data/tables'

/** What helped the failure along, with what to do otherwise this time. */
const session = useJobSession()
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
  void session.edit([{ name: 'setPost', ...view.address.value, key: 'conditions', value: all.length > 0 ? all : null }])
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
    <FoldOut title="Tick what you see besides">
      <div class="row">
        <v-btn
          v-for="condition in open"
          :key="condition.key"
          :aria-pressed="ticked.includes(condition.key)"
          @click="tick(condition.key)"
          >{{ ticked.includes(condition.key) ? `✓ ${condition.name}` : condition.name }}</v-btn
        >
      </div>
    </FoldOut>
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
</style>
