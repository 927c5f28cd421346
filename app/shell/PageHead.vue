<script setup lang="ts">
/** The head of a place that belongs to no job: the way back to the jobs, and its name. */
defineProps<{ title: string }>()
</script>

<template>
  <header class="head">
    <NuxtLink to="/" class="back measure" aria-label="Vindex: all jobs">‹ jobs</NuxtLink>
    <h1>{{ title }}</h1>
    <slot />
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 52px;
  border-bottom: 1.8px solid var(--ink);
  flex: none;
}
.back {
  color: var(--ink);
  text-decoration: none;
  padding: 12px 0;
  white-space: nowrap;
}
h1 {
  font-size: 22px;
  margin: 0;
}
</style>
