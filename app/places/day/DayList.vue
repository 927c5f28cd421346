<script setup lang="ts">
import { computed } from 'vue'
import { dayWords, minutesWords, taskWords } from './dayWords'
import { clockWords } from './model/dayModel'
import { useDay } from './useDay'

/** The same plan in order, for the phone and for paper: who does what next. */
const day = useDay()
const visits = computed(() =>
  (day.plan.value?.visits ?? []).map((visit) => ({
    ...visit,
    words: dayWords(day.midnight.value, visit.from, day.zone.value),
    tasks: day.plan.value!.placed.filter(({ start }) => start >= visit.from && start < visit.to),
  })),
)
const print = () => window.print()
</script>

<template>
  <div v-if="day.plan.value">
    <v-btn class="no-print" @click="print">Print it</v-btn>
    <section v-for="visit in visits" :key="visit.day" class="visit">
      <h3>
        {{ visit.words }}, {{ clockWords(visit.from) }} to {{ clockWords(visit.to)
        }}<template v-if="visit.overtime">, {{ minutesWords(visit.overtime) }} over</template>
      </h3>
      <ol>
        <li v-for="each in visit.tasks" :key="each.task">
          <span class="measure">{{ clockWords(each.start) }}</span>
          <span>{{ taskWords(day.asked.value!, each.task) }}</span>
          <strong>{{ each.by.join(' ') }}</strong>
          <span class="soft">{{ minutesWords(each.end - each.start) }}</span>
        </li>
      </ol>
    </section>
  </div>
  <p v-else>Nothing is planned yet.</p>
</template>

<style scoped>
.visit {
  margin-top: 12px;
}
ol {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 62px 1fr auto 64px;
  gap: 8px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  align-items: baseline;
}
li .measure {
  font-size: 20px;
}
li .soft {
  text-align: end;
}
</style>
