<script setup lang="ts">
import type { StepPlan } from '~~/core/plan/steps'
import { stepFacts } from './stepWords'

/** What is done, one after the other: with what to measure, who, how long, and what must not be skipped. */
defineProps<{ steps: readonly StepPlan[] }>()
</script>

<template>
  <ol class="steps">
    <li v-for="step in steps" :key="step.key">
      {{ step.text }}
      <span class="facts soft">{{ stepFacts(step) }}</span>
      <span v-if="step.doNotSkip !== undefined" class="why"
        ><strong class="string-words">Do not skip.</strong> {{ step.doNotSkip }}</span
      >
      <span v-if="step.measure" class="measured">{{ step.measure }}: <span class="blank" aria-hidden="true" /></span>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  padding-left: 26px;
}
li {
  padding: 5px 0;
  break-inside: avoid;
}
.facts,
.why,
.measured {
  display: block;
}
.facts,
.measured {
  font-size: 15px;
}
.blank {
  display: inline-block;
  width: 84px;
  border-bottom: 1.5px solid var(--soft-ink);
}
</style>
