<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { useJobSession } from '~/job/openJob'
import { holeBench } from '~~/core/hole/bench'
import type { Commitment } from '~~/core/practice/review'
import type { HoleChange } from '~~/core/hole/bench'
import { usePractice } from './usePractice'
import { truthName, wayName } from './practiceWords'

/** What it is, and what is done about it: cause, repair, hole, filling, bags. */
const practice = usePractice()
const session = useJobSession()
const tables = practice.tables

const causes = computed(() =>
  (['nothing-wrong', ...practice.drawn.value.position.model.causes] as const).map((value) => ({
    value,
    title: truthName(value, tables.value),
  })),
)
const ways = computed(() =>
  practice.drawn.value.position.ways.map(({ method }) => ({ value: method, title: wayName(method, tables.value) })),
)
const cause = ref<Commitment['cause']>()
const method = ref<string>()
const depth = ref<number>()
const width = ref<number>()
const filling = ref(tables.value.defaults.filling)
const bags = ref('')
const fillings = computed(() => tables.value.fillings.map(({ key, name }) => ({ value: key, title: name })))

const bench = computed(() =>
  method.value && session.job
    ? holeBench(session.job, tables.value, practice.drawn.value.post, method.value)
    : undefined,
)
/** Whether it digs at all. */
const hole = computed(() => bench.value?.now.hole)
const isPoured = computed(() => bench.value?.now.concrete !== undefined)
const planned = computed(() => {
  if (!bench.value || !hole.value || depth.value === undefined || width.value === undefined) return undefined
  const change: HoleChange = { depth: depth.value, diameter: width.value }
  return bench.value.with(change)
})
watch(method, () => {
  depth.value = undefined
  width.value = undefined
})
const wrong = ref('')
function commit(): void {
  wrong.value = ''
  if (!cause.value || !method.value) return void (wrong.value = 'Say what it is, and what is done about it.')
  if (!hole.value) return void practice.commit({ cause: cause.value, method: method.value })
  if (!planned.value) return void (wrong.value = 'Say how deep and how wide the hole is.')
  const count = Number(bags.value)
  if (isPoured.value && (bags.value.trim() === '' || !Number.isInteger(count) || count < 0 || count > 99))
    return void (wrong.value = 'Bags is a whole number from 0 to 99.')
  const { holdingGust = 0, concrete } = planned.value
  void practice.commit({
    cause: cause.value,
    method: method.value,
    sized: {
      bags: isPoured.value ? count : 0,
      bagsWanted: concrete?.bags.exactCount ?? 0,
      holds: holdingGust,
      target: practice.drawn.value.planned.target.gust,
    },
  })
}
const setDepth = async (value: number | null) => void (depth.value = value ?? undefined)
const setWidth = async (value: number | null) => void (width.value = value ?? undefined)
</script>

<template>
  <section aria-labelledby="commit-title">
    <h2 id="commit-title">Commit</h2>
    <form class="commit" novalidate @submit.prevent="commit">
      <v-select v-model="cause" label="What is it?" :items="causes" />
      <v-select v-model="method" label="What is done?" :items="ways" />
      <template v-if="hole">
        <LengthStepper label="How deep?" :value="depth" :start="0.5" :step="0.05" :smallest="0.05" :save="setDepth" />
        <LengthStepper label="How wide?" :value="width" :start="0.3" :step="0.05" :smallest="0.05" :save="setWidth" />
        <v-select v-if="isPoured" v-model="filling" label="How is it filled?" :items="fillings" />
        <v-text-field v-if="isPoured" v-model="bags" label="How many bags?" inputmode="numeric" autocomplete="off" />
      </template>
      <p v-if="wrong" class="error-text" role="alert">{{ wrong }}</p>
      <p v-if="practice.failure.value" class="error-text" role="alert">{{ practice.failure.value }}</p>
      <v-progress-linear v-if="practice.isReckoning.value" indeterminate aria-label="Looking for the best line" />
      <v-btn block type="submit" variant="flat" color="primary" :disabled="practice.isReckoning.value">Commit</v-btn>
    </form>
  </section>
</template>

<style scoped>
.commit {
  display: grid;
  gap: 8px;
}
</style>
