<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
/** The checks worth making next, with why; each leads to its question. */
defineProps<{ title: string }>()
const view = useJobView()
/** Elsewhere on the line one hole may tell more than anything here. */
const dig = computed(() => {
  const found = view.plan.value!.digs.find(({ line }) => line === view.line.value!.id)
  const id = view.post.value!.id
  return found && (found.post === id || found.speaksFor.includes(id)) ? found : undefined
})
const digWords = computed(() => {
  const count = dig.value?.speaksFor.length ?? 0
  return `What it shows speaks for ${count} ${count === 1 ? 'other post' : 'other posts'} of the same make.`
})
function goAndDig(): void {
  view.choose(dig.value!.post)
  view.ask('footingFound')
}
const checks = computed(() => view.postPlan.value!.diagnosis.nextChecks)
</script>

<template>
  <div v-if="checks.length || dig" class="panel-section">
    <h3>{{ title }}</h3>
    <ul class="checks">
      <li v-for="check in checks" :key="check.observation">
        <button type="button" class="check" @click="view.ask(check.observation)">
          <strong>{{ check.check }}</strong>
          <span class="soft">{{ check.why }}</span>
        </button>
      </li>
      <li v-if="dig">
        <button type="button" class="check" @click="goAndDig">
          <strong>One dig tells most for the line: at {{ dig.post }}.</strong>
          <span class="soft">{{ digWords }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.checks {
  list-style: none;
  padding: 0;
}
.check {
  display: grid;
  gap: 2px;
  width: 100%;
  min-height: 48px;
  padding: 6px 0 6px 14px;
  font: inherit;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  border-left: 4px solid var(--string);
  border-bottom: 1.5px solid var(--rule);
  margin-bottom: 6px;
  cursor: pointer;
}
</style>
