<script setup lang="ts">
import { computed } from 'vue'
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
const longest = computed(() => Math.max(...(list.value?.bars ?? []).map(({ stock }) => stock)))
const share = (length: number) => `${(length / longest.value) * 100}%`
const kinds = computed(() => {
  const counts = new Map<number, number>()
  for (const { stock } of list.value?.bars ?? []) counts.set(stock, (counts.get(stock) ?? 0) + 1)
  return [...counts].map(([stock, count]) => `${count} of ${preferences.show(stock)}`).join(', ')
})
</script>

<template>
  <section v-if="list" aria-labelledby="bars-title">
    <h3 id="bars-title">All posts of the line: {{ kinds }}</h3>
    <ul>
      <li v-for="(bar, i) in list.bars" :key="i" :style="{ width: share(bar.stock) }">
        <span v-for="(piece, j) in bar.pieces" :key="j" class="piece" :style="{ flexGrow: piece }">{{
          preferences.show(piece)
        }}</span>
        <span v-if="bar.offcut > 0.005" class="offcut" :style="{ flexGrow: bar.offcut }">
          <span v-if="bar.offcut > 0.3">{{ preferences.show(bar.offcut) }}</span>
        </span>
      </li>
    </ul>
    <p class="soft">
      With {{ preferences.showSmall(KERF) }} for every cut{{ list.exact ? ': less wood is not to be had' : '' }}.
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 5px;
}
li {
  display: flex;
  height: 30px;
  font-family: var(--measure);
  font-size: 16px;
}
.piece {
  flex-basis: 0;
  padding: 3px 6px;
  background: rgb(var(--v-theme-wood));
  color: rgb(var(--v-theme-on-background));
  border: 1.5px solid var(--ink);
  overflow: hidden;
}
.offcut {
  flex-basis: 0;
  padding: 3px 6px;
  border: 1.5px dashed var(--ink);
  border-left: 0;
  overflow: hidden;
}
</style>
