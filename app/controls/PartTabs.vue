<script setup lang="ts" generic="T extends string">
import type { Component } from 'vue'

/** Parts of one place, one of them shown: its own panel, or what the slot makes of it. */
defineProps<{ label: string; tabs: readonly { value: T; words: string; panel?: Component }[] }>()
const shown = defineModel<T>({ required: true })
</script>

<template>
  <v-tabs v-model="shown" class="part-tabs no-print" :aria-label="label" grow>
    <v-tab v-for="tab in tabs" :key="tab.value" :value="tab.value">{{ tab.words }}</v-tab>
  </v-tabs>
  <v-tabs-window v-model="shown" class="shown" :touch="false">
    <v-tabs-window-item v-for="tab in tabs" :key="tab.value" :value="tab.value" :transition="false">
      <slot v-if="tab.value === shown" :tab="tab">
        <div class="part"><component :is="tab.panel" /></div>
      </slot>
    </v-tabs-window-item>
  </v-tabs-window>
</template>

<style scoped>
.part-tabs {
  border-bottom: 1.5px solid var(--ink);
}
.part-tabs :deep(.v-tab) {
  min-width: 0;
}
@media (max-width: 760px) {
  .part-tabs :deep(.v-tab) {
    padding: 0 8px;
  }
}
.shown {
  overflow: visible;
}
.part {
  padding: 10px 0 24px;
}
</style>
