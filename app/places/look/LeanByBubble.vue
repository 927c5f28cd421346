<script setup lang="ts">
import { leanByBubble, SLOPE_PER_LINE, type LeanReading } from '~~/core/setout/lean'
import { computed } from 'vue'
import type { InputError } from '~~/core/errors'
import type { Instrument } from '~~/core/cause/observations'
import { LEVEL_LENGTH } from '~/instruments/level'

/** How many lines the bubble stands off the middle of its vial. */
const props = defineProps<{
  reading?: LeanReading
  direction: 'along' | 'across'
  save: (value: LeanReading | null, instrument: Instrument, stepped?: boolean) => Promise<InputError | undefined>
}>()

const LINES = [-6, -4, -2, -1, 0, 1, 2, 4, 6]
const lines = computed(() =>
  props.reading ? Math.round((props.reading.offset / props.reading.over / SLOPE_PER_LINE) * 10) / 10 : undefined,
)
const words = (line: number) => (line === 0 ? 'middle' : `${Math.abs(line)} ${line < 0 ? '◂' : '▸'}`)
const spoken = (line: number) =>
  line === 0 ? 'bubble in the middle' : `${Math.abs(line)} lines, leans ${line < 0 ? 'back' : 'on'}`
const take = (line: number) => props.save(leanByBubble(line, LEVEL_LENGTH), 'spirit-level')
</script>

<template>
  <p class="soft">
    Lines that the post leans by, to the {{ direction === 'along' ? 'left ◂ or right ▸' : 'near ◂ or far ▸ side' }}. One
    line is taken as {{ SLOPE_PER_LINE * 1000 }} mm in a metre: look on your level.
  </p>
  <div class="vial">
    <v-btn
      v-for="line in LINES"
      :key="line"
      :aria-label="spoken(line)"
      :aria-pressed="lines === line"
      :class="{ taken: lines === line }"
      @click="take(line)"
      >{{ words(line) }}</v-btn
    >
  </div>
</template>

<style scoped>
.vial {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(52px, 1fr));
  gap: 4px;
  margin-top: 8px;
}
.vial .v-btn {
  padding: 0 2px;
}
.taken {
  border-width: 3px;
  background: var(--faint);
}
</style>
