<script setup lang="ts">
import type { StepPlan } from '~~/core/plan/steps'
import { stepFacts, waitFacts } from './stepWords'

/**
 * What is done, one after the other: with what to measure, who, how long, and what must not be skipped. On paper, where
 * all of it has to stand on one page, `brief`: what to do, what to wait for and what not to skip.
 */
defineProps<{ steps: readonly StepPlan[]; brief?: boolean }>()
</script>

<template>
  <ol class="steps" :class="{ brief }">
    <li v-for="step in steps" :key="step.key">
      {{ step.text }}
      <template v-if="brief">
        <strong v-if="step.doNotSkip !== undefined">Do not skip.</strong> {{ waitFacts(step) }}
      </template>
      <template v-else>
        <span class="fact soft">{{ stepFacts(step) }}</span>
        <span v-if="step.doNotSkip !== undefined" class="fact"
          ><strong class="string-words">Do not skip.</strong> {{ step.doNotSkip }}</span
        >
        <span v-if="step.measure" class="fact">Measure: {{ step.measure }}.</span>
      </template>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  padding-left: 26px;
}
li {
  padding: 6px 0;
  break-inside: avoid;
}
.brief li {
  padding: 0;
}
.fact {
  display: block;
  font-size: 15px;
}
</style>
