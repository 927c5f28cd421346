<script setup lang="ts">
/** Something that most do not need: its title, and the rest when it is opened. */
defineProps<{ title: string; quiet?: boolean }>()
</script>

<template>
  <v-expansion-panels class="fold-out" :class="{ quiet }">
    <v-expansion-panel :title="title">
      <v-expansion-panel-text><slot /></v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.fold-out :deep(.v-expansion-panel) {
  background: none;
}
.fold-out :deep(.v-expansion-panel-title) {
  min-height: 48px;
  padding: 8px 2px;
  font: inherit;
  letter-spacing: normal;
}
.fold-out :deep(.v-expansion-panel-title__overlay) {
  display: none;
}
.fold-out :deep(.v-expansion-panel-text__wrapper) {
  padding: 0 0 8px;
}
.quiet :deep(.v-expansion-panel-title) {
  min-height: 40px;
  padding: 2px;
  font-size: 14px;
  color: var(--soft-ink);
}
</style>
