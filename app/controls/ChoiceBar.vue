<script setup lang="ts" generic="T extends string">
/** A few ways side by side, one of them in hand. */
defineProps<{ label: string; choices: readonly { value: T; words: string }[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <v-btn-toggle v-model="chosen" mandatory class="bar" role="group" :aria-label="label">
    <v-btn
      v-for="each in choices"
      :key="each.value"
      :value="each.value"
      variant="text"
      :aria-pressed="each.value === chosen"
      >{{ each.words }}</v-btn
    >
  </v-btn-toggle>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  width: 100%;
  height: auto;
  border-bottom: 1.5px solid var(--ink);
}
.bar .v-btn {
  flex: 1 1 auto;
  padding: 4px 8px;
  border-bottom: 5px solid transparent;
}
.bar .v-btn[aria-pressed='true'] {
  border-bottom-color: var(--ink);
  font-weight: 600;
}
</style>
