<script setup lang="ts">
import { computed } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'

/** One thing to hold a tape to: what it should show, what it shows, and one word for what to do. */
const props = defineProps<{
  /** Of what is wanted, and of what is typed. */
  label: string
  wanted: number
  found?: number
  step: number
  /** One word, and by how much. */
  answer?: { word: string; by?: number; right: boolean }
  save: (value: number | null) => Promise<InputError | undefined>
}>()
const preferences = usePreferencesStore()
const parts = computed(() => {
  const [value = '', unit = ''] = preferences.showSmall(props.wanted).split(/ (?=mm$)/)
  return { value, unit }
})
</script>

<template>
  <div class="reading" role="group" :aria-label="label">
    <p class="figure">
      {{ parts.value }}<small>{{ parts.unit }}</small>
    </p>
    <p class="says">{{ label }}</p>
    <LengthStepper label="Found" small :value="found" :start="wanted" :step="step" clearable :save="save" />
    <p class="answer" :class="{ right: answer?.right }" role="status">
      <template v-if="answer">{{ answer.by === undefined ? answer.word : `${answer.word} ` }}</template>
      <small v-if="answer?.by !== undefined">{{ preferences.showSmall(answer.by) }}</small>
    </p>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  column-gap: 14px;
  align-items: center;
  padding: 8px 0 10px;
  border-bottom: 1.5px solid var(--rule);
}
.figure {
  line-height: 1;
}
.says {
  grid-row: 2;
}
.reading > :deep(.stepper) {
  grid-column: 2;
  grid-row: 1;
}
.answer {
  grid-column: 2;
  grid-row: 2;
  min-height: 34px;
  font-family: var(--measure);
  font-weight: 600;
  font-size: 28px;
  line-height: 1.2;
  color: var(--string-ink);
}
.answer.right {
  color: var(--ink);
}
.answer small {
  font-size: 20px;
}
@media (max-width: 760px) {
  .reading {
    grid-template-columns: minmax(0, 1fr) auto;
    row-gap: 2px;
  }
  .figure {
    font-size: 40px;
  }
  .says {
    grid-row: 2;
    grid-column: 1 / -1;
  }
  .answer {
    grid-row: 1;
    text-align: right;
  }
  .reading > :deep(.stepper) {
    grid-row: 3;
    grid-column: 1 / -1;
  }
}
</style>
