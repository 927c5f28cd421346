<script setup lang="ts">
import { computed, ref } from 'vue'
import PartTabs from '~/controls/PartTabs.vue'
import DayCrew from './DayCrew.vue'
import DayList from './DayList.vue'
import DayMeans from './DayMeans.vue'
import DayPlanned from './DayPlanned.vue'
import { useDay } from './useDay'

/** The plan and what decides it, the same as a list, and who comes with what. */
const day = useDay()
const PARTS = [
  { value: 'plan', words: 'Plan', panel: DayPlanned },
  { value: 'list', words: 'List', panel: DayList },
  { value: 'crew', words: 'Who', panel: DayCrew },
  { value: 'means', words: 'With what', panel: DayMeans },
] as const
const part = ref<(typeof PARTS)[number]['value']>('plan')
const wrong = computed(() => day.wrong.value)
</script>

<template>
  <section aria-labelledby="day-title">
    <h2 id="day-title" class="visually-hidden">The days of this job</h2>
    <PartTabs v-slot="{ tab }" v-model="part" label="Parts of the day" :tabs="PARTS">
      <div class="part">
        <p v-if="wrong" class="caution" role="alert">This cannot be planned: {{ wrong.message }}.</p>
        <component :is="tab.panel" />
      </div>
    </PartTabs>
  </section>
</template>

<style scoped>
.part {
  padding: 10px 0 24px;
}
</style>
