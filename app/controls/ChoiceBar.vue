<script setup lang="ts" generic="T extends string">
/** A few ways side by side, one of them in hand. */
defineProps<{ label: string; choices: readonly { value: T; words: string }[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <div class="bar" role="group" :aria-label="label">
    <button
      v-for="each in choices"
      :key="each.value"
      type="button"
      :aria-pressed="each.value === chosen"
      @click="chosen = each.value"
    >
      {{ each.words }}
    </button>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  border-bottom: 1.5px solid var(--ink);
}
button {
  flex: 1 1 auto;
  min-height: 48px;
  padding: 4px 8px;
  background: none;
  border: 0;
  border-bottom: 5px solid transparent;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button[aria-pressed='true'] {
  border-bottom-color: var(--ink);
  font-weight: 600;
}
</style>
