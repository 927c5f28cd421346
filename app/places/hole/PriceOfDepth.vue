<script setup lang="ts">
import { computed } from 'vue'
import { priceOfDepth, type PriceOfDepth } from '~~/core/hole/price'
import { returnPeriodWords } from '~~/core/wind/returnPeriod'
import { usePreferencesStore } from '~/session/preferences'
import { useHoleBench } from './useHoleBench'
import { morePhrase } from './holeWords'

/** What ten centimetres more and less come to; a tap takes them. */
defineProps<{ take: (depth: number) => unknown }>()
const preferences = usePreferencesStore()
const { pulled } = useHoleBench()

/** Ten centimetres, or four inches, m. */
const STEP = { metric: 0.1, 'feet-inches': 0.1016 }
const prices = computed(() => (pulled.value ? priceOfDepth(pulled.value, STEP[preferences.units]) : []))
const isMore = (price: PriceOfDepth) => price.depth > (pulled.value?.now.hole?.depth ?? 0)
const words = ({ bags, minutes, plan }: PriceOfDepth) => morePhrase(plan.concrete ? bags : undefined, minutes)
</script>

<template>
  <div v-if="prices.length" class="prices" role="group" aria-label="The price of the next 10 cm">
    <button v-for="price in prices" :key="price.depth" type="button" class="pick" @click="take(price.depth)">
      <strong>{{ isMore(price) ? '+' : '−' }} {{ preferences.show(STEP[preferences.units]) }}</strong>
      <span>{{ preferences.measures.gust(price.holdingGust) }}, {{ returnPeriodWords(price.returnYears) }}</span>
      <span class="soft">{{ words(price) }}</span>
    </button>
  </div>
</template>

<style scoped>
.prices {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
  margin: 8px 0;
}
</style>
