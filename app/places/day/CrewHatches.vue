<script setup lang="ts">
/** A hatch for each of the crew, so that nobody has to go by colour. */
</script>

<template>
  <defs>
    <pattern id="crew-0" width="9" height="9" patternUnits="userSpaceOnUse" />
    <pattern id="crew-1" width="8" height="8" patternUnits="userSpaceOnUse">
      <path d="M0 8 L8 0" class="hatch" />
    </pattern>
    <pattern id="crew-2" width="8" height="8" patternUnits="userSpaceOnUse">
      <path d="M0 4 H8" class="hatch" />
    </pattern>
    <pattern id="crew-3" width="9" height="9" patternUnits="userSpaceOnUse">
      <path d="M4 4 h.1" class="hatch dot" />
    </pattern>
  </defs>
</template>

<style scoped>
.hatch {
  stroke: var(--ink);
  stroke-width: 1;
  opacity: 0.4;
  fill: none;
}
.dot {
  stroke-width: 2.6;
  stroke-linecap: round;
}
</style>
