<script setup lang="ts">
import type { Part } from '~/picture/model/smallPictures'

/** One of the small drawings that are tapped in Look. */
defineProps<{ parts: Part[] }>()
</script>

<template>
  <svg width="84" height="72" viewBox="0 0 80 72" aria-hidden="true">
    <path
      v-for="(part, i) in parts"
      :key="i"
      :d="part.d"
      :class="part.ink"
      :transform="part.turn ? `rotate(${part.turn.join(' ')})` : undefined"
    />
  </svg>
</template>

<style scoped>
path {
  stroke-linejoin: round;
  stroke-linecap: round;
}
.soil {
  fill: rgb(var(--v-theme-ground));
}
.footing {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
}
.post {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--ink);
  stroke-width: 1.2;
}
.decay {
  fill: rgb(var(--v-theme-decay));
}
.steel {
  fill: rgb(var(--v-theme-steel));
  stroke: var(--ink);
}
.panel {
  fill: rgb(var(--v-theme-cladding));
  stroke: var(--ink);
}
.water {
  fill: rgb(var(--v-theme-water));
  stroke: var(--ink);
  stroke-width: 0.6;
}
.dark {
  fill: var(--ink);
}
.line,
.bold,
.dashed {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.bold {
  stroke-width: 2.4;
}
.dashed {
  stroke-dasharray: 3 3;
}
</style>
