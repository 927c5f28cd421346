<script setup lang="ts">
import { computed } from 'vue'
import StickBars from '~/controls/StickBars.vue'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { cutList, KERF } from '~~/core/setout/cutList'

/** The posts of the line as they come out of stock lengths, each bar to scale. */
const props = defineProps<{ pieces: readonly number[] }>()
const view = useJobView()
const preferences = usePreferencesStore()
const list = computed(() => {
  const stock = view.tables.value.digging.stockLengths
  const longest = Math.max(...stock)
  const cut = props.pieces.filter((each) => each <= longest)
  if (cut.length === 0) return undefined
  // Where nobody has a price, the least wood.
  return cutList(
    cut.map((length) => ({ length, count: 1 })),
    stock.map((length) => ({ length, price: Math.round(length * 1e3) })),
  )
})
const kinds = computed(() => {
  const counts = new Map<number, number>()
  for (const { stock } of list.value?.bars ?? []) counts.set(stock, (counts.get(stock) ?? 0) + 1)
  return [...counts].map(([stock, count]) => `${count} of ${preferences.show(stock)}`).join(', ')
})
</script>

<template>
  <section v-if="list" aria-labelledby="bars-title">
    <h3 id="bars-title">All posts of the line: {{ kinds }}</h3>
    <StickBars :bars="list.bars" :show="preferences.show" />
    <p class="soft">
      With {{ preferences.showSmall(KERF) }} for every cut{{ list.exact ? ': less wood is not to be had' : '' }}.
    </p>
  </section>
</template>
