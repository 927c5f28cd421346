<script setup lang="ts">
import { computed } from 'vue'

/** Sticks in one scale, with the pieces that are cut from them; what is left is dashed. */
const { bars, show } = defineProps<{
  bars: readonly { stock: number; pieces: readonly number[]; offcut: number }[]
  show: (metres: number) => string
}>()
const longest = computed(() => Math.max(...bars.map(({ stock }) => stock)))
const share = (length: number) => `${(length / longest.value) * 100}%`
</script>

<template>
  <ul>
    <li v-for="(bar, i) in bars" :key="i" :style="{ width: share(bar.stock) }">
      <span v-for="(piece, j) in bar.pieces" :key="j" class="piece" :style="{ flexGrow: piece }">{{
        show(piece)
      }}</span>
      <span v-if="bar.offcut > 0.005" class="offcut" :style="{ flexGrow: bar.offcut }">
        <span v-if="bar.offcut > 0.3">{{ show(bar.offcut) }}</span>
      </span>
    </li>
  </ul>
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
