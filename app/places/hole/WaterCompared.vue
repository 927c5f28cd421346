<script setup lang="ts">
import { computed } from 'vue'
import type { ConcretePlan } from '~~/core/plan/types'
import { usePreferencesStore } from '~/session/preferences'

/** Water first: a third of the hole against what the bags want, drawn as two bars in one scale. */
const { concrete } = defineProps<{ concrete: ConcretePlan }>()
const preferences = usePreferencesStore()
const bars = computed(() => {
  const { water, ruleWater } = concrete.bags
  const most = Math.max(water, ruleWater)
  const bar = (key: string, words: string, amount: number) => ({
    key,
    words,
    amount,
    share: most > 0 ? amount / most : 0,
  })
  return [bar('third', 'a third of the hole', ruleWater), bar('bags', 'what the bags want', water)]
})
const off = computed(() => concrete.bags.ruleWater / concrete.bags.water - 1)
</script>

<template>
  <div v-if="concrete.filling === 'water-first' && concrete.bags.water > 0" class="compared">
    <div v-for="bar in bars" :key="bar.key" class="bar">
      <span>{{ bar.words }}</span>
      <span class="fill" :style="{ width: `${bar.share * 100}%` }">{{ preferences.measures.volume(bar.amount) }}</span>
    </div>
    <p class="soft">
      The rule gives {{ Math.abs(Math.round(off * 100)) }} in 100 {{ off > 0 ? 'more' : 'less' }} than the label.
    </p>
  </div>
</template>

<style scoped>
.compared {
  margin: 8px 0;
}
.bar {
  display: grid;
  grid-template-columns: 150px 1fr;
  align-items: center;
  margin-bottom: 4px;
}
.fill {
  padding: 4px 8px;
  background: var(--faint);
  border: 1.5px solid var(--ink);
  font-family: var(--measure);
  font-weight: 600;
  white-space: nowrap;
}
</style>
