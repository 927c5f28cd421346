<script setup lang="ts">
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { dayWords, minutesWords, taskWords } from './dayWords'
import { clockWords } from '~/controls/timesOfDay'
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
/** What is done comes first, so that a tick by mistake can be taken back; a pour is started in its own place. */
const done = computed(() =>
  day.done.value.map(({ task, at }) => ({
    id: task.id,
    words: taskWords({ tasks: [task] }, task.id),
    isTicked: day.setup.value.done?.some((each) => each.task === task.id) ?? false,
    when: at === undefined ? '' : `${dayWords(day.midnight.value, at, day.zone.value)} ${clockWords(at)}`,
  })),
)
const isPour = (id: string) => day.asked.value!.tasks.find((task) => task.id === id)?.pour !== undefined
const print = () => window.print()
</script>

<template>
  <div>
    <FoldOut v-if="done.length" :title="`Done: ${done.length}`">
      <ul>
        <li v-for="each in done" :key="each.id" class="was">
          <span>{{ each.words }}</span>
          <span class="soft">{{ each.when }}</span>
          <v-btn v-if="each.isTicked" variant="text" @click="day.tick(each.id, false)">Not done</v-btn>
        </li>
      </ul>
    </FoldOut>
    <template v-if="day.plan.value">
      <v-btn class="no-print" @click="print">Print it</v-btn>
      <section v-for="visit in visits" :key="visit.day" class="visit">
        <h3>
          {{ visit.words }}, {{ clockWords(visit.from) }} to {{ clockWords(visit.to)
          }}<template v-if="visit.overtime">, {{ minutesWords(visit.overtime) }} over</template>
        </h3>
        <ol>
          <li v-for="each in visit.tasks" :key="each.task">
            <v-checkbox
              v-if="!isPour(each.task)"
              class="no-print"
              hide-details
              density="compact"
              :aria-label="`Done: ${taskWords(day.asked.value!, each.task)}`"
              :model-value="false"
              @update:model-value="day.tick(each.task, true)"
            />
            <span v-else class="no-print soft">⏲</span>
            <span class="measure">{{ clockWords(each.start) }}</span>
            <span>{{ taskWords(day.asked.value!, each.task) }}</span>
            <strong>{{ each.by.join(' ') }}</strong>
            <span class="soft">{{ minutesWords(each.end - each.start) }}</span>
          </li>
        </ol>
      </section>
    </template>
    <p v-else>{{ done.length ? 'All of it is done.' : 'Nothing is planned yet.' }}</p>
  </div>
</template>

<style scoped>
.visit {
  margin-top: 12px;
}
ol,
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 48px 62px 1fr auto 64px;
  gap: 8px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  align-items: center;
}
li.was {
  grid-template-columns: 1fr auto auto;
}
li .measure {
  font-size: 20px;
}
li .soft {
  text-align: end;
}
</style>
