<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import type { Verdict } from '~~/core/document/job'
import { row } from '~~/core/tables/tables'
import { tables } from '~~/data/tables'

/** What a person said of the cause, and what not to build again: on the page beside the readings. */
const view = useJobView()
const judgement = computed(() => view.post.value?.judgement ?? {})
const conditions = computed(() => view.postPlan.value!.diagnosis.conditions)
const words = ({ cause, note, by }: Verdict) =>
  [row<{ key: string; name: string }>(tables.causes.causes, cause).name.toLowerCase(), note, by]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <p v-if="judgement.found"><strong>Found on digging:</strong> {{ words(judgement.found) }}.</p>
  <p v-if="judgement.overruled"><strong>The technician's own judgement:</strong> {{ words(judgement.overruled) }}.</p>
  <p v-for="condition in conditions" :key="condition.condition">
    {{ condition.name }}: {{ condition.advice.charAt(0).toLowerCase() + condition.advice.slice(1) }}
  </p>
</template>
