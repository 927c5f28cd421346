<script setup lang="ts">
import { computed } from 'vue'
export interface Answer {
  value: string
  words: string
}

/** One question with its answers to tap; a second tap takes an answer back. */
const props = defineProps<{ question: string; answers: Answer[]; value?: string | string[]; many?: boolean }>()
const emit = defineEmits<{ answer: [value: string | string[] | null] }>()

/** Looked, and there was nothing: an empty list, which is another thing than no answer. */
const NOTHING = 'nothing'
const chosen = computed(() => {
  if (!Array.isArray(props.value)) return props.value ? [props.value] : []
  return props.value.length > 0 ? props.value : [NOTHING]
})

function take(value: string): void {
  const is = chosen.value.includes(value)
  if (!props.many) return emit('answer', is ? null : value)
  if (value === NOTHING) return emit('answer', is ? null : [])
  const seen = chosen.value.filter((each) => each !== NOTHING && each !== value)
  const all = is ? seen : [...seen, value]
  emit('answer', all.length > 0 ? all : null)
}
</script>

<template>
  <fieldset class="question">
    <legend>{{ question }}<span v-if="many" class="soft"> Tap all that you see.</span></legend>
    <div class="tiles">
      <button
        v-for="answer in answers"
        :key="answer.value"
        type="button"
        class="tile"
        :aria-pressed="chosen.includes(answer.value)"
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
legend .soft {
  font-family: var(--words);
  font-weight: 500;
  font-size: 15px;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 8px;
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
