<script setup lang="ts">
export interface Answer {
  value: string
  words: string
}

/** One question with its answers to tap; a second tap takes the answer back. */
const props = defineProps<{ question: string; answers: Answer[]; value?: string; small?: boolean }>()
const emit = defineEmits<{ answer: [value: string | null] }>()

function take(value: string): void {
  emit('answer', value === props.value ? null : value)
}
</script>

<template>
  <fieldset class="question">
    <legend>{{ question }}</legend>
    <div class="tiles" :class="{ small }">
      <button
        v-for="answer in answers"
        :key="answer.value"
        type="button"
        class="tile"
        :aria-pressed="answer.value === value"
        @click="take(answer.value)"
      >
        <slot :value="answer.value" />
        <span>{{ answer.words }}</span>
      </button>
    </div>
  </fieldset>
</template>

<style scoped>
.question {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-family: var(--measure);
  font-weight: 600;
  font-size: 18px;
  margin-bottom: 8px;
  padding: 0;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 8px;
}
.small {
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 2px;
  min-height: 52px;
  padding: 6px;
  border: 1.5px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 15px;
  line-height: 1.15;
  text-align: center;
  cursor: pointer;
}
.tile[aria-pressed='true'] {
  border: 3px solid var(--ink);
  font-weight: 600;
  background: var(--faint);
  padding: 4.5px;
}
.tile[aria-pressed='true'] span::before {
  content: '✓ ' / '';
}
</style>
